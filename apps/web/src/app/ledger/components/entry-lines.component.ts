import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  Injector,
  input,
  output,
  signal,
} from '@angular/core';
import {
  accountOf,
  converted,
  EMPTY_LINE,
  isEmptyLine,
  isOffered,
  lackingAt,
  readSides,
  writtenSides,
  type AccountId,
  type Dimension,
  type Sides,
  type TypedEntry,
  type TypedLine,
} from '@iunctus/core';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';
import { AccountChoiceComponent } from '../../workspace/components/account-choice.component';
import { BooksReader } from '../../workspace/model/books-reader';
import { CURRENCIES } from '../../shared/words/currency-words';

type Side = keyof Sides;

/** What stands in one line. */
interface Row {
  readonly line: TypedLine;
  readonly wrong: string;
  /** What it lacks for the entry to balance, as it would be typed on its side; empty for nothing. */
  readonly offered: Sides;
  /** The dimensions that its account asks for. */
  readonly asks: ReadonlySet<string>;
  /** What a foreign amount comes to in the books’ currency; empty for none. */
  readonly comesTo: string;
}

const without = (values: TypedLine['values'], dimensionId: string): TypedLine['values'] =>
  Object.fromEntries(Object.entries(values).filter(([id]) => id !== dimensionId));

/** The lines of an entry, typed from cell to cell. */
@Component({
  selector: 'iu-entry-lines',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AccountChoiceComponent, PickComponent],
  templateUrl: './entry-lines.component.html',
  styleUrl: './entry-lines.component.css',
  host: { '(keydown)': 'onKey($event)' },
})
export class EntryLinesComponent {
  protected readonly reader = inject(BooksReader);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly injector = inject(Injector);
  readonly entry = input.required<TypedEntry>();
  /** What is wrong with a line, by its place. */
  readonly wrong = input<ReadonlyMap<number, { readonly words: string }>>(new Map());
  readonly changed = output<readonly TypedLine[]>();

  private readonly foreignShown = signal(false);
  protected readonly sides: readonly Side[] = ['debit', 'credit'];
  protected readonly isForeign = computed(
    () => this.foreignShown() || this.entry().lines.some(({ currency }) => currency !== ''),
  );
  protected readonly currencies = computed<readonly PickOption[]>(() => [
    { value: '', words: this.reader.currency() },
    ...CURRENCIES.filter(({ value }) => value !== this.reader.currency()).map(
      ({ value, words }) => ({
        value,
        words: value,
        also: words,
      }),
    ),
  ]);
  protected readonly dimensions = computed(() =>
    this.reader.dimensions().map((dimension) => ({
      ...dimension,
      options: [
        { value: '', words: '–' },
        ...dimension.values.map(({ id, name }) => ({ value: id, words: name })),
      ],
    })),
  );
  /** How many columns there are: what is wrong with a line is said across all of them. */
  protected readonly columns = computed(
    () => 5 + this.dimensions().length + (this.isForeign() ? 3 : 0),
  );
  /** The lines, and an empty one behind them to go on in. */
  protected readonly lines = computed(() => {
    const { lines } = this.entry();
    const last = lines.at(-1);
    return last !== undefined && isEmptyLine(last) ? lines : [...lines, EMPTY_LINE];
  });
  protected readonly rows = computed<readonly Row[]>(() =>
    this.lines().map((line, index) => ({
      line,
      wrong: this.wrong().get(index)?.words ?? '',
      offered: this.offeredAt(index),
      asks: this.asksOf(line.accountId),
      comesTo: this.comesTo(line),
    })),
  );

  /** What a field or a button of a line is, for those who hear it. */
  protected words(what: 'debit' | 'credit' | 'rate' | 'comment' | 'remove', index: number): string {
    const line = index + 1;
    switch (what) {
      case 'debit':
        return $localize`Debit of line ${line}`;
      case 'credit':
        return $localize`Credit of line ${line}`;
      case 'rate':
        return $localize`Rate of line ${line}`;
      case 'comment':
        return $localize`Comment of line ${line}`;
      case 'remove':
        return $localize`Remove line ${line}`;
    }
  }

  protected showForeign(): void {
    this.foreignShown.set(true);
    this.focusOn(0, 'currency');
  }

  protected chooseAccount(index: number, accountId: AccountId | null): void {
    const account = accountId === null ? undefined : accountOf(this.reader.chart(), accountId);
    const line = this.lines()[index] ?? EMPTY_LINE;
    const usual = (account?.settings.dimensions ?? []).flatMap(({ dimensionId, valueId }) =>
      valueId === null ? [] : [[dimensionId, valueId] as const],
    );
    const own =
      account !== undefined && isOffered(account, 'currency')
        ? account.settings.currency
        : undefined;
    this.set(index, {
      accountId,
      values: { ...Object.fromEntries(usual), ...line.values },
      ...(own === undefined || own === this.reader.currency() ? {} : { currency: own }),
    });
  }

