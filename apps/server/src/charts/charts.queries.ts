import type { FormerTitle } from '@iunctus/contract';
import type {
  Account,
  AccountRecord,
  ChartSettings,
  MergedAccount,
  NumberPlan,
} from '@iunctus/core';
import type { Viewer } from '../access/viewer';
import { change, many, maybeOne } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

/** A chart's head: which one, at which revision, kept how, and through which day its books are locked (`null` for none). */
export interface ChartHead {
  readonly id: string;
  readonly practiceId: string;
  readonly revision: number;
  readonly settings: ChartSettings;
  readonly lockedThrough: string | null;
}

interface HeadRow {
  readonly id: string;
  readonly practice_id: string;
  readonly revision: number;
  readonly plan: NumberPlan;
  readonly numbered: boolean;
  readonly unique_names: ChartSettings['uniqueNames'];
  readonly dimensions: ChartSettings['dimensions'];
  readonly locked_through: string | null;
}

const headOf = (row: HeadRow): ChartHead => ({
  id: row.id,
  practiceId: row.practice_id,
  revision: row.revision,
  settings: {
    plan: row.plan,
    numbered: row.numbered,
    uniqueNames: row.unique_names,
    dimensions: row.dimensions,
  },
  lockedThrough: row.locked_through,
});

const HEAD = `SELECT id, practice_id, revision, plan, numbered, unique_names, dimensions, locked_through
              FROM chart WHERE practice_id = $1 AND client_id = $2`;

/** The client's chart, or `undefined` for a client without one. */
export const maybeChart = async (
  on: Reader,
  viewer: Viewer,
  clientId: string,
): Promise<ChartHead | undefined> => {
  const row = await maybeOne<HeadRow>(on, { text: HEAD, values: [viewer.practiceId, clientId] });
  return row === undefined ? undefined : headOf(row);
};

/** The same, locked until the transaction ends: whoever adopts next waits. */
export const maybeChartLocked = async (
  on: Transaction,
  viewer: Viewer,
  clientId: string,
): Promise<ChartHead | undefined> => {
  const row = await maybeOne<HeadRow>(on, {
    text: `${HEAD} FOR UPDATE`,
    values: [viewer.practiceId, clientId],
  });
  return row === undefined ? undefined : headOf(row);
};

/** Gives the client an empty chart, unless it has one. */
export const insertChart = (
  on: Transaction,
  chart: { id: string; practiceId: string; clientId: string; settings: ChartSettings },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO chart (id, practice_id, client_id, plan, numbered, unique_names)
      VALUES ($1, $2, $3, $4, $5, $6)
      ON CONFLICT (client_id) DO NOTHING`,
    values: [
      chart.id,
      chart.practiceId,
      chart.clientId,
      JSON.stringify(chart.settings.plan),
      chart.settings.numbered,
      chart.settings.uniqueNames,
    ],
  });

/** Sets the number of the newest revision. */
export const setRevision = (on: Transaction, head: ChartHead, revision: number): Promise<number> =>
  change(on, {
    text: 'UPDATE chart SET revision = $3 WHERE practice_id = $1 AND id = $2',
    values: [head.practiceId, head.id, revision],
  });

/** Stores a chart's number plan, whether its accounts must bear numbers, and its dimensions. */
export const updateSettings = (
  on: Transaction,
  head: ChartHead,
  { plan, numbered, dimensions }: ChartSettings,
): Promise<number> =>
  change(on, {
    text: `
      UPDATE chart SET plan = $3, numbered = $4, dimensions = $5
      WHERE practice_id = $1 AND id = $2`,
    values: [head.practiceId, head.id, JSON.stringify(plan), numbered, JSON.stringify(dimensions)],
  });

interface AccountRow {
  readonly id: string;
  readonly parent_id: string | null;
  readonly number: string | null;
  readonly name: string;
  readonly short_label: string;
  readonly guidance: string;
  readonly notes: string;
  readonly role: AccountRecord['role'];
  readonly kind: AccountRecord['kind'];
  readonly retired_on: string | null;
  readonly system_use: AccountRecord['systemUse'];
  readonly settings: AccountRecord['settings'];
}

const accountOf = (row: AccountRow): Account => ({
  id: row.id,
  number: row.number,
  name: row.name,
  shortLabel: row.short_label,
  guidance: row.guidance,
  notes: row.notes,
  role: row.role,
  kind: row.kind,
  retiredOn: row.retired_on,
  systemUse: row.system_use,
  settings: row.settings,
});

/** All accounts that stand in a chart, siblings in their order. */
export const manyAccounts = async (on: Reader, head: ChartHead): Promise<AccountRecord[]> => {
  const rows = await many<AccountRow>(on, {
    text: `
      SELECT id, parent_id, number, name, short_label, guidance, notes, role, kind,
             retired_on, system_use, settings
      FROM account WHERE practice_id = $1 AND chart_id = $2 AND merged_into IS NULL
      ORDER BY parent_id NULLS FIRST, position`,
    values: [head.practiceId, head.id],
  });
  return rows.map((row) => ({ ...accountOf(row), parentId: row.parent_id }));
};

/** The accounts of a chart that were merged into others. */
export const manyMerged = async (on: Reader, head: ChartHead): Promise<MergedAccount[]> => {
  const rows = await many<AccountRow & { readonly merged_into: string }>(on, {
    text: `
      SELECT id, parent_id, number, name, short_label, guidance, notes, role, kind,
             retired_on, system_use, settings, merged_into
      FROM account WHERE practice_id = $1 AND chart_id = $2 AND merged_into IS NOT NULL
      ORDER BY id`,
    values: [head.practiceId, head.id],
  });
  return rows.map((row) => ({ account: accountOf(row), into: row.merged_into }));
};

/** Ids of the accounts that have postings. */
export const manyPostedIds = async (on: Reader, head: ChartHead): Promise<string[]> => {
  const rows = await many<{ account_id: string }>(on, {
    text: `
      SELECT DISTINCT account_month_total.account_id
      FROM account_month_total JOIN chart ON chart.id = account_month_total.chart_id
      WHERE chart.practice_id = $1 AND chart.id = $2`,
    values: [head.practiceId, head.id],
  });
  return rows.map((row) => row.account_id);
};

/** Ids of the dimension values that postings of a chart carry. */
export const manyUsedValues = async (on: Reader, head: ChartHead): Promise<string[]> => {
  const rows = await many<{ value_id: string }>(on, {
    text: `
      SELECT used.value_id FROM dimension_value_use AS used JOIN chart ON chart.id = used.chart_id
      WHERE chart.practice_id = $1 AND chart.id = $2`,
    values: [head.practiceId, head.id],
  });
  return rows.map((row) => row.value_id);
};

/** An account with its place, ready to be stored. */
export interface PlacedRecord extends AccountRecord {
  readonly position: number;
  readonly mergedInto: string | null;
}

const COLUMNS = `
  id uuid, "parentId" uuid, "position" integer, number text, name text, "shortLabel" text,
  guidance text, notes text, role text, kind text, "retiredOn" date, "systemUse" text,
  settings jsonb, "mergedInto" uuid`;

/** Adds accounts. An id that is taken, in whichever chart, breaks the primary key. */
export const insertAccounts = (
  on: Transaction,
  head: ChartHead,
  records: readonly PlacedRecord[],
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO account (practice_id, chart_id, id, parent_id, position, number, name,
                           short_label, guidance, notes, role, kind, retired_on, system_use,
                           settings, merged_into)
      SELECT $1, $2, id, "parentId", "position", number, name, "shortLabel", guidance, notes,
             role, kind, "retiredOn", "systemUse", settings, "mergedInto"
      FROM jsonb_to_recordset($3::jsonb) AS added (${COLUMNS})`,
    values: [head.practiceId, head.id, JSON.stringify(records)],
  });

