import { afterNextRender, Directive, ElementRef, inject, Injector, signal } from '@angular/core';
import type { AutoComplete, AutoCompleteCompleteEvent } from 'primeng/autocomplete';
import { AT_ONCE, watchListKeys } from './list-keys';

/** Most choices that a list shows at once. */
const SHOWN = 60;

/** Choosing one thing by typing part of what it is called; what the kinds and the accounts share. */
@Directive()
export abstract class ChoiceBase<T extends object> {
  protected readonly atOnce = AT_ONCE;
  protected readonly found = signal<T[]>([]);
  protected readonly value = signal<T | null>(null);

  private readonly injector = inject(Injector);

  constructor() {
    const closes = this.escapeCloses();
    watchListKeys(inject<ElementRef<HTMLElement>>(ElementRef).nativeElement, {
      list: () => this.autoComplete(),
      takeBest: (typed) => this.takeBest(typed),
      tabTakes: true,
      escapeCloses: closes,
    });
  }

  /** Whether Escape only closes the list where it is open. */
  protected escapeCloses(): boolean {
    return false;
  }

  protected abstract autoComplete(): AutoComplete;
  /** What the field shows for a choice. */
  protected abstract titleOf(choice: T): string;
  /** The choices that fit, the best first; all of them for an empty query. */
  protected abstract matching(query: string): T[];
  /** Tells the form. */
  protected abstract tell(choice: T): void;

  protected search({ query }: AutoCompleteCompleteEvent): void {
    const typed = !this.isShown(query);
    this.found.set(this.matching(typed ? query : '').slice(0, SHOWN));
    if (typed) this.markBest();
  }

  protected take(choice: T | string | null): void {
    if (choice === null || typeof choice === 'string') return;
    this.value.set(choice);
    this.tell(choice);
  }

  /** The list would mark the present choice; what is typed asks for the best match. */
  private markBest(): void {
    afterNextRender(() => this.autoComplete().focusedOptionIndex.set(0), {
      injector: this.injector,
    });
  }

  private takeBest(typed: string): boolean {
    if (typed.trim() === '' || this.isShown(typed)) return false;
    const [best] = this.matching(typed);
    if (best !== undefined) this.take(best);
    return best !== undefined;
  }

  private isShown(text: string): boolean {
    const value = this.value();
    return value !== null && this.titleOf(value) === text;
  }
}
