import type { LayoutAnswer, LayoutRequest, LayoutsAnswer } from '@iunctus/contract';
import {
  editOwn,
  OWN_LIMITS,
  ownPlaces,
  type OwnFault,
  type OwnLayout,
  type OwnRow,
  type PersonalVeil,
} from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { loadChart } from '../charts/chart-store';
import type { ChartHead } from '../charts/charts.queries';
import { inChart, inLockedChart } from '../charts/in-chart';
import { bearsNoAccount, madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import {
  inTransactionOn,
  onSnapshotOf,
  type Transaction,
  type Source,
} from '../database/transaction';
import { badRequest, problem } from '../problems/problem';
import {
  countLayouts,
  deleteLayout,
  manyLayouts,
  upsertLayout,
  type StoredLayout,
} from './layouts.queries';

interface Item {
  readonly clientId: string;
  readonly layoutId: string;
}

const namesHidden = (row: OwnRow, { veil }: PersonalVeil): boolean =>
  row.type === 'line' && row.accounts.some((id) => veil.hides(id));

/** A layout without the accounts that are hidden, and without what their lines are called. */
const seenAs = (layout: OwnLayout, personal: PersonalVeil): OwnLayout => {
  const { veil } = personal;
  const rows = layout.rows.map((row) =>
    row.type === 'line' && namesHidden(row, personal)
      ? { ...row, words: '', accounts: row.accounts.filter((id) => !veil.hides(id)) }
      : row,
  );
  const empty = layout.rows.filter(
    (row) => row.type === 'line' && namesHidden(row, personal) && row.accounts.every(veil.hides),
  );
  return empty.reduce<OwnLayout>((so, { id }) => editOwn(so, { does: 'remove', id }), {
    ...layout,
    rows,
  });
};

const isPartly = ({ layout }: StoredLayout, personal: PersonalVeil): boolean =>
  layout.rows.some((row) => namesHidden(row, personal));

const answered = (stored: StoredLayout, personal: PersonalVeil): LayoutAnswer => ({
  ...stored,
  layout: seenAs(stored.layout, personal),
  partly: isPartly(stored, personal),
});

/** The layouts of a client, as they are seen. */
export const layoutsOfClient = (
  source: Source,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<LayoutsAnswer>> =>
  onSnapshotOf(source, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) =>
      madeOfVeiled((await manyLayouts(on, head)).map((stored) => answered(stored, personal))),
    ),
  );

const FAULTS: Readonly<Record<OwnFault['is'], string>> = {
  missing: 'misses accounts',
  twice: 'has accounts twice',
  resultMissing: 'misses the result',
  resultTwice: 'has the result twice',
  summedTwice: 'sums up a line twice',
};

/** Refuses to call complete what does not hand over all that the adopted chart holds. */
const refuseIncomplete = async (
  on: Transaction,
  head: ChartHead,
  { layout, personal }: { readonly layout: OwnLayout; readonly personal: PersonalVeil },
): Promise<void> => {
  if (!layout.complete) return;
  const { faults } = ownPlaces(await loadChart(on, head), layout);
  const [fault] = faults.filter(
    (one) => !('accountId' in one) || !personal.veil.hides(one.accountId),
  );
  if (fault !== undefined) badRequest('complete', FAULTS[fault.is]);
};

const refuseHidden = (
  layout: OwnLayout,
  stored: StoredLayout | undefined,
  personal: PersonalVeil,
): void => {
  if (layout.rows.some((row) => namesHidden(row, personal)))
    badRequest('accounts', 'name none of this chart');
  if (stored !== undefined && isPartly(stored, personal))
    badRequest('layout', 'names accounts that are not shown to you');
};

/** Keeps a layout. Refuses to overwrite what somebody else kept meanwhile, and to call complete what is not. */
export const keepLayout = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, layoutId: id, request }: Item & { readonly request: LayoutRequest },
): Promise<Veiled<{ version: number }>> =>
  inTransactionOn(pool, (on) =>
    inLockedChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const { layout, version } = request;
      const stored = (await manyLayouts(on, head)).find((one) => one.id === id);
      refuseHidden(layout, stored, personal);
      await refuseIncomplete(on, head, { layout, personal });
      if (version === 0 && (await countLayouts(on, head)) >= OWN_LIMITS.layouts)
        return badRequest('layouts', `are ${OWN_LIMITS.layouts} already: drop some`);
      const kept = await upsertLayout(on, head, { id, authorId: viewer.userId, request });
      return kept === 0
        ? problem({ code: 'overtaken', by: 'layout' })
        : bearsNoAccount({ version: version + 1 });
    }),
  );

/** Drops a layout; one that is gone already is dropped. */
export const dropLayout = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, layoutId }: Item,
): Promise<Veiled<object>> =>
  inTransactionOn(pool, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const there = (await manyLayouts(on, head)).find(({ id }) => id === layoutId);
      if (there !== undefined && !isPartly(there, personal)) await deleteLayout(on, head, layoutId);
      return bearsNoAccount({});
    }),
  );
