import {
  NO_VEIL,
  touchedBy,
  veilFor,
  type Operation,
  type ProposalStep,
  type Veil,
} from '@iunctus/core';
import type { Viewer } from '../access/access.service';
import { maybeOne } from '../database/query';
import type { Reader } from '../database/transaction';
import { problem } from '../http/problem';
import { manyAccounts, manyMerged, type ChartHead } from './charts.queries';

const hasRestricted = async (on: Reader, head: ChartHead): Promise<boolean> => {
  const row = await maybeOne<{ one: number }>(on, {
    text: `
      SELECT 1 AS one FROM account
      WHERE practice_id = $1 AND chart_id = $2 AND settings ? 'restrictedTo' LIMIT 1`,
    values: [head.practiceId, head.id],
  });
  return row !== undefined;
};

/** What of a chart is hidden from the viewer. */
export const veilOf = async (on: Reader, head: ChartHead, viewer: Viewer): Promise<Veil> =>
  (await hasRestricted(on, head))
    ? veilFor(viewer.userId, await manyAccounts(on, head), await manyMerged(on, head))
    : NO_VEIL;

/** Whether an operation is about an account that is hidden. */
export const isHidden = (operation: Operation, veil: Veil): boolean =>
  touchedBy(operation).some((id) => veil.hides(id));

/**
 * Refuses operations on accounts that are hidden from the viewer, balances of theirs, and a restriction that would
 * shut out the one who makes it. New numbers alone may be given: they say nothing.
 */
export const refuseHidden = (
  steps: readonly Omit<ProposalStep, 'id'>[],
  veil: Veil,
  viewer: Viewer,
): void => {
  const listed = steps.flatMap(({ opening }) => opening?.balances ?? []);
  const hidden = listed.find(({ accountId }) => veil.hides(accountId));
  if (hidden !== undefined) refuseAccount(hidden.accountId);
  for (const operation of steps.flatMap(({ operations }) => operations)) {
    if (operation.type !== 'renumberMany' && isHidden(operation, veil)) refuse(operation);
    const restricts = operation.type === 'changeSetting' && operation.setting === 'restrictedTo';
    if (restricts && operation.value !== null && !operation.value.includes(viewer.userId))
      problem({
        code: 'badRequest',
        issues: [{ field: 'restrictedTo', rule: 'must name the one who restricts' }],
      });
  }
};

const refuse = (operation: Operation): never => {
  const [accountId = ''] = touchedBy(operation);
  return refuseAccount(accountId);
};

const refuseAccount = (accountId: string): never =>
  problem({ code: 'refused', refusal: { code: 'restrictedAccount', accountId } });
