import { inject, Injectable, signal } from '@angular/core';
import type { RevisionAnswer } from '@iunctus/contract';
import { chartOf } from '@iunctus/core';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { wordsAsMade } from '../../shared/words/words-as-made';

/** At most so many operations of one revision are listed. */
const LISTED = 60;

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
        const { words } = wordsAsMade(chartOf(record), operations.slice(0, LISTED));
        this.found.update((found) => new Map(found).set(number, words));
        this.problem.set(null);
      },
      error: (error: unknown) => this.problem.set(problemOf(error)),
    });
  }
}
