import type { KeptChart, Origin } from '@iunctus/core';
import type { Viewer } from '../access/viewer';
import { change, many, maybeOne } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

/** A version as it is listed. */
export interface VersionRow {
  readonly kept_chart_id: string;
  readonly name: string;
  readonly number: number;
  readonly note: string;
  readonly made_at: Date;
  readonly made_by: string;
  readonly accounts: number;
}

/** All versions of the practice's charts, by name, the newest first. */
export const manyVersions = (on: Reader, viewer: Viewer): Promise<VersionRow[]> =>
  many(on, {
    text: `
      SELECT version.kept_chart_id, kept.name, version.number, version.note, version.made_at,
             author.name AS made_by, jsonb_array_length(version.content -> 'accounts') AS accounts
      FROM kept_chart_version AS version
      JOIN kept_chart AS kept ON kept.id = version.kept_chart_id
      JOIN app_user AS author ON author.id = version.made_by
      WHERE version.practice_id = $1
      ORDER BY kept.name, version.number DESC`,
    values: [viewer.practiceId],
  });

/** A client that began from one of the practice's charts. */
export interface OriginRow {
  readonly client_id: string;
  readonly client_name: string;
  readonly kept_chart_id: string;
  readonly name: string;
  readonly version: number;
  readonly latest: number;
  readonly ids: Origin;
}

/** The clients that began from the practice's charts; one of them alone with `clientId`. */
export const manyOrigins = (
  on: Reader,
  viewer: Viewer,
  clientId: string | null,
): Promise<OriginRow[]> =>
  many(on, {
    text: `
      SELECT origin.client_id, client.name AS client_name, origin.kept_chart_id, kept.name,
             origin.version, origin.ids,
             (SELECT max(number) FROM kept_chart_version
              WHERE kept_chart_id = origin.kept_chart_id) AS latest
      FROM client_origin AS origin
      JOIN client ON client.id = origin.client_id
      JOIN kept_chart AS kept ON kept.id = origin.kept_chart_id
      WHERE origin.practice_id = $1 AND ($2::uuid IS NULL OR origin.client_id = $2)
      ORDER BY client.name`,
    values: [viewer.practiceId, clientId],
  });

/** What a version holds, or `undefined`. */
export const maybeVersion = async (
  on: Reader,
  viewer: Viewer,
  { keptChartId, version }: { readonly keptChartId: string; readonly version: number },
): Promise<KeptChart | undefined> => {
  const row = await maybeOne<{ content: KeptChart }>(on, {
    text: `
      SELECT content FROM kept_chart_version
      WHERE practice_id = $1 AND kept_chart_id = $2 AND number = $3`,
    values: [viewer.practiceId, keptChartId, version],
  });
  return row?.content;
};

/** Adds a chart without a version. The name must be free. */
export const insertKeptChart = (
  on: Transaction,
  viewer: Viewer,
  { id, name }: { readonly id: string; readonly name: string },
): Promise<number> =>
  change(on, {
    text: 'INSERT INTO kept_chart (id, practice_id, name) VALUES ($1, $2, $3)',
    values: [id, viewer.practiceId, name],
  });

/** Locks a chart and gives the number of its newest version; `undefined` when there is no such chart. */
export const maybeLatestLocked = async (
  on: Transaction,
  viewer: Viewer,
  keptChartId: string,
): Promise<number | undefined> => {
  const row = await maybeOne<{ latest: number }>(on, {
    text: `
      SELECT coalesce((SELECT max(number) FROM kept_chart_version
                       WHERE kept_chart_id = kept_chart.id), 0) AS latest
      FROM kept_chart WHERE practice_id = $1 AND id = $2 FOR UPDATE`,
    values: [viewer.practiceId, keptChartId],
  });
  return row?.latest;
};

