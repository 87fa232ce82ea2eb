import type { AccountId, Operation } from '@iunctus/core';
import type { Wanted } from '../../workspace/model/tree-action';

const partOf = (operation: Operation): Wanted => {
  switch (operation.type) {
    case 'renumber':
      return { number: operation.number ?? '' };
    case 'editField':
      return operation.field === 'name' ? { name: operation.value } : {};
    case 'changeKind':
      return { kind: operation.kind };
    case 'moveNode':
      return { parentId: operation.parentId };
    default:
      return {};
  }
};

/** What operations want of one account, as its row can hold it; `null` where they want nothing that is typed there. */
export const wantedOf = (operations: readonly Operation[], id: AccountId): Wanted | null => {
  const wanted = operations
    .filter((operation) => 'id' in operation && operation.id === id)
    .reduce<Wanted>((so, operation) => ({ ...so, ...partOf(operation) }), {});
  return Object.keys(wanted).length === 0 ? null : wanted;
};
