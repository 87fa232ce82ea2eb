import { computed, DestroyRef, effect, inject, Injectable, signal, untracked } from '@angular/core';
import { editOwn, type OwnGesture, type OwnLayout } from '@iunctus/core';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { Unsaved } from '../../shared/keeping/unsaved.service';
import { ClientLayouts } from './client-layouts';

/** The layout that is being edited: each change is shown at once and kept soon, and can be taken back. */
@Injectable()
export class LayoutDesk {
  private readonly layouts = inject(ClientLayouts);
  private readonly unsaved = inject(Unsaved);
  /** Which layout it is. */
  readonly id = signal<string | null>(null);
  private readonly edited = signal<OwnLayout | null>(null);
  private readonly version = signal(0);
  private readonly before = signal<readonly OwnLayout[]>([]);
  private readonly after = signal<readonly OwnLayout[]>([]);
  private keeping = false;
  /** What the server has, as far as is known. */
  private stored: OwnLayout | null = null;

  private readonly answer = computed(() => this.layouts.all().find(({ id }) => id === this.id()));
  readonly layout = this.edited.asReadonly();
  /** Whether it names accounts that are not shown to this user, who may not change it then. */
  readonly partly = computed(() => this.answer()?.partly === true);
  /** Why it could not be kept. */
  readonly problem = signal<ApiProblem | null>(null);
  readonly isGone = computed(
    () => this.layouts.read.value() !== null && this.answer() === undefined,
  );

  constructor() {
    effect(() => {
      const [id, answer] = [this.id(), this.answer()];
      if (id === null || answer === undefined) return;
      untracked(() => this.take(answer.layout, answer.version));
    });
    inject(DestroyRef).onDestroy(() => this.unsaved.note('layout', null));
  }

  /** Another layout is opened. */
  open(id: string): void {
    if (this.id() === id) return;
    this.stored = null;
    this.edited.set(null);
    this.before.set([]);
    this.after.set([]);
    this.problem.set(null);
    this.id.set(id);
  }

  /** What the server has is shown, unless something waits to be kept. */
  private take(layout: OwnLayout, version: number): void {
    if (this.stored !== null && (this.stored !== this.edited() || version <= this.version()))
      return;
    this.stored = layout;
    this.edited.set(layout);
    this.version.set(version);
  }

  /** Does something to the layout. Gives whether anything came of it. */
  edit(...gestures: readonly OwnGesture[]): boolean {
    const layout = this.edited();
    if (layout === null) return false;
    const next = gestures.reduce(editOwn, layout);
    if (next === layout) return false;
    this.put({ ...next, complete: false });
    return true;
  }

  /** Changes its name, its columns, or whether it is complete. */
  set(change: Partial<Pick<OwnLayout, 'name' | 'columns' | 'complete'>>): void {
    const layout = this.edited();
    if (layout !== null) this.put({ ...layout, ...change });
  }

  private put(layout: OwnLayout): void {
    const before = this.edited();
    if (before === null || this.partly()) return;
    this.before.update((stack) => [...stack.slice(-99), before]);
    this.after.set([]);
    this.show(layout);
  }

  undo(): void {
    const [now, before] = [this.edited(), this.before().at(-1)];
    if (now === null || before === undefined) return;
    this.before.update((stack) => stack.slice(0, -1));
    this.after.update((stack) => [...stack, now]);
    this.show(before);
  }

  redo(): void {
    const [now, after] = [this.edited(), this.after().at(-1)];
    if (now === null || after === undefined) return;
    this.after.update((stack) => stack.slice(0, -1));
    this.before.update((stack) => [...stack, now]);
    this.show(after);
  }

  private show(layout: OwnLayout): void {
    this.edited.set(layout);
    void this.keep();
  }

  /** Keeps what is shown; what changes while it is kept is kept next. */
  async keep(): Promise<void> {
    if (this.keeping) return;
    this.keeping = true;
    this.problem.set(null);
    while (this.stored !== this.edited() && this.problem() === null) await this.keepOnce();
    this.keeping = false;
    this.unsaved.note('layout', this.problem() === null ? null : 'pageOnly');
  }

  private async keepOnce(): Promise<void> {
    const [id, layout] = [this.id(), this.edited()];
    if (id === null || layout === null) return;
    this.unsaved.note('layout', 'pageOnly');
    try {
      const version = await this.layouts.put(id, { version: this.version(), layout });
      if (this.id() !== id) return;
      this.version.set(version);
      this.stored = layout;
    } catch (error) {
      const problem = problemOf(error);
      this.problem.set(problem);
      // What the server refuses to call complete stays as it is, but for that.
      if (layout.complete && problem.code === 'badRequest')
        this.edited.set({ ...layout, complete: false });
    }
  }

  /** Gives up what could not be kept, and shows what a colleague made of it. */
  readAgain(): void {
    this.stored = null;
    this.problem.set(null);
    this.before.set([]);
    this.after.set([]);
    this.version.set(0);
    this.unsaved.note('layout', null);
    this.layouts.read.again();
  }
}
