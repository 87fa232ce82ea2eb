import type { JournalMemory } from '@iunctus/contract';
import type { PersonalVeil } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import type { ChartHead } from '../charts/charts.queries';
import { inChart, inLockedChart } from '../charts/in-chart';
import { bearsNoAccount, madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { inTransactionOn, type Reader } from '../database/transaction';
import { maybeMemory, upsertMemory } from './journal-memory.queries';

const NOTHING: JournalMemory = { lists: [], bankLists: [], accounts: {} };

const kept = async (on: Reader, head: ChartHead): Promise<JournalMemory> => ({
  ...NOTHING,
  ...(await maybeMemory(on, head)),
});

/** Names that stand for accounts which are hidden from the viewer, or only those of the others. */
const accountsOf = (
  { accounts }: JournalMemory,
  { veil }: PersonalVeil,
  hidden: boolean,
): JournalMemory['accounts'] =>
  Object.fromEntries(Object.entries(accounts).filter(([, id]) => veil.hides(id) === hidden));

/** What columns and names of accounts mean in the lists of entries of a client. */
export const journalMemoryOf = (
  pool: pg.Pool,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<JournalMemory>> =>
  inChart(pool, { viewer, clientId }, async ({ head, personal }) => {
    const memory = await kept(pool, head);
    return madeOfVeiled({ ...memory, accounts: accountsOf(memory, personal, false) });
  });

/** Keeps what they mean; what the viewer does not see stays as it is. */
export const keepJournalMemory = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, memory }: { readonly clientId: string; readonly memory: JournalMemory },
): Promise<Veiled<object>> =>
  inTransactionOn(pool, (on) =>
    inLockedChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const hidden = accountsOf(await kept(on, head), personal, true);
      const accounts = { ...accountsOf(memory, personal, false), ...hidden };
      await upsertMemory(on, head, { ...memory, accounts });
      return bearsNoAccount({});
    }),
  );