/** Adds a version. */
export const insertVersion = (
  on: Transaction,
  viewer: Viewer,
  version: {
    readonly keptChartId: string;
    readonly number: number;
    readonly note: string;
    readonly content: KeptChart;
  },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO kept_chart_version (practice_id, kept_chart_id, number, made_by, note, content)
      VALUES ($1, $2, $3, $4, $5, $6::jsonb)`,
    values: [
      viewer.practiceId,
      version.keptChartId,
      version.number,
      viewer.userId,
      version.note,
      JSON.stringify(version.content),
    ],
  });

/** Notes from which version a client began, or to which it was brought. */
export const upsertOrigin = (
  on: Transaction,
  viewer: Viewer,
  origin: {
    readonly clientId: string;
    readonly keptChartId: string;
    readonly version: number;
    readonly ids: Origin;
  },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO client_origin (client_id, practice_id, kept_chart_id, version, ids)
      VALUES ($1, $2, $3, $4, $5::jsonb)
      ON CONFLICT (client_id) DO UPDATE
        SET kept_chart_id = excluded.kept_chart_id, version = excluded.version, ids = excluded.ids`,
    values: [
      origin.clientId,
      viewer.practiceId,
      origin.keptChartId,
      origin.version,
      JSON.stringify(origin.ids),
    ],
  });

/** Notes where a client's chart comes from once a step of the viewer's is adopted. */
export const upsertPendingOrigin = (
  on: Transaction,
  viewer: Viewer,
  origin: {
    readonly clientId: string;
    readonly stepId: string;
    readonly keptChartId: string;
    readonly version: number;
    readonly ids: Origin;
  },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO client_origin_pending
        (client_id, user_id, practice_id, step_id, kept_chart_id, version, ids)
      VALUES ($1, $2, $3, $4, $5, $6, $7::jsonb)
      ON CONFLICT (client_id, user_id) DO UPDATE
        SET step_id = excluded.step_id, kept_chart_id = excluded.kept_chart_id,
            version = excluded.version, ids = excluded.ids`,
    values: [
      origin.clientId,
      viewer.userId,
      viewer.practiceId,
      origin.stepId,
      origin.keptChartId,
      origin.version,
      JSON.stringify(origin.ids),
    ],
  });

/** The client comes from where its adopted steps brought it. Gives how many origins that settles: one, or none. */
export const settleOrigin = (
  on: Transaction,
  viewer: Viewer,
  adopted: { readonly clientId: string; readonly stepIds: readonly string[] },
): Promise<number> =>
  change(on, {
    text: `
      WITH settled AS (
        DELETE FROM client_origin_pending
        WHERE practice_id = $1 AND client_id = $2 AND user_id = $3 AND step_id = ANY ($4::uuid[])
        RETURNING client_id, practice_id, kept_chart_id, version, ids
      )
      INSERT INTO client_origin (client_id, practice_id, kept_chart_id, version, ids)
      SELECT client_id, practice_id, kept_chart_id, version, ids FROM settled
      ON CONFLICT (client_id) DO UPDATE
        SET kept_chart_id = excluded.kept_chart_id, version = excluded.version, ids = excluded.ids`,
    values: [viewer.practiceId, adopted.clientId, viewer.userId, adopted.stepIds],
  });

/** Gives a chart another name, which must be free. Gives how many charts that changed: one, or none. */
export const updateKeptChart = (
  on: Transaction,
  viewer: Viewer,
  { id, name }: { readonly id: string; readonly name: string },
): Promise<number> =>
  change(on, {
    text: 'UPDATE kept_chart SET name = $3 WHERE practice_id = $1 AND id = $2',
    values: [viewer.practiceId, id, name],
  });

/** Removes a chart with its versions, and what says that clients came from it. Gives how many charts went. */
export const deleteKeptChart = (on: Transaction, viewer: Viewer, id: string): Promise<number> =>
  change(on, {
    text: 'DELETE FROM kept_chart WHERE practice_id = $1 AND id = $2',
    values: [viewer.practiceId, id],
  });

/** Who made the versions of one of the practice's charts. */
export const manyMakers = async (
  on: Reader,
  viewer: Viewer,
  keptChartId: string,
): Promise<readonly string[]> => {
  const rows = await many<{ made_by: string }>(on, {
    text: `
      SELECT DISTINCT made_by FROM kept_chart_version
      WHERE practice_id = $1 AND kept_chart_id = $2`,
    values: [viewer.practiceId, keptChartId],
  });
  return rows.map(({ made_by }) => made_by);
};
