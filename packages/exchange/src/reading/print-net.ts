import type { PrintedText } from './print-columns';
import { setApart, type PrintWord } from './print-line';

/** Over what an asset cost, what was written off and what is left; common practice, no source. */
const COST = /^(?:at )?(?:cost|valuation|cost or valuation|gross)$/i;
const WRITTEN_OFF =
  /^(?:less:? )?(?:acc(?:um(?:ulated)?)?\.? )?(?:depreciation|amorti[sz]ation|depn\.?|dep'n|amort\.?|dep\.?)(?: to date)?$/i;
const LEFT =
  /^(?:net|n\.?b\.?v\.?|w\.?d\.?v\.?|net book (?:value|amount)|book value|carrying (?:value|amount)|total)(?: (?:19|20)\d\d)?$/i;

/** The headings of a table of assets on a line, and what stands before them: “Fixed assets    Cost  Depreciation  Net”. */
const tableOf = (
  text: string,
): {
  readonly title: string;
  readonly words: readonly PrintWord[];
  readonly net: number;
} | null => {
  const all = setApart(text);
  const cost = all.findIndex((word) => COST.test(word.text));
  const words = cost < 0 ? [] : all.slice(cost);
  if (!WRITTEN_OFF.test(words[1]?.text ?? '')) return null;
  const net = words.findIndex((word) => LEFT.test(word.text));
  const isTable = net > 1 && words.slice(net).every((word) => LEFT.test(word.text));
  return isTable ? { title: text.slice(0, words[0]?.start).trimEnd(), words, net } : null;
};

/**
 * With nothing but what is left of assets where a table says what they cost, what was written off and what is left: a
 * balance sheet has the last alone. Its headings become the title over it.
 */
export const withNetAlone = (lines: readonly PrintedText[]): readonly PrintedText[] => {
  let table: ReturnType<typeof tableOf> = null;
  return lines.map((one): PrintedText => {
    const headed = tableOf(one.text);
    if (headed !== null) {
      table = headed;
      const { title } = headed;
      return { text: title, line: { name: title, amounts: [], gap: 0 }, headings: null };
    }
    const { line } = one;
    if (table === null || line.amounts.length !== table.words.length) return one;
    return { ...one, line: { ...line, amounts: line.amounts.slice(table.net), gap: 2 } };
  });
};
