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
  dayOfTime,
  EMPTY_LINE,
  FREQUENCIES,
  isEmptyLine,
  readTypedAmount,
  TYPED_SOURCES,
  type EntrySource,
  type Frequency,
  type TypedEntry,
  type TypedLine,
} from '@iunctus/core';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';
import { WhenFieldComponent } from '../../shared/components/when-field.component';
import { today } from '../../shared/dates/today';
import { SOURCE_WORDS } from '../../shared/words/choice-words';
import { FREQUENCY_WORDS } from '../../shared/words/entry-words';
import { dateWords } from '../../shared/words/period-words';
import { BooksReader } from '../model/books-reader';
import { EntryLinesComponent } from './entry-lines.component';

type Ending = 'never' | 'on' | 'after';

interface Typed {
  readonly name: string;
  readonly frequency: Frequency;
  readonly first: string;
  readonly ending: Ending;
  readonly last: string;
  readonly times: string;
  readonly entry: TypedEntry;
}

const typedOf = (standing: StandingEntryAnswer | null): Typed => ({
  name: standing?.name ?? '',
  frequency: standing?.recurrence.frequency ?? 'monthly',
  first: standing?.recurrence.first ?? today(),
  ending:
    standing?.recurrence.last != null
      ? 'on'
      : standing?.recurrence.times != null
        ? 'after'
        : 'never',
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
  imports: [EntryLinesComponent, PickComponent, WhenFieldComponent],
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

  private readonly times = computed(() => {
    const { ending, times } = this.typed();
    return ending === 'after' && /^[1-9]\d{0,3}$/.test(times.trim()) ? Number(times) : null;
  });
  private readonly recurrence = computed(() => {
    const { frequency, first, ending, last } = this.typed();
    return {
      frequency,
      first,
      last: ending === 'on' && last !== '' ? last : null,
      times: this.times(),
    };
  });
  /** The next days on which it comes, as a check of what was chosen. */
  protected readonly nextWords = computed(() => {
    if (this.typed().first === '') return '';
    const days = Array.from({ length: SHOWN + 1 }, (_one, at) => dayOfTime(this.recurrence(), at));
    const known = days.flatMap((day) => (day === null ? [] : [dateWords(day)]));
    return known.slice(0, SHOWN).join(' · ') + (known.length > SHOWN ? ' …' : '');
  });
  private readonly lines = computed(() =>
    this.typed().entry.lines.filter((line) => !isEmptyLine(line)),
  );

  /** What keeps it from being kept, in words. */
  protected readonly lacks = computed<readonly string[]>(() => {
    const { name, first, ending, last } = this.typed();
    return [
      ...(name.trim() === '' ? [$localize`Give it a name.`] : []),
      ...(first === '' ? [$localize`Give the first day.`] : []),
      ...(ending === 'on' && (last === '' || last < first)
        ? [$localize`Give a last day that is not before the first.`]
        : []),
      ...(ending === 'after' && this.times() === null
        ? [$localize`Say how many times, from 1 to 9999.`]
        : []),
      ...this.lackingLines(),
    ];
  });

  private lackingLines(): readonly string[] {
    const lines = this.lines();
    if (lines.length < 2) return [$localize`An entry has two lines at least.`];
    if (lines.some(({ accountId }) => accountId === null))
      return [$localize`Choose an account in every line.`];
    const unread = lines.some(({ debit, credit, currency }) =>
      [debit, credit].some(
        (text) =>
          text.trim() !== '' && readTypedAmount(text, currency || this.reader.currency()) === null,
      ),
    );
    return unread
      ? [$localize`An amount cannot be read. Leave it empty to be asked for it each time.`]
      : [];
  }

  protected set(change: Partial<Typed>): void {
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
        lines: this.lines().map((line) => ({ ...line, values: { ...line.values } })),
      },
    });
  }
}
