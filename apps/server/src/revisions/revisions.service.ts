import type { RevisionAnswer, UndoAnswer } from '@iunctus/contract';
import { inverseOf, replay } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/access.service';
import { loadChart } from '../charts/chart-store';
import { maybeChart } from '../charts/charts.queries';
import { clientOf } from '../clients/clients.service';
import { problem } from '../http/problem';
import { manyLandedSince, manyRevisions, maybeLanded } from './revisions.queries';

/** The client's revisions, newest first; none for a client without a chart. */
export const listRevisions = async (
  pool: pg.Pool,
  viewer: Viewer,
  clientId: string,
): Promise<RevisionAnswer[]> => {
  await clientOf(pool, viewer, clientId);
  return manyRevisions(pool, viewer, clientId);
};

/**
 * The operations that would take a revision back on the newest chart, each rebased over what
 * landed since; those that no longer fit come as conflicts. Nothing is changed: undoing is a
 * proposal like any other.
 */
export const undoOf = async (
  pool: pg.Pool,
  viewer: Viewer,
  asked: { readonly clientId: string; readonly revision: number },
): Promise<UndoAnswer> => {
  const head = (await maybeChart(pool, viewer, asked.clientId)) ?? problem({ code: 'notFound' });
  const own = (await maybeLanded(pool, head, asked.revision)) ?? problem({ code: 'notFound' });
  const since = await manyLandedSince(pool, head, asked.revision);
  const steps = inverseOf(own).map((operation, index) => ({
    id: stepId(asked.revision, index),
    operations: [operation],
  }));
  const replayed = replay(await loadChart(pool, head), steps, since);
  return {
    operations: replayed.steps.flatMap(({ operations }) => [...operations]),
    conflicts: [...replayed.conflicts],
  };
};

/** Steps need ids of the shape that the contract asks for; these are told apart within one answer. */
const stepId = (revision: number, index: number): string =>
  `00000000-0000-4000-8000-${revision.toString(16).padStart(6, '0').slice(-6)}${index.toString(16).padStart(6, '0').slice(-6)}`;
