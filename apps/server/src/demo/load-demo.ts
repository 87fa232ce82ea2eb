import type { EntranceAnswer } from '@iunctus/contract';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import type { SaveProposalRequest } from '@iunctus/contract';
import { emptyChart, idByNumber, USUAL_SETTINGS, type Chart } from '@iunctus/core';
import type pg from 'pg';
import { hashPassword } from '../access/passwords';
import type { Viewer } from '../access/viewer';
import { loadChart } from '../charts/chart-store';
import { maybeChartLocked, type ChartHead } from '../charts/charts.queries';
import { insertClient } from '../clients/clients.queries';
import { inTransactionOn } from '../database/transaction';
import { postEntries } from '../postings/entries.queries';
import { saveProposal } from '../proposals/proposals.service';
import { handOverTo } from '../reviews/reviews.service';
import { adopt } from '../adopting/adopt';
import {
  readClientFiles,
  readPractice,
  type DemoClient,
  type DemoOpenItems,
  type DemoPractice,
  type DemoProposal,
  type DemoRoutes,
} from './demo-files';
import { chartOfRows, entriesOf, gestureSteps, operationsOf } from './demo-operations';
import { routeItemsOf } from './demo-routes';
import { keepOpenItems } from '../ledger/open-items.service';
import { keepRoute } from '../routes/routes.service';
import { deletePractice, hasPractice, insertPractice, insertUser } from './demo.queries';
import { beginChart, benchOf } from '../benches/benches.service';

/** How to sign in to the demo practice. */
export type DemoSignIn = NonNullable<EntranceAnswer['demo']>;

const loadUsers = async (pool: pg.Pool, practice: DemoPractice): Promise<Map<string, Viewer>> => {
  const passwordHash = await hashPassword(practice.password);
  const viewers = new Map<string, Viewer>();
  await inTransactionOn(pool, async (transaction) => {
    await insertPractice(transaction, practice);
    for (const user of practice.users) {
      const id = randomUUID();
      await insertUser(transaction, { ...user, id, practiceId: practice.id, passwordHash });
      const { role } = user;
      viewers.set(user.email, { userId: id, practiceId: practice.id, role, clientId: null });
    }
  });
  return viewers;
};

interface ClientAt {
  readonly client: DemoClient;
  readonly clientId: string;
  readonly folder: string;
  readonly viewers: Map<string, Viewer>;
}

const viewerIn = (viewers: Map<string, Viewer>, email: string): Viewer => {
  const viewer = viewers.get(email);
  if (viewer === undefined) throw new Error(`the demo has no user ${email}`);
  return viewer;
};

const currentChart = (pool: pg.Pool, viewer: Viewer, clientId: string) =>
  inTransactionOn(pool, async (transaction) => {
    const head = await maybeChartLocked(transaction, viewer, clientId);
    if (head === undefined) throw new Error('the demo client has no chart');
    return { head, chart: await loadChart(transaction, head) };
  });

/** Keeps a proposal over whatever its author had. Gives its version. */
const keepProposal = async (
  pool: pg.Pool,
  viewer: Viewer,
  {
    clientId,
    kept,
  }: { readonly clientId: string; readonly kept: Omit<SaveProposalRequest, 'version'> },
): Promise<number> => {
  const { chart } = await benchOf(pool, viewer, clientId);
  const request = { ...kept, version: chart?.proposal.version ?? 0 };
  return (await saveProposal(pool, viewer, { clientId, request })).version;
};

const adoptRevisions = async (
  pool: pg.Pool,
  { clientId, viewers }: ClientAt,
  files: Awaited<ReturnType<typeof readClientFiles>>,
): Promise<void> => {
  const first = operationsOf(files.accounts);
  chartOfRows(emptyChart(USUAL_SETTINGS), first);
  for (const [index, { author, note, gestures }] of files.revisions.entries()) {
    const viewer = viewerIn(viewers, author);
    const { chart } = await currentChart(pool, viewer, clientId);
    const batches = [...(index === 0 ? [first] : []), ...gestureSteps(chart, gestures)];
    const steps = batches.map((operations) => ({ id: randomUUID(), operations: [...operations] }));
    const kept = { keeps: 0, baseRevision: index, steps, conflicts: [], name: note, comment: '' };
    const version = await keepProposal(pool, viewer, { clientId, kept });
    await adopt(pool, viewer, { clientId, request: { version } });
  }
};

