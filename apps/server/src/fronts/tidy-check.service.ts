import { randomUUID } from 'node:crypto';
import type { TidyCheckAnswer } from '@iunctus/contract';
import {
  accountsLedTo,
  chartOf,
  checkChart,
  findingWords,
  openItemSums,
  termsFor,
  type AccountId,
  type CalendarDate,
  type KnownBooks,
} from '@iunctus/core';
import { placedJudge } from '@iunctus/core/learned';
import { readSpelling } from '@iunctus/exchange/dictionaries';
import type { Viewer } from '../access/viewer';
import { monthlyOf } from '../balances/monthly.service';
import { postedWordsOf } from '../balances/posted-words.service';
import { benchOf } from '../benches/benches.service';
import { madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { clientOf } from '../clients/clients.service';
import { onSnapshotOf, type Snapshot, type Source } from '../database/transaction';
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
  on: Snapshot,
  viewer: Viewer,
  clientId: string,
): Promise<ReadonlySet<AccountId>> => {
  const items = await routesOfClient(on, viewer, clientId);
  const standings = await standingsOf(on, viewer, clientId);
  return accountsLedTo(
    items.map(({ content }) => content),
    standings.map(({ entry }) => entry),
  );
};

const booksOf = async (
  on: Snapshot,
  viewer: Viewer,
  { clientId, today }: Asked,
): Promise<KnownBooks> => {
  const client = await clientOf(on, viewer, clientId);
  const { first, amounts, splits } = await monthlyOf(on, viewer, { clientId, today });
  const layouts = await layoutsOfClient(on, viewer, clientId);
  const { practice, client: own } = await rulesOfClient(on, viewer, clientId);
  return {
    filer: client,
    startsIn: client.fiscalYearStart,
    monthly: { first, rows: [...amounts, ...splits] },
    openItems: openItemSums(await openItemsOf(on, viewer, clientId)),
    layouts: layouts.map(({ layout }) => layout),
    routed: await routedOf(on, viewer, clientId),
    practice: practice.wishes,
    client: own.wishes,
    posted: await postedWordsOf(on, viewer, clientId),
    spelling: await spellingIn(client.country),
    judge: placedJudge(),
    newId: randomUUID,
  };
};

/** All that is known of a client, as it was at one moment. */
const readFor = (source: Source, viewer: Viewer, asked: Asked) =>
  onSnapshotOf(source, async (on) => {
    const { client, chart: bench } = await benchOf(on, viewer, asked.clientId);
    const { latestMonth: month } = client;
    if (month === null || bench === null) return null;
    const books = await booksOf(on, viewer, asked);
    const noted = await findingNotesOf(on, viewer, asked.clientId);
    const notes = new Map(noted.map((note) => [note.key, note] as const));
    return { client, month, bench, books, notes };
  });

/** How tidy a client's chart is, as adopted and as the viewer sees it; `null` where nothing is posted. */
export const tidyCheckOf = async (
  source: Source,
  viewer: Viewer,
  asked: Asked,
): Promise<Veiled<TidyCheckAnswer>> => {
  const read = await readFor(source, viewer, asked);
  if (read === null) return madeOfVeiled(null);
  const { client, month, books, notes } = read;
  const chart = chartOf(read.bench);
  const { score, counts } = checkChart(chart, { books, notes, today: asked.today }, month);
  if (score === null) return madeOfVeiled(null);
  const { part, doubted, whole, most } = score;
  const telling = { chart, terms: termsFor(client) };
  const says = most === null ? null : findingWords(most, telling).says;
  return madeOfVeiled({ month, score: part, doubted, whole, ...counts, most: says });
};
