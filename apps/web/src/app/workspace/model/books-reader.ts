import { computed, inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import type { RegisterLine } from '@iunctus/contract';
import {
  formatAmount,
  knownAccount,
  sidesOf,
  titleOf,
  type Books,
  type Minor,
  type NewEntry,
} from '@iunctus/core';
import { ApiService } from '../../shared/api/api.service';
import { reading } from '../../shared/api/reading';
import { today } from '../../shared/dates/today';
import { ProposedChart } from './proposed-chart';
import { WorkspaceActions } from '../state/workspace.actions';

/** What pages on the books share: what that entries are held against, and how accounts and amounts are written. */
@Injectable()
export class BooksReader {
  private readonly api = inject(ApiService);
  private readonly store = inject(Store);
  private readonly proposed = inject(ProposedChart);

  readonly client = this.proposed.client;
  /** As adopted: what is only proposed takes no postings. */
  readonly chart = this.proposed.base;
  readonly order = this.proposed.dateOrder;
  readonly currency = computed(() => this.client()?.currency ?? 'USD');
  readonly dimensions = computed(() => this.chart().settings.dimensions);

  /** Through which day the books are locked, and who locked them. */
  readonly locks = reading(
    () => (this.proposed.ready() ? this.client()?.id : undefined),
    (clientId) => this.api.ask('locks', { clientId }),
  );

  readonly books = computed<Books>(() => ({
    currency: this.currency(),
    fiscalYearStart: this.client()?.fiscalYearStart ?? 1,
    lockedThrough: this.locks.value()?.lockedThrough ?? null,
    today: today(),
  }));

  /** What stands behind the words of what is wrong. */
  readonly context = computed(() => ({
    currency: this.currency(),
    dimensionName: (id: string): string =>
      this.dimensions().find((dimension) => dimension.id === id)?.name ?? $localize`a dimension`,
  }));

  /** Number and name of an account; of one that others see alone, that it is so. */
  titleOf(accountId: string): string {
    const account = knownAccount(this.chart(), accountId);
    return account === undefined ? $localize`An account that you do not see` : titleOf(account);
  }

  /** The values that a line carries, by name. */
  valuesOf(values: Readonly<Record<string, string>>): string {
    return this.dimensions()
      .flatMap(({ id, values: known }) => known.find((one) => one.id === values[id])?.name ?? [])
      .join(' · ');
  }

  amount(amount: Minor): string {
    return formatAmount(amount, { currency: this.currency(), zero: '–' });
  }

  /** What an entry moves: its debits. */
  moved({ lines }: Pick<NewEntry, 'lines'>): string {
    return this.amount(sidesOf(lines).debit);
  }

  /** Which accounts stand on the other side of a line. */
  against({ against }: RegisterLine): string {
    const [first, ...more] = against;
    if (first === undefined) return '';
    return more.length === 0 ? this.titleOf(first) : $localize`${this.titleOf(first)} and others`;
  }

  /** Tells everybody that amounts are others now. */
  changed(accounts: readonly string[]): void {
    this.store.dispatch(WorkspaceActions.booksChanged({ accounts }));
  }
}
