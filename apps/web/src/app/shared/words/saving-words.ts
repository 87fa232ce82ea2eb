import type { ApiProblem } from '../api/problem';
import { problemWords } from './problem-words';

/** Problems that pass: the same save may well be taken later. */
const PASSING: readonly ApiProblem['code'][] = [
  'unreachable',
  'unreadable',
  'unavailable',
  'busy',
  'tookTooLong',
  'failed',
];

/** Whether a save that met a problem is worth another try by itself. */
export const passes = ({ code }: ApiProblem): boolean => PASSING.includes(code);

/** How far a proposal is kept, in words. */
export interface SavingSeen {
  readonly saved: boolean;
  readonly problem: ApiProblem | null;
  /** Whether a request waits for the server to come back. */
  readonly waiting: boolean;
}

/** Where the newest edit is: with the server, on its way, or in this browser until the server takes it. */
export const savingWords = ({ saved, problem, waiting }: SavingSeen): string => {
  if (saved) return $localize`Kept`;
  if (problem !== null && !passes(problem)) return $localize`Not kept: ${problemWords(problem)}`;
  return problem !== null || waiting
    ? $localize`Kept in this browser until the server answers`
    : $localize`Keeping …`;
};
