import { computed, signal, type Signal } from '@angular/core';
import { firstValueFrom, type Observable } from 'rxjs';
import { problemOf, type ApiProblem } from '../../shared/api/problem';

/** One page of something long, and whether more follows. */
export interface Page<T> {
  readonly items: readonly T[];
  readonly more: boolean;
}

/** Something long that is read page by page. */
export class Paged<T> {
  private asked = 0;
  private readonly pages = signal<readonly Page<T>[]>([]);
  readonly items: Signal<readonly T[]> = computed(() => this.pages().flatMap(({ items }) => items));
  readonly more = computed(() => this.pages().at(-1)?.more ?? false);
  readonly loading = signal(false);
  readonly problem = signal<ApiProblem | null>(null);

  /** Reads the page behind an item; the first one behind none. */
  constructor(private readonly page: (behind: T | null) => Observable<Page<T>>) {}

  /** Begins anew; what is there stays until the first page is, and an older answer counts no more. */
  restart(): Promise<void> {
    return this.read(null);
  }

  /** Reads on, unless it is being done or there is no more. */
  async next(): Promise<void> {
    if (this.loading() || !this.more()) return;
    await this.read(this.items().at(-1) ?? null);
  }

  private async read(behind: T | null): Promise<void> {
    this.asked += 1;
    const mine = this.asked;
    this.loading.set(true);
    this.problem.set(null);
    try {
      const page = await firstValueFrom(this.page(behind));
      if (mine !== this.asked) return;
      this.pages.set(behind === null ? [page] : [...this.pages(), page]);
    } catch (error) {
      if (mine !== this.asked) return;
      this.problem.set(problemOf(error));
    }
    this.loading.set(false);
  }
}
