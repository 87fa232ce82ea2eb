import type { Chart, OutlineProblem, Reason } from '@iunctus/core';
import { refusalWords } from './refusal-words';

const NO_NUMBER = {
  tooDeep: 'the number plan has no digits for this level',
  noRoom: 'the number plan has no number left here',
  noRange: 'the number plan has no range for this kind',
} as const;

/** Why a line of an outline cannot become an account, and what would do. */
export const outlineProblemWords = (problem: OutlineProblem, chart: Chart): string => {
  switch (problem.code) {
    case 'unknownKind':
      return `No kind is called “${problem.words}”. Leave the brackets out, and one is inferred.`;
    case 'parentWrong':
      return `Waits for line ${problem.line}, under which it stands.`;
    case 'repeatsLine':
      return `Line ${problem.line} has this ${problem.field} already.`;
    case 'noNumber':
      return `No number: ${NO_NUMBER[problem.why]}. Type one, or change the plan under Numbers.`;
    case 'refused':
      return refusalWords(problem.refusal, chart);
  }
};

/** From what a kind was inferred. */
export const reasonWords = (reason: Reason): string => {
  switch (reason.type) {
    case 'words':
      return `from “${reason.words}”`;
    case 'parent':
      return 'as the account above';
    case 'range':
      return `from its number, among ${reason.range.toLowerCase()}`;
    case 'listed':
      return `listed as “${reason.text}”`;
    case 'around':
      return 'like the accounts around it';
    case 'none':
      return 'for want of anything better';
  }
};

/** That what begins a name is read as part of it, and was perhaps meant as a number. */
export const nearNumberWords = (text: string): string =>
  `“${text}” has a letter and counts as part of the name`;
