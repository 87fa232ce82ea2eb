import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
  signal,
} from '@angular/core';
import type { StandingEntryAnswer, StandingEntryRequest } from '@iunctus/contract';
import {
  checkStanding,
  dayOfTime,
  EMPTY_LINE,
  FREQUENCIES,
  isEmptyLine,
  TYPED_SOURCES,
  typedRecurrence,
  type Ending,
  type EntrySource,
  type Frequency,
  type Recurrence,
  type TypedEntry,
  type TypedLine,
  type TypedStanding,
} from '@iunctus/core';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';
import { TextFieldComponent } from '../../shared/components/text-field.component';
import { WhenFieldComponent } from '../../shared/components/when-field.component';
import { today } from '../../shared/dates/today';
import { SOURCE_WORDS } from '../../shared/words/choice-words';
import { FREQUENCY_WORDS, STANDING_FAULT_WORDS } from '../../shared/words/entry-words';
import { dateWords } from '../../shared/words/period-words';
import { BooksReader } from '../../workspace/model/books-reader';
import { EntryLinesComponent } from './entry-lines.component';

const endingOf = ({ last, times }: Recurrence): Ending =>
  last !== null ? 'on' : times !== null ? 'after' : 'never';

const typedOf = (standing: StandingEntryAnswer | null): TypedStanding => ({
  name: standing?.name ?? '',
  frequency: standing?.recurrence.frequency ?? 'monthly',
  first: standing?.recurrence.first ?? today(),
  ending: standing === null ? 'never' : endingOf(standing.recurrence),
  last: standing?.recurrence.last ?? '',
  times: String(standing?.recurrence.times ?? 12),
  entry: standing?.entry ?? {
    date: '',
    source: 'journal',
    comment: '',
    lines: [EMPTY_LINE, EMPTY_LINE],
  },
});

/** How many of the next days are shown. */
const SHOWN = 4;

/** When an entry comes again, and what it posts then. */
@Component({
  selector: 'iu-standing-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [EntryLinesComponent, PickComponent, TextFieldComponent, WhenFieldComponent],
  templateUrl: './standing-form.component.html',
  styleUrl: './standing-form.component.css',
})
export class StandingFormComponent {
  protected readonly reader = inject(BooksReader);
  /** What is there already; `null` for a new one. */
  readonly standing = input<StandingEntryAnswer | null>(null);
  readonly keep = output<StandingEntryRequest>();
  readonly leave = output();

  protected readonly typed = linkedSignal(() => typedOf(this.standing()));
  protected readonly tried = signal(false);
  protected readonly frequencies: readonly PickOption<Frequency>[] = FREQUENCIES.map((value) => ({
    value,
    words: FREQUENCY_WORDS[value],
  }));
  protected readonly sources: readonly PickOption<EntrySource>[] = TYPED_SOURCES.map((value) => ({
    value,
    words: SOURCE_WORDS[value],
  }));
  protected readonly endings: readonly PickOption<Ending>[] = [
    { value: 'never', words: $localize`Without end` },
    { value: 'on', words: $localize`Until a day` },
    { value: 'after', words: $localize`So many times` },
  ];

  private readonly recurrence = computed(() => typedRecurrence(this.typed()));
  /** The next days on which it comes, as a check of what was chosen. */
  protected readonly nextWords = computed(() => {
    if (this.typed().first === '') return '';
    const days = Array.from({ length: SHOWN + 1 }, (_one, at) => dayOfTime(this.recurrence(), at));
    const known = days.flatMap((day) => (day === null ? [] : [dateWords(day)]));
    return known.slice(0, SHOWN).join(' · ') + (known.length > SHOWN ? ' …' : '');
  });
  /** What keeps it from being kept, in words. */
  protected readonly lacks = computed<readonly string[]>(() =>
    checkStanding(this.typed(), this.reader.currency()).map((fault) => STANDING_FAULT_WORDS[fault]),
  );

  protected set(change: Partial<TypedStanding>): void {
    this.typed.update((typed) => ({ ...typed, ...change }));
  }

  protected setEntry(change: Partial<TypedEntry>): void {
    this.typed.update((typed) => ({ ...typed, entry: { ...typed.entry, ...change } }));
  }

  protected setLines(lines: readonly TypedLine[]): void {
    this.setEntry({ lines });
  }

  protected done(): void {
    this.tried.set(true);
    if (this.lacks().length > 0) return;
    const { name, entry } = this.typed();
    this.keep.emit({
      name: name.trim(),
      recurrence: this.recurrence(),
      entry: {
        ...entry,
        date: '',
        lines: entry.lines
          .filter((line) => !isEmptyLine(line))
          .map((line) => ({ ...line, values: { ...line.values } })),
      },
    });
  }
}
