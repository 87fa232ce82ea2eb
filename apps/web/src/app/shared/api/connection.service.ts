import { computed, Injectable, signal } from '@angular/core';

/** What keeps requests from being answered: the server, or its database. */
export type Trouble = 'unreachable' | 'unavailable' | 'busy';

/** Whether requests are waiting for the server to come back. */
@Injectable({ providedIn: 'root' })
export class ConnectionService {
  private readonly waiting = signal<ReadonlyMap<number, Trouble>>(new Map());
  private last = 0;
  /** What the requests that wait have met; `null` when none waits. */
  readonly trouble = computed<Trouble | null>(() => [...this.waiting().values()].at(-1) ?? null);

  /** Notes that a request waits. Gives what to call when it waits no longer. */
  wait(trouble: Trouble): () => void {
    this.last += 1;
    const key = this.last;
    this.waiting.update((all) => new Map(all).set(key, trouble));
    return () => this.waiting.update((all) => new Map([...all].filter(([other]) => other !== key)));
  }
}
