/**
 * Text as a spreadsheet may hold it: one that begins as a formula does (= + - @, tab or carriage
 * return) gets an apostrophe in front, so that no program runs it. One that begins with apostrophes
 * before such a sign gets one more, so that `asWritten` gives every text back.
 */
export const harmless = (text: string): string => (/^'*[=+\-@\t\r]/.test(text) ? `'${text}` : text);

/** A text that was made harmless, as it was before. Law: `asWritten(harmless(text))` is the text. */
export const asWritten = (text: string): string =>
  /^'+[=+\-@\t\r]/.test(text) ? text.slice(1) : text;
