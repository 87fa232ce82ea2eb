import { apply, type Chart, type Operation } from '@iunctus/core';
import { operationWords } from './operation-words';

/** Operations in words, accounts called as they are when each is made; and the chart after them. */
export const wordsAsMade = (
  start: Chart,
  operations: readonly Operation[],
): { readonly words: readonly string[]; readonly after: Chart } => {
  let before = start;
  const words = operations.map((operation) => {
    const outcome = apply(before, operation);
    const after = outcome.ok ? outcome.chart : before;
    const said = operationWords(operation, before, after);
    before = after;
    return said;
  });
  return { words, after: before };
};
