import { isContra, normalSideOfKind } from '../kinds/kinds';
import type { ImportRow } from './import-plan';

/** Whether a kind that neither the user nor the list says would put the balance of a new row on the unusual side. */
export const isOnOddSide = ({ status, kind, entry }: ImportRow): boolean => {
  const balance = entry.balance ?? 0;
  if (status !== 'new' || kind === null || balance === 0) return false;
  if (kind.reason.type === 'chosen' || kind.stated || isContra(kind.kind)) return false;
  return normalSideOfKind(kind.kind) !== (balance > 0 ? 'debit' : 'credit');
};
