import { inject, Injectable, signal } from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import type { FiguresAnswer, TidyCheckAnswer } from '@iunctus/contract';
import {
  catchError,
  distinctUntilChanged,
  from,
  map,
  mergeMap,
  of,
  switchMap,
  type Observable,
} from 'rxjs';
import { ApiService } from '../../shared/api/api.service';

/** How many clients are asked about at once: the books of each take a while. */
const AT_ONCE = 3;

/** What each client’s books came to last, and how tidy its chart is; what cannot be had is left out. */
@Injectable()
export class ClientFigures {
  private readonly api = inject(ApiService);
  /** The clients that are asked about, by id. */
  readonly of = signal<readonly string[]>([], {
    equal: (one, other) => one.join() === other.join(),
  });
  private readonly figures = this.each<FiguresAnswer>((clientId) =>
    this.api.ask('figures', { clientId }),
  );
  private readonly checks = this.each<TidyCheckAnswer>((clientId) =>
    this.api.ask('tidyCheck', { clientId }),
  );

  /** Asks about each client; what came so far, by its id. */
  private each<T>(ask: (clientId: string) => Observable<T | null>) {
    const read = signal<ReadonlyMap<string, T | null>>(new Map());
    const asked = (id: string): Observable<readonly [string, T | null]> =>
      ask(id).pipe(
        catchError(() => of(null)),
        map((answer) => [id, answer] as const),
      );
    toObservable(this.of)
      .pipe(
        distinctUntilChanged(),
        switchMap((ids) => from(ids).pipe(mergeMap(asked, AT_ONCE))),
        takeUntilDestroyed(),
      )
      .subscribe(([id, answer]) => read.update((before) => new Map(before).set(id, answer)));
    return read;
  }

  /** What a client’s books came to last: `null` where they say nothing, `undefined` until that is known. */
  figuresOf(clientId: string): FiguresAnswer | undefined {
    return this.figures().get(clientId);
  }

  /** How tidy a client’s chart is: `null` where nothing can be said, `undefined` until that is known. */
  checkOf(clientId: string): TidyCheckAnswer | undefined {
    return this.checks().get(clientId);
  }
}
