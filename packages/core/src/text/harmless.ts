/**
 * Text as a spreadsheet may hold it: one that begins as a formula does (= + - @, tab or carriage
 * return) gets an apostrophe in front, so that no program runs it.
 */
export const harmless = (text: string): string => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text);