const loadClient = async (pool: pg.Pool, at: ClientAt): Promise<void> => {
  const files = await readClientFiles(at.folder);
  const [owner] = [...at.viewers.values()];
  if (owner === undefined) throw new Error('the demo has no user');
  await beginChart(pool, owner, at.clientId);
  await adoptRevisions(pool, at, files);
  const { chart, head } = await currentChart(pool, owner, at.clientId);
  const entries = entriesOf(chart, files.lines, at.client.currency);
  await inTransactionOn(pool, (transaction) => postEntries(transaction, head, entries));
  if (files.routes !== null) await loadRoutes(pool, at, { chart, routes: files.routes });
  if (files.openItems !== null) await loadOpenItems(pool, at, { chart, listed: files.openItems });
  if (files.proposal !== null)
    await loadProposal(pool, at, { head, chart, proposal: files.proposal });
};

/** Keeps the demo's routes. */
const loadRoutes = async (
  pool: pg.Pool,
  { clientId, viewers }: ClientAt,
  { chart, routes }: { readonly chart: Chart; readonly routes: DemoRoutes },
): Promise<void> => {
  const viewer = viewerIn(viewers, routes.author);
  for (const { id: itemId, content } of routeItemsOf(chart, routes))
    await keepRoute(pool, viewer, { clientId, itemId, request: { version: 0, content } });
};

/** Keeps what stood open in an account of the demo. */
const loadOpenItems = async (
  pool: pg.Pool,
  { clientId, viewers }: ClientAt,
  { chart, listed }: { readonly chart: Chart; readonly listed: DemoOpenItems },
): Promise<void> => {
  const { author, account, month, items } = listed;
  const accountId = idByNumber(chart, account);
  if (accountId === undefined) throw new Error(`the demo’s open items name ${account}`);
  const request = { version: 0, list: { month, items } };
  await keepOpenItems(pool, viewerIn(viewers, author), { clientId, accountId, request });
};

/** Keeps the demo's pending proposal, and hands it over where the demo says so. */
const loadProposal = async (
  pool: pg.Pool,
  { clientId, viewers }: ClientAt,
  { head, chart, proposal }: { head: ChartHead; chart: Chart; proposal: DemoProposal },
): Promise<void> => {
  const { author, name, comment, handedTo, gestures } = proposal;
  const steps = gestureSteps(chart, gestures).map((operations) => ({
    id: randomUUID(),
    operations: [...operations],
  }));
  const viewer = viewerIn(viewers, author);
  const kept = { keeps: 0, baseRevision: head.revision, steps, conflicts: [], name, comment };
  const version = await keepProposal(pool, viewer, { clientId, kept });
  if (handedTo === null) return;
  const request = { reviewerId: viewerIn(viewers, handedTo).userId, version };
  await handOverTo(pool, viewer, { clientId, request });
};

const loadPractice = async (
  pool: pg.Pool,
  practice: DemoPractice,
  folder: string,
): Promise<void> => {
  const viewers = await loadUsers(pool, practice);
  for (const client of practice.clients) {
    const clientId = randomUUID();
    const { folder: own, ...details } = client;
    await inTransactionOn(pool, (transaction) =>
      insertClient(transaction, { ...details, id: clientId, practiceId: practice.id }),
    );
    if (own !== null)
      await loadClient(pool, { client, clientId, viewers, folder: join(folder, own) });
  }
};

/**
 * Loads the demo practice into an empty database, or anew when `fresh`; other practices are left
 * alone. Gives the sign-in, or `undefined` when the database holds other practices only.
 */
export const loadDemo = async (
  pool: pg.Pool,
  asked: { readonly folder: string; readonly fresh: boolean },
): Promise<DemoSignIn | undefined> => {
  const practice = await readPractice(asked.folder);
  if (asked.fresh)
    await inTransactionOn(pool, (transaction) => deletePractice(transaction, practice.id));
  if (asked.fresh || !(await hasPractice(pool))) {
    await loadPractice(pool, practice, asked.folder);
    await pool.query('ANALYZE');
  }
  const { rows } = await pool.query('SELECT id FROM practice WHERE id = $1', [practice.id]);
  if (rows.length === 0) return undefined;
  return { people: practice.users, password: practice.password };
};
