import type { Chart } from '../chart/chart';
import { applyAll } from '../operations/apply';
import type {
  Finding,
  FindingCode,
  FindingOf,
  FindingRule,
  Fix,
  LookedAt,
  Severity,
} from './finding';
import { USUAL_LIMITS } from './limits';
import { FINDING_CODES } from './rule-names';
import { assetsNotDepreciated } from './rules/assets-not-depreciated';
import { catchAlls } from './rules/catch-alls';
import { contrasApart } from './rules/contras-apart';
import { controlsApart } from './rules/controls-apart';
import { duplicates } from './rules/duplicates';
import { emptyHeadings } from './rules/empty-headings';
import { noGuidance } from './rules/guidance';
import { kindDoubts } from './rules/kind-doubts';
import { layoutsMiss } from './rules/layouts-miss';
import { leftToClear } from './rules/left-to-clear';
import { tooManyMainLines } from './rules/main-lines';
import { misspelled } from './rules/misspelled';
import { misplacedLines } from './rules/misplaced-lines';
import { nameBlanks, nameCapitals, namesSayNothing, namesShortened } from './rules/names';
import { numberMisfits } from './rules/number-misfits';
import { onlyChildren } from './rules/only-children';
import { planContradictions } from './rules/plan-problems';
import { postedParents } from './rules/posted-parents';
import { repeatedBelow } from './rules/repeated-below';
import { retainedByHand } from './rules/retained-by-hand';
import { retiredInRoutes } from './rules/retired-in-routes';
import { sameLines } from './rules/same-lines';
import { sortsApart } from './rules/sorts-apart';
import { tinyAccounts } from './rules/tiny-accounts';
import { tooDeep } from './rules/too-deep';
import { twoWords } from './rules/two-words';
import { unusualBalances } from './rules/unusual-balances';
import { longUnused, neverUsed } from './rules/unused';

/** The rules by which charts are looked through: a row each. */
const RULES: { readonly [C in FindingCode]: FindingRule<C> } = {
  kindDoubt: kindDoubts,
  unusualBalance: unusualBalances,
  leftToClear,
  controlApart: controlsApart,
  misplacedLine: misplacedLines,
  layoutMisses: layoutsMiss,
  retiredInRoute: retiredInRoutes,
  retainedByHand,
  contraApart: contrasApart,
  assetsNotDepreciated,
  postedParent: postedParents,
  duplicate: duplicates,
  sameLines,
  catchAll: catchAlls,
  sortApart: sortsApart,
  repeatedBelow,
  tinyAccounts,
  tooManyMainLines,
  tooDeep,
  onlyChild: onlyChildren,
  emptyHeading: emptyHeadings,
  planProblem: planContradictions,
  numberMisfit: numberMisfits,
  neverUsed,
  longUnused,
  nameSaysNothing: namesSayNothing,
  misspelled,
  twoWords,
  nameBlanks,
  nameCapitals,
  nameShortened: namesShortened,
  noGuidance,
};

/** Ids that are told apart from one another, and from those of no chart: whoever applies fixes brings better ones. */
const counted = (): (() => string) => {
  let count = 0;
  return () => `new-${(count += 1)}`;
};

/** A chart to be looked at: by its own plan and the usual limits, without amounts, where nothing else is said. */
export const lookAt = (chart: Chart, more: Partial<LookedAt> = {}): LookedAt => ({
  chart,
  plan: chart.settings.plan,
  returned: null,
  use: null,
  posted: null,
  judge: null,
  layouts: [],
  openItems: [],
  country: 'US',
  startsIn: 1,
  routed: new Set(),
  limits: USUAL_LIMITS,
  severities: {},
  spelling: null,
  newId: counted(),
  ...more,
});

/** A fix that the chart takes. A renumbering of all is made so that it does, and is long. */
const isTaken = (chart: Chart, { says, operations }: Fix): boolean =>
  says.does === 'renumberAll' || (operations.length > 0 && applyAll(chart, operations).ok);

/** What one rule finds, as much as it matters to those who look, with the fixes that the chart takes. */
export const findingsOf = <C extends FindingCode>(
  code: C,
  lookedAt: LookedAt,
): readonly FindingOf<C>[] => {
  const wanted: Severity | 'off' | undefined = lookedAt.severities[code];
  if (wanted === 'off') return [];
  return RULES[code](lookedAt).map((finding) => ({
    ...finding,
    severity: wanted ?? finding.severity,
    fixes: finding.fixes.filter((fix) => isTaken(lookedAt.chart, fix)),
  }));
};

const SEVERITIES = ['wrong', 'doubtful', 'couldBeNeater'] as const;

/** What all rules find: the wrong first, then by what is at stake, then in the order of the rules. */
export const allFindings = (lookedAt: LookedAt): readonly Finding[] => {
  const found = FINDING_CODES.flatMap((code) => findingsOf(code, lookedAt) as readonly Finding[]);
  const rank = ({ severity }: Finding): number => SEVERITIES.indexOf(severity);
  return [...found].sort((a, b) => rank(a) - rank(b) || b.amount - a.amount);
};
