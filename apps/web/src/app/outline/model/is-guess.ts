import { DOUBTFUL, type OutlineLine } from '@iunctus/core';

/** Whether the kind of a line is a guess that should be looked at. */
export const isGuess = ({ guess }: OutlineLine): boolean =>
  guess !== null && guess.confidence < DOUBTFUL;
