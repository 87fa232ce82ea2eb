import { OneOfComponent, type OneOf } from '../../shared/components/one-of.component';
import {
  CdkFixedSizeVirtualScroll,
  CdkVirtualForOf,
  CdkVirtualScrollViewport,
} from '@angular/cdk/scrolling';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  output,
  signal,
} from '@angular/core';
import { FormsModule } from '@angular/forms';
import { accountOf, type AccountId, type CrosswalkRow, type Refusal } from '@iunctus/core';
import { AccountChoiceComponent } from '../../workspace/components/account-choice.component';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { unplacedWords, WHY_WORDS } from '../../shared/words/number-words';
import { refusalWords } from '../../shared/words/refusal-words';
import { crosswalkFile, saveAs } from '../../shared/files/crosswalk-file';
import { NumbersModel, type Way } from '../model/numbers-model';

const WAYS: readonly OneOf<Way>[] = [
  { value: 'fewest', words: $localize`Fewest changes` },
  { value: 'afresh', words: $localize`Afresh, evenly` },
  { value: 'add', words: $localize`Add to numbers` },
  { value: 'replace', words: $localize`Replace digits` },
];

/** A renumbering before it is proposed: how, of what, and the crosswalk from old to new. */
@Component({
  selector: 'iu-renumbering',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    OneOfComponent,
    AccountChoiceComponent,
    CdkFixedSizeVirtualScroll,
    CdkVirtualForOf,
    CdkVirtualScrollViewport,
    FormsModule,
  ],
  templateUrl: './renumbering.component.html',
  styleUrl: './renumbering.component.css',
})
export class RenumberingComponent {
  protected readonly numbers = inject(NumbersModel);
  private readonly workspace = inject(ProposedChart);
  readonly proposed = output();

  protected readonly ways = WAYS;
  protected readonly refusal = signal<Refusal | null>(null);
  protected readonly rows = computed(() => this.numbers.crosswalk()?.rows ?? []);
  protected readonly unplaced = computed(() =>
    unplacedWords(this.numbers.crosswalk()?.unplaced ?? [], this.numbers.chart()),
  );
  protected readonly refusalText = computed(() => {
    const refusal = this.refusal();
    return refusal === null ? '' : refusalWords(refusal, this.numbers.chart());
  });

  protected readonly sum = computed(() => {
    const byPlan = this.numbers.way() === 'fewest' || this.numbers.way() === 'afresh';
    if (byPlan && this.numbers.problems().length > 0)
      return $localize`The plan contradicts itself: mend it, and the new numbers appear here.`;
    const crosswalk = this.numbers.crosswalk();
    if (crosswalk === null) return $localize`Counting …`;
    const { rows, considered, unplaced } = crosswalk;
    const keep = considered - rows.length;
    if (rows.length === 0)
      return unplaced.length === 0 && this.numbers.way() === 'fewest'
        ? $localize`Every number fits the plan.`
        : $localize`No number changes.`;
    const sentence = $localize`${rows.length} of ${considered} numbers change, ${keep} stay.`;
    return this.numbers.way() === 'fewest'
      ? $localize`${sentence} No numbering that fits the plan changes fewer.`
      : sentence;
  });

  protected nameOf({ id }: CrosswalkRow): string {
    return accountOf(this.numbers.chart(), id)?.name ?? '';
  }

  protected whyOf({ why }: CrosswalkRow): string {
    return why === 'asAsked' ? '' : WHY_WORDS[why];
  }

  protected trackRow = (_index: number, { id }: CrosswalkRow): AccountId => id;

  protected setAmount(amount: number | null): void {
    if (amount !== null && Number.isInteger(amount)) this.numbers.amount.set(amount);
  }

  protected propose(): void {
    this.refusal.set(this.numbers.proposeNumbers());
    if (this.refusal() === null) this.proposed.emit();
  }

  protected download(): void {
    const rows = this.rows();
    const why = new Map(rows.map((row) => [row.id, row.why]));
    const client = this.workspace.client()?.name ?? $localize`Chart`;
    saveAs(
      `${client} crosswalk.csv`,
      crosswalkFile(rows, this.numbers.chart(), (id) => why.get(id) ?? null),
    );
  }
}
