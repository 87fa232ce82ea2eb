import { signal } from '@angular/core';
import { problemOf, type ApiProblem } from './problem';

/** Something that is done with the server on a page: whether it is under way, and why it did not succeed. */
export class Doing {
  readonly busy = signal(false);
  readonly problem = signal<ApiProblem | null>(null);

  /** Does it. Gives whether it succeeded. */
  async run(work: () => Promise<unknown>): Promise<boolean> {
    this.busy.set(true);
    this.problem.set(null);
    try {
      await work();
    } catch (error) {
      this.problem.set(problemOf(error));
    }
    this.busy.set(false);
    return this.problem() === null;
  }
}
