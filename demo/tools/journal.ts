/** An entry of the demo: lines by account number, debit-positive cents. */
export interface DemoEntry {
  readonly date: string;
  readonly source: string;
  readonly comment: string;
  readonly lines: readonly (readonly [account: string, cents: number])[];
  /** Where it was sold; only lines of sales carry it. */
  readonly market?: string;
}

/** Random numbers from 0 to 1 that are the same at every run. */
export const seeded = (seed: number) => {
  let state = seed;
  return (): number => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
};

/** Cents within a share of an expected amount of whole dollars, rounded to `step` cents. */
export const around = (random: () => number, dollars: number, spread: number, step = 1): number =>
  Math.round((dollars * 100 * (1 - spread + 2 * spread * random())) / step) * step;

/** A share of an amount, to the cent. */
export const shareOf = (cents: number, rate: number): number => Math.round(cents * rate);

const amountText = (cents: number): string => (cents / 100).toFixed(2);

const quoted = (text: string): string => (text.includes(',') ? `"${text}"` : text);

const isSale = (account: string): boolean => account.startsWith('4');

/** The entries as CSV, one line a row, entries numbered from 1. */
export const toCsv = (entries: readonly DemoEntry[]): string => {
  const rows = [...entries]
    .sort((a, b) => a.date.localeCompare(b.date))
    .flatMap(({ date, source, comment, lines, market = '' }, index) =>
      lines
        .filter(([, cents]) => cents !== 0)
        .map(([account, cents]) => {
          const debit = cents > 0 ? amountText(cents) : '';
          const credit = cents < 0 ? amountText(-cents) : '';
          const where = isSale(account) ? market : '';
          const cells = [index + 1, date, source, quoted(comment), account, debit, credit, where];
          return cells.join(',');
        }),
    );
  return `${['entry,date,source,comment,account,debit,credit,market', ...rows].join('\n')}\n`;
};

/** The months from `first` on, as `YYYY-MM`. */
export const monthsFrom = (first: string, count: number): readonly string[] =>
  Array.from({ length: count }, (_, index) => {
    const [year = 0, month = 1] = first.split('-').map(Number);
    const at = year * 12 + month - 1 + index;
    return `${Math.floor(at / 12)}-${String((at % 12) + 1).padStart(2, '0')}`;
  });

/** The last day of a month. */
export const endOf = (month: string): string => {
  const [year = 0, number = 1] = month.split('-').map(Number);
  return `${month}-${new Date(Date.UTC(year, number, 0)).getUTCDate()}`;
};
