import { eachNode, parentIdOf, siblingsOf } from '../../chart/queries';
import type { KindCode } from '../../kinds/kinds';
import { planMoveUnder } from '../../planning/plan-move';
import { atStake } from '../accounts';
import type { FindingRule } from '../finding';

/** What each contra is taken off. */
const TAKEN_OFF: Readonly<Partial<Record<KindCode, readonly KindCode[]>>> = {
  accumulatedDepreciation: ['propertyAndEquipment'],
  accumulatedAmortisation: ['intangibleAsset'],
  receivableAllowance: ['tradeReceivable', 'otherReceivable'],
  returnsAndDiscounts: ['saleOfGoods', 'services', 'otherOperatingRevenue'],
};

/** Contras that stand in another group than what they are taken off. */
export const contrasApart: FindingRule<'contraApart'> = ({ chart, use }) => {
  const all = [...eachNode(chart.roots)];
  return all.flatMap((node) => {
    const { id, kind } = node.account;
    const kinds = TAKEN_OFF[kind] ?? [];
    const isMain = (one: (typeof all)[number]): boolean => kinds.includes(one.account.kind);
    if (
      kinds.length === 0 ||
      siblingsOf(chart, id).some((one) => [...eachNode([one])].some(isMain))
    )
      return [];
    const beside = all.find((one) => one.account.role === 'posting' && isMain(one));
    if (beside === undefined) return [];
    const besideId = beside.account.id;
    const parentId = parentIdOf(chart, besideId);
    return [
      {
        code: 'contraApart',
        severity: 'doubtful',
        accountIds: [id, besideId],
        amount: atStake(use, node),
        facts: { besideId },
        fixes: [
          {
            says: { does: 'moveUnder', parentId },
            operations: planMoveUnder(chart, id, { parentId }),
          },
        ],
      },
    ];
  });
};
