/** What begins a formula, as programs read it: also in its wide forms, and after what they pass over. */
const FORMULA = /^'*(?:[\t\r]|[\s\u200b-\u200f\u2060\ufeff]*[=+\-@\uff1d\uff0b\uff0d\uff20])/;

/**
 * Text as a spreadsheet may hold it: one that begins as a formula does (= + - @ or their wide forms, white space
 * before them or not, tab or carriage return) gets an apostrophe in front, so that no program runs it. One that begins
 * with apostrophes before such a sign gets one more, so that `asWritten` gives every text back.
 */
export const harmless = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);

/** A text that was made harmless, as it was before. Law: `asWritten(harmless(text))` is the text. */
export const asWritten = (text: string): string =>
  text.startsWith("'") && FORMULA.test(text) ? text.slice(1) : text;

/**
 * Text without what no file of text or XML may hold: control characters and halves of characters stand as
 * the sign for what cannot be shown. Source: XML 1.0, production Char (from memory).
 */
export const writable = (text: string): string =>
  text.replace(
    /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f\ufffe\uffff]|\p{Surrogate}/gu,
    '\ufffd',
  );
