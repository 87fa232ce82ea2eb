import type { Chart, ChartNode } from '../chart/chart';
import { hasPostings, nodeOf, parentIdOf } from '../chart/queries';
import { updateAccount } from '../chart/edit';
import { elementOf, type KindCode } from '../kinds/kinds';
import { checkKindOver, checkKindUnder, firstRefusal } from './checks';
import type { ChangeKind } from './operation';
import { rebaseEdit } from './rebase-rules';
import type { Refusal } from './refusal';
import { accepted, refused, type Rules } from './rules';

const checkMemorandum = (chart: Chart, node: ChartNode, kind: KindCode): Refusal | null => {
  const { id, kind: former } = node.account;
  const crosses = (elementOf(former) === 'memorandum') !== (elementOf(kind) === 'memorandum');
  return crosses && hasPostings(chart, node)
    ? { code: 'memorandumWithPostings', accountId: id, field: 'kind', value: kind }
    : null;
};

/** Gives an account another kind; its history moves with it to the kind's statement line.
 *  Refuses: accountMissing, systemAccount, elementDiffers (from the parent or from what is below),
 *  memorandumWithPostings. */
export const changeKind: Rules<ChangeKind> = {
  apply(chart, { id, kind }) {
    const node = nodeOf(chart, id);
    if (node === undefined) return refused({ code: 'accountMissing', accountId: id });
    if (node.account.systemUse !== null)
      return refused({ code: 'systemAccount', accountId: id, field: 'kind', value: kind });
    const refusal = firstRefusal(
      checkKindUnder(chart, { id, kind }, parentIdOf(chart, id)),
      checkKindOver(node, kind),
      checkMemorandum(chart, node, kind),
    );
    return refusal === null ? accepted(updateAccount(chart, id, { kind })) : refused(refusal);
  },
  invert({ id }, before) {
    const node = nodeOf(before, id);
    if (node === undefined) throw new RangeError(`no account ${id} whose kind to bring back`);
    return { type: 'changeKind', id, kind: node.account.kind };
  },
  rebase: (operation, landed) =>
    rebaseEdit(operation, landed, (other) =>
      other.type === 'changeKind' ? other.kind === operation.kind : null,
    ),
};
