import type { Chart, OutlineProblem, Reason } from '@iunctus/core';
import { refusalWords } from './refusal-words';

const NO_NUMBER = {
  tooDeep: $localize`the number plan has no digits for this level`,
  noRoom: $localize`the number plan has no number left here`,
  noRange: $localize`the number plan has no range for this kind`,
} as const;

/** Why a line of an outline cannot become an account, and what would do. */
export const outlineProblemWords = (problem: OutlineProblem, chart: Chart): string => {
  switch (problem.code) {
    case 'unknownKind':
      return $localize`No kind is called “${problem.words}”. Leave the brackets out, and one is inferred.`;
    case 'parentWrong':
      return $localize`Waits for line ${problem.line}, under which it stands.`;
    case 'repeatsLine':
      return $localize`Line ${problem.line} has this ${problem.field} already.`;
    case 'noNumber':
      return $localize`No number: ${NO_NUMBER[problem.why]}. Type one, or change the plan under Numbers.`;
    case 'refused':
      return refusalWords(problem.refusal, chart);
  }
};

/** From what a kind was inferred. */
export const reasonWords = (reason: Reason): string => {
  switch (reason.type) {
    case 'words':
      return $localize`from “${reason.words}”`;
    case 'parent':
      return $localize`as the account above`;
    case 'range':
      return $localize`from its number, among ${reason.range.toLowerCase()}`;
    case 'listed':
      return $localize`listed as “${reason.text}”`;
    case 'around':
      return $localize`like the accounts around it`;
    case 'none':
      return $localize`for want of anything better`;
  }
};

/** That what begins a name is read as part of it, and was perhaps meant as a number. */
export const nearNumberWords = (text: string): string =>
  $localize`“${text}” has a letter and counts as part of the name`;
