import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  type ElementRef,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { KINDS, type AccountId, type KindCode, type Refusal } from '@iunctus/core';
import { AccountChoiceComponent } from '../../workspace/components/account-choice.component';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { WorkspaceActions } from '../../workspace/state/workspace.actions';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import { altChoice } from '../../shared/components/alt-choice';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { outlineProblemWords } from '../../shared/words/outline-words';
import { refusalWords } from '../../shared/words/refusal-words';
import { UnderstoodListComponent } from '../components/understood-list.component';
import { KeptOutlines } from '../model/kept-outlines';
import { isGuess } from '../model/is-guess';
import { OutlineEngine } from '../model/outline-engine';
import { counted } from '../../shared/words/counted';

/** How long typing must rest before it is read, in milliseconds. */
const REST = 120;

/** Typing many accounts at once as an indented outline, with what was understood beside it. */
@Component({
  selector: 'iu-outline-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AccountChoiceComponent, FocusFirstDirective, UnderstoodListComponent],
  providers: [OutlineEngine],
  templateUrl: './outline.page.html',
  styleUrl: './outline.page.css',
})
export class OutlinePage {
  protected readonly proposed = inject(ProposedChart);
  protected readonly engine = inject(OutlineEngine);
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly kept = inject(KeptOutlines);
  protected readonly load = this.store.selectSignal(workspaceFeature.selectLoad);

  protected readonly text = signal('');
  protected readonly under = signal<AccountId | null>(null);
  protected readonly scrolled = signal(0);
  private readonly field = viewChild.required<ElementRef<HTMLTextAreaElement>>('field');
  private readonly cursorLine = signal(1);
  protected readonly kindNames = KINDS;
  /** What the line of the cursor may be, where its kind is in doubt; `null` else. */
  protected readonly choices = computed<readonly KindCode[] | null>(() => {
    const line = this.engine.plan().lines.find(({ entry }) => entry.line === this.cursorLine());
    if (line?.guess == null || line.problem !== null || !isGuess(line)) return null;
    return [line.guess.kind, ...line.others];
  });
  protected readonly doubtful = computed(
    () => this.engine.plan().lines.filter((line) => line.problem === null && isGuess(line)).length,
  );
  protected readonly refusal = signal<Refusal | null>(null);
  protected readonly lineCount = computed(() => this.text().split('\n').length);
  protected readonly good = computed(() => this.engine.plan().operations.length);
  protected readonly wrong = computed(
    () => this.engine.plan().lines.filter(({ problem }) => problem !== null).length,
  );
  protected readonly refusalText = computed(() => {
    const refusal = this.refusal();
    return refusal === null ? '' : refusalWords(refusal, this.proposed.chart());
  });

  protected readonly sum = computed(() => {
    const [good, wrong] = [this.good(), this.wrong()];
    const accounts = `${counted(good, { one: $localize`# account`, other: $localize`# accounts` })} understood`;
    if (wrong === 0)
      return this.doubtful() === 0
        ? `${accounts}.`
        : $localize`${accounts}. The kind of ${this.doubtful()} is a guess.`;
    const first = this.engine.plan().lines.find(({ problem }) => problem !== null);
    const why =
      first?.problem == null
        ? ''
        : $localize` Line ${first.entry.line}:line:: ${outlineProblemWords(first.problem, this.proposed.chart())}`;
    return $localize`${accounts}; ${counted(wrong, { one: $localize`# line`, other: $localize`# lines` })} would be left out.${why}`;
  });

  /** What was typed here before and not proposed is there again. */
  private async bringBack(clientId: string): Promise<void> {
    const [found] = await this.kept.of(clientId);
    if (found === undefined || this.text() !== '') return;
    this.text.set(found.text);
    this.under.set(found.under);
  }

  private keep(): void {
    const clientId = this.proposed.client()?.id;
    if (clientId === undefined) return;
    if (this.text().trim() === '') this.kept.forget(clientId);
    else this.kept.keep(clientId, { text: this.text(), under: this.under() });
  }

  constructor() {
    const clientId = computed(() => this.proposed.client()?.id ?? null);
    effect(() => {
      const id = clientId();
      if (id !== null) void this.bringBack(id);
    });
    effect((onCleanup) => {
      const [chart, text, under] = [this.proposed.chart(), this.text(), this.under()];
      const timer = setTimeout(() => this.engine.ask(chart, text, under), REST);
      onCleanup(() => clearTimeout(timer));
    });
  }

