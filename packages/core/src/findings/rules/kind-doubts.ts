import type { Chart, ChartNode } from '../../chart/chart';
import { nodeOf, parentIdOf } from '../../chart/queries';
import { elementOf, sectionOf, statementOf, type KindCode } from '../../kinds/kinds';
import { isOrWas } from '../../kinds/part-of';
import type { Guess } from '../../matching/infer-kind';
import type { PlacedJudge } from '../../matching/learned/judge-placed';
import { applyAll } from '../../operations/apply';
import type { Operation } from '../../operations/operation';
import { suggestNumber } from '../../numbering/suggest';
import { atStake, openAccounts } from '../accounts';
import type { FindingRule, Fix, LookedAt, Severity } from '../finding';

const HUNDRED = 100;

/** What is paid ahead or owed is often called by its cost alone: “Insurance”. Common practice, no source. */
const NAMED_BY_COST: readonly KindCode[] = [
  'prepaidExpense',
  'accruedExpense',
  'payrollPayable',
  'incomeTaxPayable',
  'salesTaxPayable',
  'provision',
  'deferredRevenue',
];

/** Another kind that something speaks for, and how surely, in per cent. */
interface Doubt {
  readonly kind: KindCode;
  readonly sure: number;
  readonly by: 'name' | 'place';
}

/** The likeliest kind where it leads to another section than the account's own. */
const likelier = (kind: KindCode, [first]: readonly Guess[], by: Doubt['by']): Doubt | null => {
  if (first === undefined) return null;
  if (isOrWas(first.kind, [kind]) || isOrWas(kind, [first.kind])) return null;
  if (sectionOf(first.kind) === sectionOf(kind)) return null;
  return { kind: first.kind, sure: Math.floor(first.confidence * HUNDRED), by };
};

/** What name, place and number say together; or, of an account that is on the other statement, the name alone. */
const doubtOf = (
  { chart, limits }: LookedAt,
  judge: PlacedJudge,
  node: ChartNode,
): Doubt | null => {
  const { kind, name } = node.account;
  const placed = likelier(kind, judge.placed(chart, node), 'place');
  if (placed !== null && placed.sure >= limits.kindDoubtful) return placed;
  if (NAMED_BY_COST.includes(kind)) return null;
  const named = likelier(kind, judge.named(name), 'name');
  const isElsewhere = named !== null && statementOf(named.kind) !== statementOf(kind);
  return isElsewhere && named.sure >= limits.kindByName ? named : null;
};

const withNumber = (chart: Chart, node: ChartNode, kind: KindCode): readonly Operation[] => {
  const { id, number } = node.account;
  const afterId = chart.roots.at(-1)?.account.id ?? null;
  const suggested = suggestNumber(chart, { parentId: null, afterId, kind });
  return number !== null && suggested.ok
    ? [{ type: 'renumber', id, number: suggested.number }]
    : [];
};

/** What gives the kind; across elements the account leaves its parent for the main accounts first. */
const kindOperations = (chart: Chart, node: ChartNode, kind: KindCode): readonly Operation[] => {
  const { id } = node.account;
  const crosses = elementOf(kind) !== elementOf(node.account.kind);
  const last = chart.roots.findLast(({ account }) => account.id !== id)?.account.id ?? null;
  const leaves = crosses && parentIdOf(chart, id) !== null;
  return [
    ...(leaves ? [{ type: 'moveNode', id, parentId: null, afterId: last } as const] : []),
    { type: 'changeKind', id, kind },
    ...(crosses ? withNumber(chart, node, kind) : []),
  ];
};

/** Whether the account would be doubted again with its new kind, number and place: then the clues speak against one another. */
const staysDoubtful = (
  lookedAt: LookedAt,
  judge: PlacedJudge,
  { id, operations }: { readonly id: string; readonly operations: readonly Operation[] },
): boolean => {
  const outcome = applyAll(lookedAt.chart, operations);
  const node = outcome.ok ? nodeOf(outcome.chart, id) : undefined;
  if (!outcome.ok || node === undefined) return false;
  return doubtOf({ ...lookedAt, chart: outcome.chart }, judge, node) !== null;
};

/**
 * Accounts whose name, neighbours and number speak for another kind, which leads to another section: by what was learned
 * from labelled lists, the account's own kind unheard.
 */
export const kindDoubts: FindingRule<'kindDoubt'> = (lookedAt) => {
  const { chart, use, limits, judge } = lookedAt;
  if (judge === null) return [];
  return openAccounts(chart).flatMap((node) => {
    const { id, kind, systemUse } = node.account;
    if (statementOf(kind) === null || systemUse !== null) return [];
    const doubt = doubtOf(lookedAt, judge, node);
    if (doubt === null) return [];
    const operations = kindOperations(chart, node, doubt.kind);
    // Where the clues speak against one another, no other kind would end the doubt, and none is offered.
    const isTorn = staysDoubtful(lookedAt, judge, { id, operations });
    const fix: Fix = { says: { does: 'giveKind', kind: doubt.kind }, operations };
    const otherElement = elementOf(doubt.kind) !== elementOf(kind);
    const sure: Severity = otherElement && doubt.sure >= limits.kindWrong ? 'wrong' : 'doubtful';
    const severity: Severity = isTorn ? 'couldBeNeater' : sure;
    return [
      {
        code: 'kindDoubt',
        severity,
        accountIds: [id],
        amount: atStake(use, node),
        facts: { likely: doubt.kind, sure: doubt.sure, by: doubt.by },
        fixes: isTorn ? [] : [fix],
      },
    ];
  });
};
