import {
  accountsIn,
  brokenBy,
  routesOf,
  type Filer,
  type PersonalVeil,
  type Proposed,
} from '@iunctus/core';
import type { ChartHead } from '../charts/charts.queries';
import type { Transaction } from '../database/transaction';
import { problem } from '../problems/problem';
import { manyRoutes } from './routes.queries';

/**
 * Where the practice wishes it so, refuses what breaks a proof that held before. Proofs of accounts that are hidden from
 * the viewer hold it up as well, without their names.
 */
export const refuseBrokenProofs = async (
  on: Transaction,
  { head, personal }: { readonly head: ChartHead; readonly personal: PersonalVeil },
  { filer, ...proposed }: Proposed & { readonly filer: Filer },
): Promise<void> => {
  const items = await manyRoutes(on, head);
  const routes = routesOf(items);
  if (routes.gate?.content.blocks !== true) return;
  const broken = new Set(
    brokenBy(proposed, { routes, filer })
      .filter(({ since }) => since !== null)
      .map(({ proofId }) => proofId),
  );
  if (broken.size === 0) return;
  const names = routes.proofs
    .filter(
      ({ id, content }) =>
        broken.has(id) && accountsIn(content).every((one) => !personal.veil.hides(one)),
    )
    .map(({ content }) => content.name);
  problem({ code: 'proofsBroken', names });
};
