import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  accountOf,
  formatAmount,
  sidesOf,
  titleOf,
  type AccountId,
  type ListedBalance,
  type Operation,
  type UnplacedBalance,
} from '@iunctus/core';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { OpeningNoteComponent } from '../../shared/components/opening-note.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { WhenFieldComponent } from '../../shared/components/when-field.component';
import { unplacedWords } from '../../shared/words/import-words';
import type { Caller } from '../../shared/words/opening-words';
import { ImportOpening } from '../model/import-opening';

const addedBy = (operation: Operation): readonly (readonly [AccountId, string])[] =>
  operation.type === 'addAccount' ? [[operation.account.id, titleOf(operation.account)]] : [];

/** The balances of the list, the entry that they become, and whether they come along. */
@Component({
  selector: 'iu-balances-part',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [OpeningNoteComponent, ProblemNoteComponent, WhenFieldComponent],
  templateUrl: './balances-part.component.html',
  styleUrl: './balances-part.component.css',
})
export class BalancesPartComponent {
  private readonly proposed = inject(ProposedChart);
  protected readonly brought = inject(ImportOpening);
  readonly balances = input.required<readonly ListedBalance[]>();
  /** Balances that stay out. */
  readonly unplaced = input.required<readonly UnplacedBalance[]>();
  /** What accounts that the list adds are called. */
  readonly titles = input.required<ReadonlyMap<string, string>>();

  protected readonly currency = computed(() => this.proposed.client()?.currency ?? 'USD');
  protected readonly order = this.proposed.dateOrder;
  protected readonly sides = computed(() => {
    const { debit, credit } = sidesOf(this.balances());
    const words = (amount: number): string =>
      formatAmount(amount, { currency: this.currency(), zero: '0' });
    return { debit: words(debit), credit: words(credit) };
  });
  protected readonly stranded = computed(() =>
    this.unplaced().map((one) =>
      unplacedWords(one, formatAmount(one.amount, { currency: this.currency() })),
    ),
  );
  protected readonly called = computed<Caller>(() => {
    const [chart, titles] = [this.proposed.chart(), this.titles()];
    const added = new Map(this.brought.taker().flatMap(addedBy));
    return (id) => {
      const account = accountOf(chart, id);
      return account === undefined
        ? (titles.get(id) ?? added.get(id) ?? $localize`An account of the list`)
        : titleOf(account);
    };
  });

  protected chooseMonth(month: string | null): void {
    if (month !== null && month !== '') this.brought.chooseMonth(month);
  }

  protected setAlong(event: Event): void {
    this.brought.along.set((event.target as HTMLInputElement).checked);
  }
}