/** Stores accounts anew that the chart has already. */
export const updateAccounts = (
  on: Transaction,
  head: ChartHead,
  records: readonly PlacedRecord[],
): Promise<number> =>
  change(on, {
    text: `
      UPDATE account SET
        parent_id = changed."parentId", position = changed."position", number = changed.number,
        name = changed.name, short_label = changed."shortLabel", guidance = changed.guidance,
        notes = changed.notes, role = changed.role, kind = changed.kind,
        retired_on = changed."retiredOn", system_use = changed."systemUse",
        settings = changed.settings, merged_into = changed."mergedInto"
      FROM jsonb_to_recordset($3::jsonb) AS changed (${COLUMNS})
      WHERE account.practice_id = $1 AND account.chart_id = $2 AND account.id = changed.id`,
    values: [head.practiceId, head.id, JSON.stringify(records)],
  });

/** Removes accounts. */
export const deleteAccounts = (
  on: Transaction,
  head: ChartHead,
  ids: readonly string[],
): Promise<number> =>
  change(on, {
    text: 'DELETE FROM account WHERE practice_id = $1 AND chart_id = $2 AND id = ANY($3::uuid[])',
    values: [head.practiceId, head.id, ids],
  });

/** Notes numbers and names that end with the revision after the chart's newest one. */
export const insertFormer = (
  on: Transaction,
  head: ChartHead,
  former: readonly Pick<AccountRecord, 'id' | 'number' | 'name'>[],
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO account_former (practice_id, chart_id, account_id, until_revision, number, name)
      SELECT $1, $2, id, $3, number, name
      FROM jsonb_to_recordset($4::jsonb) AS former (id uuid, number text, name text)`,
    values: [head.practiceId, head.id, head.revision + 1, JSON.stringify(former)],
  });

/** Numbers and names that a chart's accounts bore before, newest first. */
export const manyFormer = async (on: Reader, head: ChartHead): Promise<FormerTitle[]> => {
  const rows = await many<{
    readonly account_id: string;
    readonly number: string | null;
    readonly name: string;
    readonly until_revision: number;
  }>(on, {
    text: `
      SELECT account_id, number, name, until_revision FROM account_former
      WHERE practice_id = $1 AND chart_id = $2 ORDER BY until_revision DESC, account_id`,
    values: [head.practiceId, head.id],
  });
  return rows.map(({ account_id, until_revision, number, name }) => ({
    accountId: account_id,
    number,
    name,
    untilRevision: until_revision,
  }));
};

/** Notes who saw accounts that leave the tree while they are hidden from some. */
export const upsertVeils = (
  on: Transaction,
  head: ChartHead,
  veils: readonly { readonly id: string; readonly seenBy: readonly (readonly string[])[] }[],
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO account_veil (practice_id, chart_id, account_id, seen_by)
      SELECT $1, $2, id, "seenBy" FROM jsonb_to_recordset($3::jsonb) AS gone (id uuid, "seenBy" jsonb)
      ON CONFLICT (chart_id, account_id) DO UPDATE SET seen_by = excluded.seen_by`,
    values: [head.practiceId, head.id, JSON.stringify(veils)],
  });
