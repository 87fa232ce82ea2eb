import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  Injector,
  input,
  untracked,
  viewChild,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { TYPED_SOURCES, type EntrySource, type TypedLine } from '@iunctus/core';
import { PickComponent } from '../../shared/components/pick.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { takeKeyboard } from '../../shared/components/take-keyboard';
import { TextFieldComponent } from '../../shared/components/text-field.component';
import { WhenFieldComponent } from '../../shared/components/when-field.component';
import { SOURCE_WORDS } from '../../shared/words/choice-words';
import { doubtWords } from '../../shared/words/entry-words';
import { PURPOSE_WORDS } from '../../shared/words/route-words';
import { dateWords } from '../../shared/words/period-words';
import { EntryLinesComponent } from '../components/entry-lines.component';
import { BooksReader } from '../../workspace/model/books-reader';
import { EntryTyping } from '../model/entry-typing';

/** Typing an entry, from its date to posting it. */
@Component({
  selector: 'iu-typing-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    EntryLinesComponent,
    PickComponent,
    ProblemNoteComponent,
    RouterLink,
    TextFieldComponent,
    WhenFieldComponent,
  ],
  providers: [EntryTyping],
  templateUrl: './typing.page.html',
  styleUrl: './typing.page.css',
  host: {
    '(keydown.control.enter)': '$event.preventDefault(); post(true)',
    '(keydown.meta.enter)': '$event.preventDefault(); post(true)',
  },
})
export class TypingPage {
  private readonly router = inject(Router);
  private readonly injector = inject(Injector);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly reader = inject(BooksReader);
  protected readonly typing = inject(EntryTyping);
  private readonly lines = viewChild(EntryLinesComponent);
  readonly clientId = input.required<string>();
  readonly draftId = input.required<string>();
  readonly pattern = input<string>();
  readonly corrects = input<string>();
  readonly standing = input<string>();
  readonly due = input<string>();

  protected readonly sources = TYPED_SOURCES.map((value) => ({
    value,
    words: SOURCE_WORDS[value],
  }));
  protected readonly doubts = computed(() => this.typing.doubts().map(doubtWords));
  protected readonly title = computed(() => {
    if (this.typing.corrects() !== null) return $localize`Correction`;
    const standing = this.typing.standing();
    return standing === null
      ? $localize`New entry`
      : $localize`Standing entry of ${dateWords(standing.due)}`;
  });
  /** Where the difference may go; empty where nothing is offered. */
  protected readonly balanceWords = computed(() => {
    const offered = this.typing.balancing();
    if (offered === null) return '';
    const amount = this.reader.amount(Math.abs(this.typing.totals().difference));
    return $localize`Put ${amount} on ${this.reader.titleOf(offered.accountId)} (${PURPOSE_WORDS[offered.purpose]})`;
  });
  protected readonly stateWords = computed(() => {
    switch (this.typing.state()) {
      case 'reading':
        return $localize`Reading …`;
      case 'untouched':
        return '';
      case 'typing':
        return this.typing.problem() === null ? '' : $localize`Kept in this browser`;
      case 'saving':
        return $localize`Keeping the draft …`;
      case 'saved':
        return $localize`Draft kept`;
      case 'posting':
        return $localize`Posting …`;
    }
  });

  constructor() {
    effect(() => {
      const [standingId, due] = [this.standing(), this.due()];
      const beginning = {
        clientId: this.clientId(),
        draftId: this.draftId(),
        pattern: this.pattern(),
        corrects: this.corrects(),
        standing: standingId === undefined || due === undefined ? null : { standingId, due },
      };
      untracked(() => void this.typing.begin(beginning).then(() => this.toHead()));
    });
  }

  protected setDate(date: string | null): void {
    this.typing.change({ date: date ?? '' });
  }

  protected setSource(source: EntrySource): void {
    this.typing.change({ source });
  }

  protected setLines(lines: readonly TypedLine[]): void {
    this.typing.change({ lines });
  }

  /** Puts the keyboard on the date, where an entry begins. */
  private toHead(): void {
    afterNextRender(() => takeKeyboard(this.host.nativeElement, '.date input'), {
      injector: this.injector,
    });
  }

  /** Puts the keyboard where the first thing stands that keeps the entry from being posted. */
  private toWrong(): void {
    const [first] = [...this.typing.wrong()].sort(([a], [b]) => a - b);
    if (first !== undefined) this.lines()?.focusOn(first[0], first[1].column);
  }

  /** Puts the difference where it is offered, and the keyboard with it. */
  protected balance(): void {
    this.typing.balance();
    const last = (this.typing.entry()?.lines.length ?? 1) - 1;
    afterNextRender(() => this.lines()?.focusOn(last, 'account'), { injector: this.injector });
  }

  /** From the head into the first line. */
  protected toLines(event: Event): void {
    event.preventDefault();
    this.lines()?.focusOn(0, 'account');
  }

  /** Posts the entry, and goes on with the next one or shows it. */
  protected async post(goesOn: boolean): Promise<void> {
    const posted = await this.typing.post();
    if (posted === null) return this.toWrong();
    await (goesOn && this.typing.standing() === null
      ? this.router.navigate(
          ['/clients', this.clientId(), 'ledger', 'typing', crypto.randomUUID()],
          {
            queryParams: { after: posted },
          },
        )
      : this.router.navigate(['/clients', this.clientId(), 'ledger', 'entries', posted]));
  }

  readonly after = input<string>();

  protected async drop(): Promise<void> {
    await this.typing.drop();
    await this.router.navigate(['/clients', this.clientId(), 'ledger', 'journal']);
  }
}