  protected set(index: number, change: Partial<TypedLine>): void {
    const lines = this.lines().map((line, at) => (at === index ? { ...line, ...change } : line));
    this.changed.emit(lines.filter((line, at) => at < lines.length - 1 || !isEmptyLine(line)));
  }

  /** A line is a debit or a credit: what is typed on one side empties the other. */
  protected type(index: number, side: Side, text: string): void {
    const other = side === 'debit' ? 'credit' : 'debit';
    this.set(index, text.trim() === '' ? { [side]: text } : { [side]: text, [other]: '' });
  }

  protected setValue(index: number, { id }: Dimension, valueId: string): void {
    const { values } = this.lines()[index] ?? EMPTY_LINE;
    this.set(index, {
      values: valueId === '' ? without(values, id) : { ...values, [id]: valueId },
    });
  }

  protected setCurrency(index: number, currency: string): void {
    this.set(index, currency === '' ? { currency, rate: '' } : { currency });
  }

  protected remove(index: number): void {
    this.changed.emit(this.entry().lines.filter((_line, at) => at !== index));
    this.focusOn(Math.max(0, index - 1), 'account');
  }

  /** `=` takes what is missing; Enter does so in an empty cell, and goes on to the next line. */
  protected onAmountKey(event: KeyboardEvent, index: number, side: Side): void {
    const row = this.rows()[index];
    if (row === undefined) return;
    const empty = row.line[side].trim() === '';
    if (event.key === '=' || (event.key === 'Enter' && empty && row.offered[side] !== '')) {
      event.preventDefault();
      event.stopPropagation();
      if (row.offered[side] !== '') this.type(index, side, row.offered[side]);
    }
  }

  protected onKey(event: KeyboardEvent): void {
    const cell = (event.target as HTMLElement).closest<HTMLElement>('[data-cell]');
    const [column = '', place = ''] = (cell?.dataset['cell'] ?? '').split('/');
    if (cell === null || event.altKey) return;
    const index = Number(place);
    if (event.key === 'Delete' && event.ctrlKey) {
      event.preventDefault();
      if (index < this.entry().lines.length) this.remove(index);
    } else if (event.key === 'Enter' && !event.ctrlKey && !event.defaultPrevented) {
      event.preventDefault();
      this.focusOn(index + 1, 'account');
    } else if (column !== 'account' && ['ArrowDown', 'ArrowUp'].includes(event.key))
      this.step(event, column, index + (event.key === 'ArrowDown' ? 1 : -1));
  }

  private step(event: KeyboardEvent, column: string, to: number): void {
    if (to < 0 || to >= this.lines().length || column.startsWith('value')) return;
    event.preventDefault();
    this.focusOn(to, column);
  }

  /** Puts the keyboard on a cell once it is drawn; in the last line where there are fewer. */
  focusOn(index: number, column: string): void {
    afterNextRender(
      () => {
        const at = Math.min(index, this.lines().length - 1);
        const selector = `[data-cell="${column}/${at}"]`;
        const cell = this.host.nativeElement.querySelector<HTMLElement>(selector);
        const field = cell?.matches('input') === true ? cell : cell?.querySelector('input');
        field?.focus();
        field?.scrollIntoView({ block: 'nearest' });
      },
      { injector: this.injector },
    );
  }

  private asksOf(accountId: AccountId | null): ReadonlySet<string> {
    const account = accountId === null ? undefined : accountOf(this.reader.chart(), accountId);
    return new Set((account?.settings.dimensions ?? []).map(({ dimensionId }) => dimensionId));
  }

  private offeredAt(index: number): Row['offered'] {
    const line = this.lines()[index] ?? EMPTY_LINE;
    const currency = this.reader.currency();
    const isOpen =
      line.accountId !== null && line.currency === '' && line.debit + line.credit === '';
    const entry = { ...this.entry(), lines: this.lines() };
    return writtenSides(isOpen ? lackingAt(entry, index, currency) : 0, currency);
  }

  private comesTo(line: TypedLine): string {
    if (line.currency === '') return '';
    const into = this.reader.currency();
    const { amount } = readSides(line, line.currency);
    const own = converted(amount, { from: line.currency, into, rate: line.rate.trim() });
    return own === null || own === 0 ? '' : this.reader.amount(Math.abs(own));
  }
}
