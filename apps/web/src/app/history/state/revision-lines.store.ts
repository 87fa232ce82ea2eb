import { inject, Injectable, signal } from '@angular/core';
import type { RevisionAnswer } from '@iunctus/contract';
import { apply, chartOf, type Chart, type Operation } from '@iunctus/core';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { operationWords } from '../../shared/words/operation-words';

/** At most so many operations of one revision are listed. */
const LISTED = 60;

/** Operations in words, accounts called as they were when each was made. */
export const linesAsThen = (start: Chart, operations: readonly Operation[]): readonly string[] => {
  let before = start;
  return operations.slice(0, LISTED).map((operation) => {
    const outcome = apply(before, operation);
    const after = outcome.ok ? outcome.chart : before;
    const words = operationWords(operation, before, after);
    before = after;
    return words;
  });
};

/** What each revision that was opened changed, with the names and numbers of then. */
@Injectable()
export class RevisionLinesStore {
  private readonly api = inject(ApiService);
  private readonly found = signal<ReadonlyMap<number, readonly string[]>>(new Map());
  readonly problem = signal<ApiProblem | null>(null);

  /** `null` until they are there. */
  linesOf(number: number): readonly string[] | null {
    return this.found().get(number) ?? null;
  }

  /** How many operations are not listed. */
  unlisted({ operations }: RevisionAnswer): number {
    return Math.max(operations.length - LISTED, 0);
  }

  /** Fetches the chart on which a revision was adopted, once. */
  load(clientId: string, { number, operations }: RevisionAnswer): void {
    if (this.found().has(number)) return;
    this.api.ask('revisionChart', { clientId, number: number - 1 }).subscribe({
      next: (record) => {
        const lines = linesAsThen(chartOf(record), operations);
        this.found.update((found) => new Map(found).set(number, lines));
        this.problem.set(null);
      },
      error: (error: unknown) => this.problem.set(problemOf(error)),
    });
  }
}
