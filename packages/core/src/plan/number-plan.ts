import { ELEMENTS, type Element } from '../kinds/element';
import { KIND_CODES, kindsOfElement, type KindCode } from '../kinds/kinds';

/** Numbers that main accounts of certain kinds may use, both ends included. */
export interface NumberRange {
  readonly name: string;
  readonly first: number;
  readonly last: number;
  readonly kinds: readonly KindCode[];
}

/** A part of the number that follows the account's own digits: a location, a department. */
export interface Segment {
  readonly name: string;
  /** Characters of each value. */
  readonly width: number;
  readonly values: readonly string[];
}

/** The rules that a chart's numbers follow. */
export interface NumberPlan {
  /** Digits of the account's own part, leading zeros included. */
  readonly digits: number;
  /** How many digits each level adds: 2, 1, 1 gives 5000, 5010, 5011. Their sum is `digits`. */
  readonly levels: readonly number[];
  /** The usual distance between neighbours. */
  readonly step: number;
  /** Whether a sub-account shares its parent's leading digits. */
  readonly underParent: boolean;
  /** Whether contra accounts take the last numbers of their group. */
  readonly contraLast: boolean;
  readonly ranges: readonly NumberRange[];
  readonly segments: readonly Segment[];
  /** Stands before each segment. */
  readonly separator: string;
}

/** Fewest and most digits that a plan may have. */
export const PLAN_DIGITS = { least: 2, most: 10 } as const;

const OPERATING: readonly KindCode[] = ['operatingExpense', 'depreciation'];
const OTHER: readonly KindCode[] = [
  'investmentIncome',
  'gains',
  'financeCost',
  'incomeTax',
  'otherExpense',
];

const operatingRevenue = (): readonly KindCode[] =>
  kindsOfElement('revenue').filter((kind) => !OTHER.includes(kind));

const leadingDigits = (): readonly (readonly [string, number, number, readonly KindCode[]])[] => [
  ['Assets', 1, 1, kindsOfElement('asset')],
  ['Liabilities', 2, 2, kindsOfElement('liability')],
  ['Equity', 3, 3, kindsOfElement('equity')],
  ['Revenue', 4, 4, operatingRevenue()],
  ['Cost of sales', 5, 5, ['costOfSales']],
  ['Operating expenses', 6, 7, OPERATING],
  ['Other income and costs', 8, 8, OTHER],
  ['Memorandum', 9, 9, ['memorandum']],
];

const USUAL_LEVELS: Readonly<Record<number, readonly number[]>> = {
  2: [1, 1],
  3: [1, 1, 1],
  4: [2, 1, 1],
  5: [2, 2, 1],
  6: [2, 2, 2],
};

const usualLevels = (digits: number): readonly number[] => {
  const usual = USUAL_LEVELS[digits];
  if (usual !== undefined) return usual;
  return [
    2,
    ...Array.from({ length: Math.ceil((digits - 2) / 2) }, (_, index) =>
      Math.min(2, digits - 2 - 2 * index),
    ),
  ];
};

/**
 * The plan that most charts follow: thousands in the order of the statements, sub-accounts under
 * their parent's leading digits. Common practice, no source.
 */
export const usualPlan = (digits: number): NumberPlan => {
  const unit = 10 ** (digits - 1);
  return {
    digits,
    levels: usualLevels(digits),
    step: Math.max(1, unit / 100),
    underParent: true,
    contraLast: true,
    ranges: leadingDigits().map(([name, from, to, kinds]) => ({
      name,
      first: from * unit,
      last: (to + 1) * unit - 1,
      kinds,
    })),
    segments: [],
    separator: '-',
  };
};

/** The range that main accounts of a kind use, or `undefined`. */
export const rangeOfKind = (plan: NumberPlan, kind: KindCode): NumberRange | undefined =>
  plan.ranges.find(({ kinds }) => kinds.includes(kind));

/** How many numbers an account of a level holds, itself included: 5000 holds 100 where levels are 2, 1, 1. */
export const blockWidth = (plan: NumberPlan, level: number): number => {
  const used = plan.levels.slice(0, level).reduce((sum, width) => sum + width, 0);
  return 10 ** Math.max(plan.digits - used, 0);
};

/** A number taken apart by a plan. */
export interface ParsedNumber {
  /** The account's own part. */
  readonly value: number;
  /** The segments with their separators; empty in a plan without segments. */
  readonly suffix: string;
}

const suffixFits = (plan: NumberPlan, parts: readonly string[]): boolean =>
  parts.length === plan.segments.length &&
  plan.segments.every(({ width, values }, index) => {
    const part = parts[index] ?? '';
    return part.length === width && (values.length === 0 || values.includes(part));
  });

/** Takes a number apart; `null` when it is not of the plan's shape. */
export const parseNumber = (plan: NumberPlan, number: string | null): ParsedNumber | null => {
  if (number === null) return null;
  const [own = '', ...parts] = plan.segments.length === 0 ? [number] : number.split(plan.separator);
  if (own.length !== plan.digits || !/^\d+$/.test(own) || !suffixFits(plan, parts)) return null;
  return { value: Number(own), suffix: number.slice(own.length) };
};

