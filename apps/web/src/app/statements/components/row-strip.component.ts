import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import {
  accountOf,
  eachNode,
  isLeaf,
  OWN_LIMITS,
  ownLineWords,
  statementOf,
  titleOf,
  type AccountId,
  type Chart,
  type OwnLayout,
  type OwnPlaces,
  type OwnRow,
} from '@iunctus/core';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';
import { OWN_ROW_WORDS, ownRowName } from '../../shared/words/layout-words';
import { AccountChoiceComponent } from '../../workspace/components/account-choice.component';

/** What a row of a layout is: its words, the accounts in it or the rows it is reckoned from, its sign. */
@Component({
  selector: 'iu-row-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AccountChoiceComponent, FocusFirstDirective, PickComponent],
  templateUrl: './row-strip.component.html',
  styleUrl: './row-strip.component.css',
  host: { '(keydown.escape)': 'closed.emit()' },
})
export class RowStripComponent {
  readonly row = input.required<OwnRow>();
  readonly layout = input.required<OwnLayout>();
  readonly places = input.required<OwnPlaces>();
  readonly chart = input.required<Chart>();
  readonly changed = output<OwnRow>();
  readonly picked = output<AccountId>();
  readonly removed = output();
  readonly closed = output();

  protected readonly most = OWN_LIMITS.words;
  protected readonly sort = computed(() => OWN_ROW_WORDS[this.row().type]);
  protected readonly words = computed(() => {
    const row = this.row();
    return row.type === 'pageBreak' ? null : row.words;
  });
  /** What stands there when no words are given. */
  protected readonly usual = computed(() => {
    const row = this.row();
    return row.type === 'line'
      ? ownLineWords(this.chart(), { ...row, words: '' }, this.places())
      : '';
  });
  protected readonly line = computed(() => {
    const row = this.row();
    return row.type === 'line' ? row : null;
  });
  protected readonly accounts = computed(() =>
    (this.line()?.accounts ?? []).map((id) => {
      const account = accountOf(this.chart(), id);
      return { id, words: account === undefined ? '' : titleOf(account) };
    }),
  );
  /** What is in the line already, and what stands on the other statement. */
  protected readonly except = computed(() => {
    const elsewhere = [...eachNode(this.chart().roots)].flatMap(({ account: { id, kind } }) =>
      statementOf(kind) === this.layout().statement ? [] : id,
    );
    return new Set([...(this.line()?.accounts ?? []), ...elsewhere]);
  });
  protected readonly sum = computed(() => {
    const row = this.row();
    return row.type === 'sum' ? row : null;
  });
  protected readonly ratio = computed(() => {
    const row = this.row();
    return row.type === 'ratio' ? row : null;
  });
  protected readonly signed = computed(() => {
    const row = this.row();
    return 'shows' in row ? row : null;
  });
  protected readonly hides = computed(() => {
    const row = this.row();
    return 'hideZero' in row ? row : null;
  });

  private nameOf(id: string): string {
    const row = this.layout().rows.find((one) => one.id === id);
    if (row === undefined) return '';
    const words = isLeaf(row) ? ownLineWords(this.chart(), row, this.places()) : '';
    return ownRowName(row, words);
  }

  /** The rows of which a sum can be made; those that have an amount, for a ratio. */
  private optionsOf(takes: (row: OwnRow) => boolean): readonly PickOption[] {
    return this.layout()
      .rows.filter((row) => row.id !== this.row().id && takes(row))
      .map(({ id }) => ({ value: id, words: this.nameOf(id) }));
  }

  protected readonly summed = computed(() =>
    (this.sum()?.of ?? []).map((id) => ({ id, words: this.nameOf(id) })),
  );
  protected readonly toSum = computed(() => {
    const of = new Set(this.sum()?.of);
    return this.optionsOf(
      (row) => (isLeaf(row) || row.type === 'heading' || row.type === 'sum') && !of.has(row.id),
    );
  });
  protected readonly withAmount = computed(() =>
    this.optionsOf((row) => isLeaf(row) || row.type === 'sum'),
  );

  protected say(words: string): void {
    const row = this.row();
    if (row.type !== 'pageBreak') this.changed.emit({ ...row, words });
  }

  protected turn(): void {
    const row = this.signed();
    if (row !== null)
      this.changed.emit({ ...row, shows: row.shows === 'debit' ? 'credit' : 'debit' });
  }

  protected hide(): void {
    const row = this.hides();
    if (row !== null) this.changed.emit({ ...row, hideZero: !row.hideZero });
  }

  protected pick(id: AccountId | null): void {
    if (id !== null) this.picked.emit(id);
  }

  protected leaveOut(id: AccountId): void {
    const line = this.line();
    if (line !== null)
      this.changed.emit({ ...line, accounts: line.accounts.filter((one) => one !== id) });
  }

  protected addTo(id: string): void {
    const sum = this.sum();
    if (sum !== null) this.changed.emit({ ...sum, of: [...sum.of, id] });
  }

  protected takeFrom(id: string): void {
    const sum = this.sum();
    if (sum !== null) this.changed.emit({ ...sum, of: sum.of.filter((one) => one !== id) });
  }

  protected doubleRule(): void {
    const sum = this.sum();
    if (sum !== null) this.changed.emit({ ...sum, final: !sum.final });
  }

  protected refer(part: 'of' | 'to', id: string): void {
    const ratio = this.ratio();
    if (ratio !== null) this.changed.emit({ ...ratio, [part]: id });
  }
}