  protected take(event: Event): void {
    this.refusal.set(null);
    this.text.set((event.target as HTMLTextAreaElement).value);
    // What is pasted, or dictated, comes without a key.
    this.noteCursor(event);
    this.keep();
  }

  protected noteCursor(event: Event): void {
    const { value, selectionStart } = event.target as HTMLTextAreaElement;
    this.cursorLine.set(value.slice(0, selectionStart).split('\n').length);
  }

  /** Writes a kind behind the line of the cursor, in the place of one that stands there. */
  protected chooseKind(kind: KindCode): void {
    const field = this.field().nativeElement;
    const at = lineStart(field.value, field.selectionStart);
    const line = /^[^\n]*/.exec(field.value.slice(at))?.[0] ?? '';
    const bare = line.replace(/\s*\[[^\]]*\]\s*$/u, '');
    field.focus();
    field.setSelectionRange(at + bare.length, at + line.length);
    insert(` [${KINDS[kind].name}]`);
  }

  protected follow(event: Event): void {
    this.scrolled.set((event.target as HTMLTextAreaElement).scrollTop);
  }

  /** Tab indents, as in an editor; Esc gives the key back to the page. */
  protected onKey(event: KeyboardEvent): void {
    const field = event.target as HTMLTextAreaElement;
    if (event.key === 'Escape') field.blur();
    if (event.key === 'Enter' && (event.ctrlKey || event.metaKey))
      this.handle(event, () => this.propose());
    const chosen = this.choices()?.[altChoice(event) ?? -1];
    if (chosen !== undefined) this.handle(event, () => this.chooseKind(chosen));
    if (event.ctrlKey || event.altKey || event.metaKey || event.isComposing) return;
    const white = event.key === 'Enter' ? indentBefore(field) : '';
    if (white !== '') this.handle(event, () => insert(`\n${white}`));
    if (event.key !== 'Tab') return;
    this.handle(event, () => indent(field, event.shiftKey));
    this.text.set(field.value);
    this.keep();
  }

  private handle(event: KeyboardEvent, work: () => void): void {
    event.preventDefault();
    event.stopPropagation();
    work();
  }

  protected propose(): void {
    const { operations } = this.engine.plan();
    const client = this.proposed.client();
    if (client === null || operations.length === 0 || !this.engine.settled()) return;
    if (this.load().status === 'noChart') {
      const steps = [{ id: crypto.randomUUID(), operations }];
      this.store.dispatch(WorkspaceActions.chartBegun({ clientId: client.id, steps }));
    } else {
      this.refusal.set(this.proposed.propose(operations));
      if (this.refusal() !== null) return;
    }
    this.kept.forget(client.id);
    void this.router.navigate(['/clients', client.id, 'chart']);
  }
}

const lineStart = (text: string, at: number): number => text.lastIndexOf('\n', at - 1) + 1;

/** The white space before the line of the cursor: a new line begins as deep. */
const indentBefore = ({ selectionStart: from, value }: HTMLTextAreaElement): string =>
  /^[\t ]*/.exec(value.slice(lineStart(value, from), from))?.[0] ?? '';

/** Types a text as the keyboard would: seen by whoever listens, taken back by the editor's own undo. */
const insert = (text: string): void => {
  // The only way to a field's own history; nothing has taken its place.
  document.execCommand('insertText', false, text);
};

/** Indents or outdents every line that the selection touches, and keeps it selected. */
const indent = (field: HTMLTextAreaElement, back: boolean): void => {
  const { selectionStart: from, selectionEnd: to, value } = field;
  const start = lineStart(value, from);
  const block = value.slice(start, to);
  const lines = block.split('\n');
  const moved = lines.map((line) => (back ? line.replace(/^(\t| {1,4})/, '') : `\t${line}`));
  const first = (moved[0]?.length ?? 0) - (lines[0]?.length ?? 0);
  field.setRangeText(moved.join('\n'), start, to, 'preserve');
  field.setSelectionRange(
    Math.max(from + first, start),
    to + moved.join('\n').length - block.length,
  );
};