/** A number's own part, whatever stands behind it; `null` when it has not the plan's digits. */
export const ownPart = ({ digits }: NumberPlan, number: string | null): number | null => {
  const own = /^\d+/.exec(number ?? '')?.[0];
  return own?.length === digits ? Number(own) : null;
};

/** What stands behind a number's own part when nothing was chosen: each segment's first value. */
export const usualSuffix = (plan: NumberPlan): string =>
  plan.segments
    .map(({ width, values }) => `${plan.separator}${values[0] ?? '0'.repeat(width)}`)
    .join('');

/** Writes a number as the plan has it. */
export const formatNumber = (plan: NumberPlan, value: number, suffix: string): string =>
  `${String(value).padStart(plan.digits, '0')}${suffix}`;

/** What a number plan can be wrong in; `index` is that of the range or segment. */
export type PlanProblem =
  | { readonly code: 'digitsOutOfBounds' | 'levelsDoNotAddUp' | 'stepNotPositive' }
  | { readonly code: 'rangeOutsideDigits' | 'rangeUpsideDown'; readonly index: number }
  | { readonly code: 'rangesOverlap'; readonly index: number; readonly other: number }
  | { readonly code: 'kindInTwoRanges'; readonly index: number; readonly kind: KindCode }
  | { readonly code: 'kindWithoutRange'; readonly kind: KindCode }
  | { readonly code: 'rangeWithoutName' | 'segmentWithoutName'; readonly index: number }
  | { readonly code: 'segmentWidth' | 'segmentValue'; readonly index: number }
  | { readonly code: 'separatorMalformed' };

const rangeProblems = (plan: NumberPlan): readonly PlanProblem[] =>
  plan.ranges.flatMap((range, index): readonly PlanProblem[] => {
    const earlier = plan.ranges.slice(0, index);
    const other = earlier.findIndex(
      ({ first, last }) => range.first <= last && first <= range.last,
    );
    const twice = range.kinds.find((kind) => earlier.some(({ kinds }) => kinds.includes(kind)));
    const whole = Number.isInteger(range.first) && Number.isInteger(range.last);
    return [
      ...(range.name.trim() === '' ? [{ code: 'rangeWithoutName', index } as const] : []),
      ...(whole && range.first >= 0 && range.last < 10 ** plan.digits
        ? []
        : [{ code: 'rangeOutsideDigits', index } as const]),
      ...(range.first > range.last ? [{ code: 'rangeUpsideDown', index } as const] : []),
      ...(other >= 0 ? [{ code: 'rangesOverlap', index, other } as const] : []),
      ...(twice === undefined ? [] : [{ code: 'kindInTwoRanges', index, kind: twice } as const]),
    ];
  });

const segmentProblems = (plan: NumberPlan): readonly PlanProblem[] =>
  plan.segments.flatMap((segment, index): readonly PlanProblem[] => [
    ...(segment.name.trim() === '' ? [{ code: 'segmentWithoutName', index } as const] : []),
    ...(Number.isInteger(segment.width) && segment.width >= 1 && segment.width <= 6
      ? []
      : [{ code: 'segmentWidth', index } as const]),
    ...(segment.values.every(
      (value) => value.length === segment.width && /^[\p{L}\p{N}]+$/u.test(value),
    )
      ? []
      : [{ code: 'segmentValue', index } as const]),
  ]);

/** Everything that is wrong with a plan; empty when it can be used. */
export const planProblems = (plan: NumberPlan): readonly PlanProblem[] => {
  const { digits, levels, step, segments, separator } = plan;
  const bounded =
    Number.isInteger(digits) && digits >= PLAN_DIGITS.least && digits <= PLAN_DIGITS.most;
  const addUp =
    levels.every((width) => Number.isInteger(width) && width > 0) &&
    levels.reduce((sum, width) => sum + width, 0) === digits;
  const orphan = KIND_CODES.find((kind) => rangeOfKind(plan, kind) === undefined);
  const separated = segments.length === 0 || /^[.\-/]$/.test(separator);
  return [
    ...(bounded ? [] : [{ code: 'digitsOutOfBounds' } as const]),
    ...(addUp ? [] : [{ code: 'levelsDoNotAddUp' } as const]),
    ...(Number.isInteger(step) && step >= 1 ? [] : [{ code: 'stepNotPositive' } as const]),
    ...rangeProblems(plan),
    ...(orphan === undefined ? [] : [{ code: 'kindWithoutRange', kind: orphan } as const]),
    ...segmentProblems(plan),
    ...(separated ? [] : [{ code: 'separatorMalformed' } as const]),
  ];
};

/** The kinds for which a plan keeps the range in which a number lies; `null` for none. */
export const kindsOfNumber = (plan: NumberPlan, number: string): readonly KindCode[] | null => {
  const value = parseNumber(plan, number)?.value;
  if (value === undefined) return null;
  return plan.ranges.find(({ first, last }) => value >= first && value <= last)?.kinds ?? null;
};

/** The element to which all kinds of a range belong, or `null` where they differ. */
export const elementOfRange = ({ kinds }: NumberRange): Element | null =>
  ELEMENTS.find((element) => kinds.every((kind) => kindsOfElement(element).includes(kind))) ?? null;
