import type { DraftRequest, DraftsAnswer } from '@iunctus/contract';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { inChart } from '../charts/in-chart';
import { bearsNoAccount, madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { inTransactionOn } from '../database/transaction';
import { badRequest, problem } from '../problems/problem';
import { countDrafts, deleteDraft, manyDrafts, upsertDraft } from './drafts.queries';

/** Drafts that one person keeps at most for one client. */
const MOST = 200;

interface Draft {
  readonly clientId: string;
  readonly draftId: string;
}

/** The viewer's own drafts: what they typed themselves. */
export const draftsOf = (
  pool: pg.Pool,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<DraftsAnswer>> =>
  inChart(pool, { viewer, clientId }, async ({ head }) =>
    madeOfVeiled(await manyDrafts(pool, head, viewer)),
  );

/** Keeps a draft as it is typed. Refuses to overwrite what another window kept meanwhile. */
export const keepDraft = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, draftId: id, draft }: Draft & { readonly draft: DraftRequest },
): Promise<Veiled<{ version: number }>> =>
  inTransactionOn(pool, (on) =>
    inChart(on, { viewer, clientId }, async ({ head }) => {
      if (draft.version === 0 && (await countDrafts(on, head, viewer)) >= MOST)
        return badRequest('drafts', `are ${MOST} already: post or drop some`);
      const kept = await upsertDraft(on, head, { id, viewer, draft });
      return kept === 0
        ? problem({ code: 'overtaken', by: 'draft' })
        : bearsNoAccount({ version: draft.version + 1 });
    }),
  );

/** Drops a draft; one that is gone already is dropped. */
export const dropDraft = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, draftId: id }: Draft,
): Promise<Veiled<object>> =>
  inTransactionOn(pool, (on) =>
    inChart(on, { viewer, clientId }, async ({ head }) => {
      await deleteDraft(on, head, { id, viewer });
      return bearsNoAccount({});
    }),
  );
