// A thousand adoptions of twenty people on twenty charts, while four others read: how much longer a read takes.
// Baseline: the same reads with nobody else there, in the same run.
import { randomUUID } from 'node:crypto';
import { hashPassword } from '../apps/server/src/access/passwords';
import { inTransactionOn } from '../apps/server/src/database/transaction';
import { insertUser } from '../apps/server/src/demo/demo.queries';
import { addChart, openDatabase, PASSWORD } from './support/database';
import { largeChart } from './support/large-chart';
import { say } from './support/report';
import { serveBuilt, signedIn, type Ask } from './support/served';

const ADOPTERS = 20;
const EACH = 50;
const READERS = 4;

interface Bench {
  readonly chart: {
    readonly revision: number;
    readonly accounts: readonly { readonly id: string }[];
    readonly proposal: { readonly version: number };
  };
}

const database = await openDatabase();
const { practiceId } = database.viewer;
const passwordHash = await hashPassword(PASSWORD);
const people = Array.from({ length: ADOPTERS + READERS }, (_, at) => `person${at}@bench.example`);
await inTransactionOn(database.pool, async (on) => {
  for (const email of people)
    await insertUser(on, {
      id: randomUUID(),
      practiceId,
      email,
      name: email,
      role: 'bookkeeper',
      passwordHash,
    });
});
const charts: string[] = [];
for (const [at] of people.entries())
  charts.push((await addChart(database, `Client ${at}`, largeChart(500))).clientId);

const served = await serveBuilt(database);
const asks: Ask[] = [];
for (const email of people) asks.push(await signedIn(served, email));

const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const began = performance.now();
  await work();
  return performance.now() - began;
};

/** Reads a chart, its amounts and the list of clients until told to stop; gives how long each read took. */
const reading = async (at: number, goOn: () => boolean): Promise<number[]> => {
  const [ask, clientId] = [asks[ADOPTERS + at], charts[ADOPTERS + at]];
  const times: number[] = [];
  const paths = [
    `/clients/${clientId}/bench`,
    `/clients/${clientId}/balances?first=2026-01&last=2026-10`,
    '/clients',
  ];
  for (let turn = 0; goOn(); turn += 1) {
    times.push(await timed(() => (ask as Ask)('GET', paths[turn % paths.length] ?? '')));
    await new Promise((resolve) => setTimeout(resolve, 40));
  }
  return times;
};
const allReading = async (goOn: () => boolean): Promise<number[]> =>
  (await Promise.all(Array.from({ length: READERS }, (_, at) => reading(at, goOn)))).flat();

/** Adopts a new note fifty times, one after the other, each on the newest revision. */
const adopting = async (at: number): Promise<number[]> => {
  const [ask, clientId] = [asks[at] as Ask, charts[at]];
  const times: number[] = [];
  const { chart } = await ask<Bench>('GET', `/clients/${clientId}/bench`);
  let { version } = chart.proposal;
  for (let turn = 0; turn < EACH; turn += 1) {
    const operation = {
      type: 'editField',
      id: chart.accounts[turn]?.id,
      field: 'notes',
      value: `${turn}`,
    };
    const steps = [{ id: randomUUID(), operations: [operation] }];
    const kept = await ask<{ version: number }>('PUT', `/clients/${clientId}/proposal`, {
      version,
      baseRevision: chart.revision + turn,
      steps,
      conflicts: [],
    });
    times.push(
      await timed(() => ask('POST', `/clients/${clientId}/revisions`, { version: kept.version })),
    );
    version = kept.version + 1;
  }
  return times;
};

const at = (times: readonly number[], share: number): number =>
  [...times].sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(times.length * share))] ??
  0;
const told = (times: readonly number[]): string =>
  `median ${at(times, 0.5).toFixed(0)} ms, p99 ${at(times, 0.99).toFixed(0)} ms, longest ${at(times, 1).toFixed(0)} ms`;

let busy = true;
// Threads are started and code is compiled before anything is measured.
const warmUntil = Date.now() + 4000;
await allReading(() => Date.now() < warmUntil);
const aloneUntil = Date.now() + 8000;
const alone = await allReading(() => Date.now() < aloneUntil);
const began = performance.now();
const reads = allReading(() => busy);
const adoptions = (
  await Promise.all(Array.from({ length: ADOPTERS }, (_, one) => adopting(one)))
).flat();
const seconds = (performance.now() - began) / 1000;
busy = false;
const beside = await reads;

say(`reads alone: ${told(alone)} (${alone.length})`);
say(
  `reads beside ${adoptions.length} adoptions of ${ADOPTERS} people: ${told(beside)} (${beside.length})`,
);
say(`adoptions: ${told(adoptions)}; ${(adoptions.length / seconds).toFixed(0)} a second`);
const longer = at(beside, 1) - at(alone, 1);
say(
  `${longer <= 1000 ? 'reached' : 'MISSED '}  the longest read takes ${longer.toFixed(0)} ms longer than alone (at most 1000); ratio ${(at(beside, 1) / at(alone, 1)).toFixed(2)}`,
);
served.stop();
await database.pool.end();
