import { computed, Injectable, signal } from '@angular/core';

/** What is not with the server yet: it waits in this browser, or, where that keeps nothing, in this page alone. */
@Injectable({ providedIn: 'root' })
export class Unsaved {
  private readonly waiting = signal<ReadonlyMap<string, 'here' | 'pageOnly'>>(new Map());
  /** Whether anything waits. */
  readonly any = computed(() => this.waiting().size > 0);

  constructor() {
    addEventListener('beforeunload', (event) => {
      // What the browser keeps comes back; what only the page has is asked about first.
      if ([...this.waiting().values()].includes('pageOnly')) event.preventDefault();
    });
  }

  /** Notes that something waits, or waits no longer. */
  note(what: string, where: 'here' | 'pageOnly' | null): void {
    if ((this.waiting().get(what) ?? null) === where) return;
    const others = [...this.waiting()].filter(([key]) => key !== what);
    this.waiting.set(new Map(where === null ? others : [...others, [what, where]]));
  }
}
