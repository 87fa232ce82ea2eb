import type { QuoteAnswer, QuoteQuery } from '@iunctus/contract';
import { addDays, minorDigits, type CalendarDate } from '@iunctus/core';
import { drawn } from './drawn';

const isWeekend = (date: CalendarDate): boolean =>
  [0, 6].includes(new Date(`${date}T00:00:00Z`).getUTCDay());

/** The day on which something was traded last: a Friday’s price holds over the weekend. */
const tradedOn = (date: CalendarDate): CalendarDate => {
  let day = date;
  while (isWeekend(day)) day = addDays(day, -1);
  return day;
};

/** Waves of several lengths about a price of its own: it wanders, and is the same whoever asks. */
const priceOn = (symbol: string, day: CalendarDate): number => {
  const base = 5 + 195 * drawn(symbol);
  const days = Date.parse(`${day}T00:00:00Z`) / 86_400_000;
  const waves = [400, 90, 17].map(
    (length, at) =>
      Math.sin((2 * Math.PI * days) / length + 6 * drawn(`${symbol}${at}`)) / (at + 3),
  );
  return base * (1 + 0.25 * waves.reduce((sum, wave) => sum + wave, 0));
};

/** One request in so many comes to nothing, as with a real source. */
const FAILS = 8;

/**
 * A small stand-in for a source of quotes: prices by day, a day late, and now and then none at all. Symbols are letters
 * and digits; one that begins with X is not listed.
 */
export const quoteOf = (
  symbol: string,
  { date, currency }: QuoteQuery,
  { today, chance }: { readonly today: CalendarDate; readonly chance: number },
): QuoteAnswer => {
  if (!/^[A-WYZ0-9][A-Z0-9.]{0,11}$/.test(symbol)) return { state: 'unlisted' };
  if (chance * FAILS < 1) return { state: 'silent' };
  const latest = tradedOn(addDays(today, -1));
  const day = tradedOn(date < latest ? date : latest);
  const price = Math.round(priceOn(symbol, day) * 10 ** minorDigits(currency));
  return { state: 'quoted', day, price, isDelayed: date > latest };
};
