import type { AccountId } from '../chart/account';
import type { RouteItemId, WordRule } from './route-item';
import { catches, routeLine, type RouteContext, type TakenLine } from './route-line';
import type { Keyed } from './routes';

/** A line of the past: as it was told, and where it went. */
export interface PastLine extends TakenLine {
  /** The account on the other side; `null` where there were several. */
  readonly accountId: AccountId | null;
}

/** What a rule would have done with the lines of the past. */
export interface RuleReport {
  readonly ruleId: RouteItemId;
  /** Lines that it decides. */
  readonly caught: number;
  /** Of those, how many went elsewhere when they were posted. */
  readonly elsewhere: number;
  /** Lines that it would catch and that one before it takes, by that rule. */
  readonly overlaps: readonly { readonly ruleId: RouteItemId; readonly count: number }[];
  /** Whether it decides nothing. */
  readonly isDead: boolean;
  /** Whether the rules before it catch everything that it could, whatever comes: it can never decide. */
  readonly isCovered: boolean;
}

const within = (
  inner: { readonly least: number | null; readonly most: number | null },
  outer: typeof inner,
): boolean =>
  (outer.least === null || (inner.least ?? 0) >= outer.least) &&
  (outer.most === null || (inner.most ?? Infinity) <= outer.most);

/** Whether a rule catches whatever another one does. */
export const covers = (wide: Keyed<WordRule>, narrow: Keyed<WordRule>): boolean => {
  const [outer, inner] = [wide.content, narrow.content];
  if (wide.key === '') return false;
  const words =
    outer.how === 'contains'
      ? narrow.key.includes(wide.key)
      : inner.how === 'starts' && narrow.key.startsWith(wide.key);
  return (
    words &&
    (outer.sign === null || outer.sign === inner.sign) &&
    (outer.source === null || outer.source === inner.source) &&
    within(inner, outer)
  );
};

/** What each rule would have done with lines of the past, in the order of the rules. */
export const reportRules = (
  lines: readonly PastLine[],
  context: RouteContext,
): readonly RuleReport[] => {
  const { rules } = context.routes;
  const decided = lines.map((line) => routeLine(line, context));
  return rules.map((rule, at): RuleReport => {
    const overlaps = new Map<RouteItemId, number>();
    let [caught, elsewhere] = [0, 0];
    lines.forEach((line, index) => {
      const routed = decided[index];
      if (routed?.decision.by !== 'rule') return;
      const { id } = routed.decision.rule;
      if (id === rule.id) {
        caught += 1;
        if (line.accountId !== null && line.accountId !== routed.accountId) elsewhere += 1;
      } else if (catches(rule, line)) overlaps.set(id, (overlaps.get(id) ?? 0) + 1);
    });
    return {
      ruleId: rule.id,
      caught,
      elsewhere,
      overlaps: [...overlaps].map(([ruleId, count]) => ({ ruleId, count })),
      isDead: caught === 0,
      isCovered: rules.slice(0, at).some((before) => covers(before, rule)),
    };
  });
};

const NOISE =
  /^(\d.*|[a-z]*\d[a-z\d]*|payment|card|transfer|ref|no|the|and|to|from|for|of|by|purchase|pos|dd|inc|ltd|llc)$/;

/** The words of a line that name whom it is with: what a rule made of it would look for; empty when there are none. */
export const wordsThatName = (key: string): string => {
  const words = key.split(' ');
  const first = words.findIndex((word) => !NOISE.test(word));
  if (first < 0) return '';
  const rest = words.slice(first);
  const end = rest.findIndex((word) => NOISE.test(word));
  return rest.slice(0, end < 0 ? 3 : Math.min(end, 3)).join(' ');
};
