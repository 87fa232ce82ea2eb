import type { FindingNotesAnswer } from '@iunctus/contract';
import { NOTE_LIMITS, type FindingNote, type PersonalVeil } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { inChart, inLockedChart } from '../charts/in-chart';
import { bearsNoAccount, madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { inTransactionOn, onSnapshotOf, type Source } from '../database/transaction';
import { badRequest } from '../problems/problem';
import {
  countFindingNotes,
  deleteFindingNote,
  manyFindingNotes,
  upsertFindingNote,
} from './findings.queries';

const ID = /[0-9a-f]{8}-[0-9a-f-]{27}/g;

/** Whether a note is about accounts that are all to be seen. */
const isSeen = ({ key, print }: FindingNote, { veil }: PersonalVeil): boolean =>
  (`${key} ${print}`.match(ID) ?? []).every((id) => !veil.hides(id));

/** The notes on a client's findings, but for those about hidden accounts. */
export const findingNotesOf = (
  source: Source,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<FindingNotesAnswer>> =>
  onSnapshotOf(source, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) =>
      madeOfVeiled((await manyFindingNotes(on, head)).filter((note) => isSeen(note, personal))),
    ),
  );

/** Puts a finding off, or sets it aside. */
export const noteFinding = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, note }: { readonly clientId: string; readonly note: FindingNote },
): Promise<Veiled<object>> =>
  inTransactionOn(pool, (on) =>
    inLockedChart(on, { viewer, clientId }, async ({ head, personal }) => {
      if (!isSeen(note, personal)) return badRequest('key', 'names no account of this chart');
      if ((await countFindingNotes(on, head)) >= NOTE_LIMITS.notes)
        return badRequest('notes', `are ${NOTE_LIMITS.notes} already: bring some back`);
      await upsertFindingNote(on, head, { authorId: viewer.userId, note });
      return bearsNoAccount({});
    }),
  );

/** Brings a finding back; one that is back already is. */
export const dropFindingNote = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, noteId }: { readonly clientId: string; readonly noteId: string },
): Promise<Veiled<object>> =>
  inTransactionOn(pool, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const there = (await manyFindingNotes(on, head)).find(({ id }) => id === noteId);
      if (there !== undefined && isSeen(there, personal)) await deleteFindingNote(on, head, noteId);
      return bearsNoAccount({});
    }),
  );
