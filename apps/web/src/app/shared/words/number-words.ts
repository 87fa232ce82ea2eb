import { counted } from './counted';
import {
  blockWidth,
  elementOfRange,
  kindsOfElement,
  PLAN_DIGITS,
  type Chart,
  type NumberPlan,
  type NumberRange,
  type PlanProblem,
  type Unplaced,
  type WhyChanged,
} from '@iunctus/core';
import { accountWords } from './account-words';
import { ELEMENT_WORDS } from './statement-words';
import { terms } from './terms';

/** Why a number changes, as it stands in a crosswalk and beside a number that does not fit. */
export const WHY_WORDS: Readonly<Record<WhyChanged, string>> = {
  noNumber: $localize`has no number`,
  malformed: $localize`not of the plan’s shape`,
  outOfRange: $localize`outside the range of its kind`,
  notUnderParent: $localize`not under its parent’s digits`,
  parentMoves: $localize`follows its parent`,
  subAccountsElsewhere: $localize`its sub-accounts stand elsewhere`,
  outOfOrder: $localize`out of order`,
  makesRoom: $localize`makes room for a neighbour`,
  asAsked: $localize`as asked`,
};

const WHY_UNPLACED: Readonly<Record<Unplaced['why'], string>> = {
  tooDeep: $localize`stands on a level for which the plan has no digits`,
  noRoom: $localize`has no room: there are more accounts than numbers`,
  noRange: $localize`is of a kind that has no range`,
};

/** Accounts without a number in the plan, in one sentence; empty when there is none. */
export const unplacedWords = (unplaced: readonly Unplaced[], chart: Chart): string => {
  const [first] = unplaced;
  if (first === undefined) return '';
  const rest = unplaced.length - 1;
  const others =
    rest === 0
      ? ''
      : counted(rest, {
          one: $localize` So it is with # more account.`,
          other: $localize` So it is with # more accounts.`,
        });
  return $localize`${accountWords(first.id, chart)} ${WHY_UNPLACED[first.why]}; its number stays.${others} More digits, or other digits by level, make room.`;
};

const rangeName = (plan: NumberPlan, index: number): string => {
  const name = plan.ranges[index]?.name.trim() ?? '';
  return name === '' ? `Range ${index + 1}` : `“${name}”`;
};

/** What is wrong with a plan, and what would do. */
export const planProblemWords = (problem: PlanProblem, plan: NumberPlan): string => {
  switch (problem.code) {
    case 'digitsOutOfBounds':
      return $localize`Digits: ${PLAN_DIGITS.least} to ${PLAN_DIGITS.most} are possible.`;
    case 'levelsDoNotAddUp':
      return $localize`Digits by level must be whole and add up to ${plan.digits}, as 2 1 1 does for 4.`;
    case 'stepNotPositive':
      return $localize`Step: a whole number from 1 on.`;
    case 'rangeOutsideDigits':
      return $localize`${rangeName(plan, problem.index)} goes beyond ${plan.digits} digits.`;
    case 'rangeUpsideDown':
      return $localize`${rangeName(plan, problem.index)} ends before it begins.`;
    case 'rangesOverlap':
      return $localize`${rangeName(plan, problem.index)} and ${rangeName(plan, problem.other)} overlap: end one before the other begins.`;
    case 'kindInTwoRanges':
      return $localize`${terms().kinds[problem.kind]} stands in two ranges: leave it in one.`;
    case 'kindWithoutRange':
      return $localize`${terms().kinds[problem.kind]} has no range: add it to one.`;
    case 'rangeWithoutName':
      return $localize`Range ${problem.index + 1} has no name.`;
    case 'segmentWithoutName':
      return $localize`Segment ${problem.index + 1} has no name: location, department …`;
    case 'segmentWidth':
      return $localize`Segment ${problem.index + 1}:index:: values of 1 to 6 characters are possible.`;
    case 'segmentValue':
      return $localize`Segment ${problem.index + 1}:index:: every value needs the same number of letters or digits.`;
    case 'separatorMalformed':
      return $localize`The separator is one of - . /`;
  }
};

/** The kinds of a range in few words. */
export const rangeKindWords = (range: NumberRange): string => {
  const { kinds } = range;
  const element = elementOfRange(range);
  if (kinds.length === 0) return $localize`No kinds`;
  if (element !== null && kindsOfElement(element).length === kinds.length)
    return kinds.length === 1
      ? terms().kinds[kinds[0] ?? 'bank']
      : `All ${ELEMENT_WORDS[element].toLowerCase()}`;
  const [first] = kinds;
  if (kinds.length === 1 && first !== undefined) return terms().kinds[first];
  return `${kinds.length} kinds`;
};

/** A number of each level, to show what the digits by level mean: 5000, 5010, 5011. */
export const levelsExample = (plan: NumberPlan): string => {
  const start = plan.ranges.at(4)?.first ?? plan.ranges[0]?.first ?? 0;
  const numbers = plan.levels.map((_width, index) => {
    const below = plan.levels.slice(1, index + 1);
    return below.reduce((so, _digits, level) => so + blockWidth(plan, level + 2), start);
  });
  return numbers.map((number) => String(number).padStart(plan.digits, '0')).join(', ');
};

/** What is wrong with an account's number, by the chart's plan. */
export const misfitWords = (number: string, why: WhyChanged): string =>
  $localize`${number} is ${WHY_WORDS[why]}`;
