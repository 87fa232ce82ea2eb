import { OneOfComponent } from '../../shared/components/one-of.component';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  untracked,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import {
  formatAmount,
  knownAccount,
  subtract,
  titleOf,
  type ChartDifference,
  type PairedRow,
} from '@iunctus/core';
import { workspaceFeature } from '../../workspace/state/workspace.feature';
import { PickComponent } from '../../shared/components/pick.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { changeWords } from '../../shared/words/change-words';
import { accountWords } from '../../shared/words/account-words';
import { statementRowIndent, statementRowWords } from '../../shared/words/statement-row-words';
import { statementChoices } from '../../shared/words/statement-words';
import { CompareStore } from '../state/compare.store';
import { HistoryPageActions } from '../../workspace/state/history.actions';
import { historyFeature } from '../../workspace/state/history.feature';

/** Two revisions beside one another: the accounts that differ, and both statements. */
@Component({
  selector: 'iu-compare-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [OneOfComponent, PickComponent, ProblemNoteComponent, RouterLink],
  providers: [CompareStore],
  templateUrl: './compare.page.html',
  styleUrl: './compare.page.css',
})
export class ComparePage {
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  protected readonly compare = inject(CompareStore);
  readonly clientId = input.required<string>();
  readonly from = input('0');
  readonly to = input('0');

  private readonly client = this.store.selectSignal(workspaceFeature.selectClient);
  private readonly revisions = this.store.selectSignal(historyFeature.selectRevisions);
  protected readonly statements = computed(statementChoices);
  protected readonly rowWords = ({ row }: PairedRow): string => statementRowWords(row);
  protected readonly rowIndent = ({ row }: PairedRow): number => 10 + statementRowIndent(row);

  protected readonly choices = computed(() => [
    ...this.revisions().map(({ number, note }) => ({
      value: String(number),
      words: note === '' ? `Revision ${number}` : $localize`Revision ${number}:number:: ${note}`,
    })),
    { value: '0', words: $localize`Before the first revision` },
  ]);

  constructor() {
    effect(() => this.store.dispatch(HistoryPageActions.opened({ clientId: this.clientId() })));
    effect(() => {
      const [clientId, from, to] = [this.clientId(), Number(this.from()), Number(this.to())];
      untracked(() => this.compare.load(clientId, from, to));
    });
  }

  protected choose(end: 'from' | 'to', revision: string): void {
    void this.router.navigate([], {
      queryParams: { [end]: revision },
      queryParamsHandling: 'merge',
      replaceUrl: true,
    });
  }

  protected title({ id }: ChartDifference): string {
    const account =
      knownAccount(this.compare.after(), id) ?? knownAccount(this.compare.before(), id);
    return account === undefined ? '' : titleOf(account);
  }

  protected what(difference: ChartDifference): string {
    switch (difference.type) {
      case 'gone':
        return $localize`not there any more`;
      case 'merged':
        return $localize`merged into ${accountWords(difference.into, this.compare.after())}`;
      default:
        return changeWords(difference, this.compare.before());
    }
  }

  protected amount(amount: number | null): string {
    if (amount === null) return '';
    return formatAmount(amount, { currency: this.client()?.currency ?? 'USD', zero: '–' });
  }

  protected moved({ before, after }: PairedRow): string {
    const by = subtract(after ?? 0, before ?? 0);
    if (by === 0) return '';
    return formatAmount(by, { currency: this.client()?.currency ?? 'USD', negatives: 'sign' });
  }
}
