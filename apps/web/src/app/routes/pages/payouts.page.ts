import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { MarketSort, Recording } from '@iunctus/core';
import { Rights } from '../../session/state/rights';
import { OneOfComponent, type OneOf } from '../../shared/components/one-of.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { counted } from '../../shared/words/counted';
import { faultWords } from '../../shared/words/entry-words';
import { dateWords } from '../../shared/words/period-words';
import { MARKET_SORT_WORDS, PURPOSE_WORDS } from '../../shared/words/route-words';
import { BooksReader } from '../../workspace/model/books-reader';
import { ListPosting } from '../../workspace/model/list-posting';
import { PayoutTaking, type PayoutRow } from '../model/payout-taking';

/** What a marketplace tells of sales, fees and payouts: posted as the client’s chart records it, and what it still holds. */
@Component({
  selector: 'iu-payouts-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [OneOfComponent, ProblemNoteComponent, RouterLink],
  providers: [ListPosting, PayoutTaking],
  templateUrl: './payouts.page.html',
  styleUrl: './payouts.page.css',
  host: {
    '(window:keydown.control.enter)': 'post($event)',
    '(window:keydown.meta.enter)': 'post($event)',
  },
})
export class PayoutsPage {
  protected readonly rights = inject(Rights);
  protected readonly reader = inject(BooksReader);
  protected readonly taking = inject(PayoutTaking);
  protected readonly day = dateWords;
  protected readonly sorts = (['sale', 'refund', 'fee', 'reserve'] as const).map((sort) => ({
    sort: sort satisfies MarketSort,
    words: MARKET_SORT_WORDS[sort],
  }));
  protected readonly ways: readonly OneOf<Recording>[] = [
    { value: 'monthly', words: $localize`By monthly statement` },
    { value: 'each', words: $localize`At each payout` },
  ];
  protected readonly missingWords = computed(() =>
    this.taking
      .missing()
      .map((purpose) => PURPOSE_WORDS[purpose])
      .join(', '),
  );
  protected readonly postWords = computed(() =>
    counted(this.taking.ready().length, {
      one: $localize`Post # entry`,
      other: $localize`Post # entries`,
    }),
  );
  protected readonly untakenWords = computed(() =>
    (this.taking.explained()?.untakenOn ?? []).map(dateWords).join(', '),
  );

  /** Posts what is ready, from wherever the keyboard is. */
  protected post(event?: Event): void {
    event?.preventDefault();
    if (!this.rights.may('post') || this.taking.doing.busy()) return;
    if (this.taking.ready().length > 0) void this.taking.post();
  }

  protected faultsOf({ faults }: PayoutRow): readonly string[] {
    return faults.map((fault) => faultWords(fault, this.reader.context()));
  }

  protected linesWords({ gathered }: PayoutRow): string {
    return counted(gathered.lines.length, { one: $localize`# line`, other: $localize`# lines` });
  }
}
