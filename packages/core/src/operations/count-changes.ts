import { subjectsOf, type Operation } from './operation';

/** Operations, and whether balances of a list come with them. */
export interface CountedStep {
  readonly operations: readonly Operation[];
  readonly opening?: unknown;
}

/**
 * What a person counts as changes: the accounts that are touched, the chart's own settings as one, and each
 * list whose balances come along.
 */
export const countChanges = (steps: readonly CountedStep[]): number => {
  const touched = new Set<string>();
  let own = 0;
  let openings = 0;
  for (const { operations, opening } of steps) {
    if (opening !== undefined) openings += 1;
    for (const operation of operations) {
      const subjects = subjectsOf(operation);
      if (subjects.length === 0) own = 1;
      for (const id of subjects) touched.add(id);
    }
  }
  return touched.size + own + openings;
};
