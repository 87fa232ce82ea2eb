/** A word of a line, and where its last letter stands. */
export interface PrintWord {
  readonly text: string;
  readonly start: number;
  readonly end: number;
}

/** A line of a print: what it is called, with the blanks before it, and the amounts behind that. */
export interface PrintedLine {
  readonly name: string;
  readonly amounts: readonly PrintWord[];
  /** How many blanks stand before the first amount; 0 without one. */
  readonly gap: number;
}

const DIGITS = String.raw`\d{1,3}(?:[,.'’]\d{3})+(?:[.,]\d{1,3})?|\d+(?:[.,]\d{1,3})?`;
const SIGNED = String.raw`[-−+]?\p{Sc}?[-−]?(?:${DIGITS})[-−]?`;
/** A bracket that closes was opened by the same word: “£45)” is the end of a remark. */
const AMOUNT = new RegExp(String.raw`^(?:${SIGNED}|[-−+]?\(${SIGNED}\))[-−]?(?:cr|dr)?$`, 'iu');
const NOTHING = /^[-–—]$/;
const CURRENCY_SIGN = /^\p{Sc}$/u;
/** A share of turnover beside an amount; it is no amount. */
const PERCENT = /^\(?[-−]?\d+(?:[.,]\d+)?\s*%\)?$/;

/** Whether a word is an amount and can hardly be anything else: its digits are grouped, or it has decimals, brackets or a currency. */
export const isPlainlyAmount = (text: string): boolean =>
  AMOUNT.test(text) && (/\d[,.'’]\d/.test(text) || /[()\p{Sc}]/u.test(text));

/** Whether a word is an amount, or the dash for none. */
export const isAmountWord = (text: string): boolean => AMOUNT.test(text) || NOTHING.test(text);

/** Where a note of the print says more: “(Note 3)”, “(see notes 2 and 5)”. */
const NOTED = /\(\s*(?:see )?notes? \d+[a-z]?(?:(?:,| and| &|-) ?\d+[a-z]?)*\s*\)/gi;

/** A line with blanks in place of its notes, so that the amounts stay where they stand. */
const withoutNotes = (line: string): string =>
  line.replace(NOTED, (note) => ' '.repeat(note.length));

/** A sign apart from its digits belongs to them: “( 4,000 )”, “120 Cr”, “45 %”. */
const closedUp = (line: string): string =>
  line
    .replace(/(\()(\s+)(?=[\d\p{Sc}])/gu, '$2$1')
    .replace(/(\d)(\s+)(\)|%|cr|dr)(?=\s|$)/gi, '$1$3$2');

const pieces = (line: string, shape: RegExp): readonly PrintWord[] =>
  [...line.matchAll(shape)].map((match) => ({
    text: match[0],
    start: match.index,
    end: match.index + match[0].length,
  }));

/** The words of a line, parted by blanks. */
export const wordsIn = (line: string): readonly PrintWord[] => pieces(line, /\S+/g);

/** The words of a line that only one blank parts, together. */
export const setApart = (line: string): readonly PrintWord[] => pieces(line, /\S+(?: \S+)*/g);

const LEADS = /[\s.·…_]/;
const FEWEST_DOTS = 3;

/** A name without the dots that lead from it to its amounts. */
const withoutLeaders = (name: string): string => {
  let [end, dots] = [name.length, 0];
  for (; end > 0 && LEADS.test(name.charAt(end - 1)); end -= 1)
    if (/\S/.test(name.charAt(end - 1))) dots += 1;
  return dots < FEWEST_DOTS ? name : name.slice(0, end);
};

/** Takes a line apart: the amounts at its end, and the name before them. */
export const printedLine = (text: string): PrintedLine => {
  const line = closedUp(withoutNotes(text));
  const words = wordsIn(line);
  let from = words.length;
  const belongs = (word: string): boolean =>
    isAmountWord(word) || CURRENCY_SIGN.test(word) || PERCENT.test(word);
  while (from > 0 && belongs(words[from - 1]?.text ?? '')) from -= 1;
  const amounts = words.slice(from).filter(({ text: word }) => isAmountWord(word));
  const name = withoutLeaders(line.slice(0, words[from - 1]?.end ?? 0));
  const gap = amounts.length === 0 ? 0 : (words[from]?.start ?? 0) - name.length;
  return { name, amounts, gap };
};
