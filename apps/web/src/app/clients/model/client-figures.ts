import { inject, Injectable, signal } from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import type { FiguresAnswer } from '@iunctus/contract';
import { catchError, distinctUntilChanged, from, map, mergeMap, of, switchMap } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';

/** How many clients are asked about at once: the books of each take a while. */
const AT_ONCE = 3;

/** What each client’s books came to last; those that cannot be had are left out. */
@Injectable()
export class ClientFigures {
  private readonly api = inject(ApiService);
  /** The clients that are asked about, by id. */
  readonly of = signal<readonly string[]>([], {
    equal: (one, other) => one.join() === other.join(),
  });
  private readonly read = signal<ReadonlyMap<string, FiguresAnswer>>(new Map());

  constructor() {
    toObservable(this.of)
      .pipe(
        distinctUntilChanged(),
        switchMap((ids) => from(ids).pipe(mergeMap((id) => this.ask(id), AT_ONCE))),
        takeUntilDestroyed(),
      )
      .subscribe(([id, figures]) => this.read.update((read) => new Map(read).set(id, figures)));
  }

  private ask(clientId: string) {
    return this.api.ask('figures', { clientId }).pipe(
      catchError(() => of<FiguresAnswer>(null)),
      map((figures) => [clientId, figures] as const),
    );
  }

  figuresOf(clientId: string): FiguresAnswer {
    return this.read().get(clientId) ?? null;
  }
}
