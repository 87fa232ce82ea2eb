import { isRestrictedFrom, type Veil } from '../chart/veil';
import { touchedBy, type Operation } from './operation';
import type { Conflict, ProposalStep } from './proposal';
import type { Refusal } from './refusal';

/** A veil for somebody, who is named so that what pending operations restrict is hidden as well. */
export interface PersonalVeil {
  readonly veil: Veil;
  readonly userId: string;
}

const restricts = (operation: Operation, userId: string): boolean =>
  (operation.type === 'addAccount' || operation.type === 'unmerge') &&
  isRestrictedFrom(operation.account, userId);

/** What of operations is seen through a veil: none about a hidden account, nor about one that they themselves restrict. */
export const veiledOperations = (
  operations: readonly Operation[],
  { veil, userId }: PersonalVeil,
): readonly Operation[] => {
  const restricted = new Set(
    operations
      .filter((one) => restricts(one, userId))
      .flatMap((one) => ('account' in one ? [one.account.id] : [])),
  );
  if (!veil.isDrawn && restricted.size === 0) return operations;
  const hides = (id: string): boolean => veil.hides(id) || restricted.has(id);
  return operations.flatMap((operation): Operation[] => {
    if (operation.type === 'renumberMany') {
      const numbers = operation.numbers.filter(({ id }) => !hides(id));
      if (numbers.length === operation.numbers.length) return [operation];
      return numbers.length === 0 ? [] : [{ ...operation, numbers }];
    }
    return touchedBy(operation).some(hides) ? [] : [operation];
  });
};

/** Why something was refused, as far as it is to be seen: a hidden account is not named, nor what it bears. */
export const veiledRefusal = (refusal: Refusal, veil: Veil): Refusal => {
  if (veil.hides(refusal.accountId))
    return { code: 'restrictedAccount', accountId: veil.as(refusal.accountId) };
  if (refusal.otherId === undefined || !veil.hides(refusal.otherId)) return refusal;
  const { otherId: _hidden, ...rest } = refusal;
  return rest;
};

/** A conflict, as far as it is to be seen. The step is its author's own; what stands against it may be hidden. */
export const veiledConflict = (conflict: Conflict, personal: PersonalVeil): Conflict => {
  const { step, landed, refusal } = conflict;
  const called = (conflict.called ?? []).filter(({ id }) => !personal.veil.hides(id));
  const seen = landed === null ? [] : veiledOperations([landed], personal);
  const [shown] = seen;
  if (landed !== null && shown === undefined)
    return { step, landed: null, refusal: { code: 'restrictedAccount', accountId: '' } };
  return {
    step,
    landed: shown ?? null,
    refusal: refusal === null ? null : veiledRefusal(refusal, personal.veil),
    ...(called.length === 0 ? {} : { called }),
  };
};

/** Whether a step does something that is not to be seen. */
export const hasHidden = ({ operations, opening }: ProposalStep, personal: PersonalVeil): boolean =>
  veiledOperations(operations, personal).length < operations.length ||
  veiledOperations(operations, personal).some((one, at) => one !== operations[at]) ||
  (opening?.balances ?? []).some(({ accountId }) => personal.veil.hides(accountId));
