import type { AccountId } from '../chart/account';
import type { Place } from '../chart/edit';
import { concerns, type Operation } from './operation';
import type { Landed, Rebased } from './rules';

/** The operation stands as it is. */
export const keep = (operation: Operation): Rebased => ({ type: 'keep', operation });

/** Whether `landed` took the account out of the tree. */
export const removes = ({ operation }: Landed, id: AccountId): boolean =>
  (operation.type === 'deleteAccount' || operation.type === 'merge') && operation.id === id;

/**
 * Two edits of the same thing: nothing is left to do when they agree, a conflict when they do not.
 * An edit of something else, or of an account that was not removed, stands.
 */
export const rebaseEdit = (
  operation: Operation & { readonly id: AccountId },
  landed: Landed,
  agree: (other: Operation) => boolean | null,
): Rebased => {
  const { id } = operation;
  if (removes(landed, id)) return { type: 'conflict' };
  if (!concerns(landed.operation, id)) return keep(operation);
  const verdict = agree(landed.operation);
  if (verdict === null) return keep(operation);
  return verdict ? { type: 'done' } : { type: 'conflict' };
};

/** The place to take when `landed` took the neighbour away: after the one that stood before it. */
export const reanchored = (place: Place, landed: Landed): Place => {
  const { operation, inverse } = landed;
  const gone =
    operation.type === 'deleteAccount' ||
    operation.type === 'merge' ||
    operation.type === 'moveNode';
  if (!gone || place.afterId === null || operation.id !== place.afterId) return place;
  if (operation.type === 'moveNode' && operation.parentId === place.parentId) return place;
  if (!('afterId' in inverse)) return place;
  return { parentId: place.parentId, afterId: inverse.afterId };
};
