import {
  heightOf,
  idByClashingName,
  isWithin,
  nodeOf,
  parentIdOf,
  previousIdOf,
} from '../chart/queries';
import type { Chart, ChartNode } from '../chart/chart';
import { relocate } from '../chart/edit';
import { checkDepth, checkKindUnder, checkPlace, firstRefusal } from './checks';
import type { MoveNode } from './operation';
import { reanchored, rebaseEdit } from './rebase-rules';
import type { Refusal } from './refusal';
import { accepted, refused, type Rules } from './rules';

const checkMove = (chart: Chart, node: ChartNode, operation: MoveNode): Refusal | null => {
  const { id, parentId, afterId } = operation;
  if (parentId !== null && isWithin(chart, parentId, id))
    return { code: 'moveIntoOwnSubtree', accountId: id, field: 'parent', otherId: parentId };
  const clash = idByClashingName(chart, node.account.name, { parentId, exceptId: id });
  return firstRefusal(
    checkPlace(chart, node.account, { parentId, afterId }),
    checkKindUnder(chart, node.account, parentId),
    parentId === parentIdOf(chart, id)
      ? null
      : checkDepth(chart, id, { parentId, levels: heightOf(node) }),
    clash === undefined
      ? null
      : {
          code: 'nameTaken',
          accountId: id,
          field: 'name',
          value: node.account.name,
          otherId: clash,
        },
  );
};

/** Moves a node, and all below it, under another parent, right after `afterId` (first when null).
 *  Refuses: accountMissing, moveIntoOwnSubtree, parentMissing, parentRetired, neighbourMissing,
 *  elementDiffers, nameTaken, tooDeep. */
export const moveNode: Rules<MoveNode> = {
  apply(chart, operation) {
    const node = nodeOf(chart, operation.id);
    if (node === undefined) return refused({ code: 'accountMissing', accountId: operation.id });
    const refusal = checkMove(chart, node, operation);
    return refusal === null ? accepted(relocate(chart, node, operation)) : refused(refusal);
  },
  invert: ({ id }, before) => ({
    type: 'moveNode',
    id,
    parentId: parentIdOf(before, id),
    afterId: previousIdOf(before, id),
  }),
  rebase(operation, landed) {
    const place = reanchored(operation, landed);
    if (place.afterId === operation.id) return { type: 'done' };
    return rebaseEdit({ ...operation, ...place }, landed, (other) =>
      other.type === 'moveNode'
        ? other.parentId === place.parentId && other.afterId === place.afterId
        : null,
    );
  },
};
