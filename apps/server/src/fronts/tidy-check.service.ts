import { randomUUID } from 'node:crypto';
import type { TidyCheckAnswer } from '@iunctus/contract';
import {
  accountsLedTo,
  chartOf,
  checkChart,
  findingWords,
  sumOfItems,
  termsFor,
  type AccountId,
  type CalendarDate,
  type KnownBooks,
} from '@iunctus/core';
import { placedJudge } from '@iunctus/core/learned';
import { readSpelling } from '@iunctus/exchange/dictionaries';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { monthlyOf } from '../balances/monthly.service';
import { postedWordsOf } from '../balances/posted-words.service';
import { benchOf } from '../benches/benches.service';
import { madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { clientOf } from '../clients/clients.service';
import { findingNotesOf } from '../findings/findings.service';
import { rulesOfClient } from '../findings/rule-wishes.service';
import { layoutsOfClient } from '../layouts/layouts.service';
import { openItemsOf } from '../ledger/open-items.service';
import { standingsOf } from '../ledger/standing.service';
import { routesOfClient } from '../routes/routes.service';

const spellings = new Map<string, ReturnType<typeof readSpelling>>();

/** Dictionaries are read once a country, and stay; one that could not be read is tried again the next time. */
const spellingIn = (country: string): ReturnType<typeof readSpelling> => {
  const known = spellings.get(country);
  if (known !== undefined) return known;
  const reading = readSpelling(country).catch((error: unknown) => {
    spellings.delete(country);
    throw error;
  });
  spellings.set(country, reading);
  return reading;
};

interface Asked {
  readonly clientId: string;
  readonly today: CalendarDate;
}

const routedOf = async (
  pool: pg.Pool,
  viewer: Viewer,
  clientId: string,
): Promise<ReadonlySet<AccountId>> => {
  const items = await routesOfClient(pool, viewer, clientId);
  const standings = await standingsOf(pool, viewer, clientId);
  return accountsLedTo(
    items.map(({ content }) => content),
    standings.map(({ entry }) => entry),
  );
};

const booksOf = async (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, today }: Asked,
): Promise<KnownBooks> => {
  const client = await clientOf(pool, viewer, clientId);
  const { first, amounts, splits } = await monthlyOf(pool, viewer, { clientId, today });
  const layouts = await layoutsOfClient(pool, viewer, clientId);
  const { practice, client: own } = await rulesOfClient(pool, viewer, clientId);
  return {
    filer: client,
    startsIn: client.fiscalYearStart,
    monthly: { first, rows: [...amounts, ...splits] },
    openItems: (await openItemsOf(pool, viewer, clientId)).map(({ accountId, list }) => ({
      accountId,
      month: list.month,
      amount: sumOfItems(list.items),
    })),
    layouts: layouts.map(({ layout }) => layout),
    routed: await routedOf(pool, viewer, clientId),
    practice: practice.wishes,
    client: own.wishes,
    posted: await postedWordsOf(pool, viewer, clientId),
    spelling: await spellingIn(client.country),
    judge: placedJudge(),
    newId: randomUUID,
  };
};

/** How tidy a client's chart is, as adopted and as the viewer sees it; `null` where nothing is posted. */
export const tidyCheckOf = async (
  pool: pg.Pool,
  viewer: Viewer,
  asked: Asked,
): Promise<Veiled<TidyCheckAnswer>> => {
  const { client, chart: bench } = await benchOf(pool, viewer, asked.clientId);
  const month = client.latestMonth;
  if (month === null || bench === null) return madeOfVeiled(null);
  const chart = chartOf(bench);
  const books = await booksOf(pool, viewer, asked);
  const noted = await findingNotesOf(pool, viewer, asked.clientId);
  const notes = new Map(noted.map((note) => [note.key, note] as const));
  const { score, counts } = checkChart(chart, { books, notes, today: asked.today }, month);
  if (score === null) return madeOfVeiled(null);
  const { part, doubted, whole, most } = score;
  const telling = { chart, terms: termsFor(client) };
  const says = most === null ? null : findingWords(most, telling).says;
  return madeOfVeiled({ month, score: part, doubted, whole, ...counts, most: says });
};
