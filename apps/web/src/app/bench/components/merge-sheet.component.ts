import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  output,
  signal,
} from '@angular/core';
import { FormsModule } from '@angular/forms';
import {
  accountOf,
  applyAll,
  formatAmount,
  nodeOf,
  planMerge,
  titleOf,
  type Account,
  type AccountId,
  type Refusal,
} from '@iunctus/core';
import { ToggleSwitch } from 'primeng/toggleswitch';
import { budgetWords } from '../../shared/words/setting-words';
import { refusalWords } from '../../shared/words/refusal-words';
import { landingWords } from '../../shared/words/statement-words';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { ChartView } from '../../workspace/model/chart-view';
import { Amounts } from '../../workspace/model/amounts';
import { Sheets } from '../../workspace/model/sheets';
import { AccountChoiceComponent } from '../../workspace/components/account-choice.component';
import { SheetComponent } from './sheet.component';
import { counted } from '../../shared/words/counted';
import { terms } from '../../shared/words/terms';

/** Merging the account at the cursor into another: choose, see what becomes of it, merge. */
@Component({
  selector: 'iu-merge-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AccountChoiceComponent, FormsModule, SheetComponent, ToggleSwitch],
  templateUrl: './merge-sheet.component.html',
  styleUrl: './merge-sheet.component.css',
})
export class MergeSheetComponent {
  protected readonly proposed = inject(ProposedChart);
  private readonly view = inject(ChartView);
  private readonly amounts = inject(Amounts);
  private readonly sheets = inject(Sheets);
  readonly merged = output();
  protected readonly target = signal<AccountId | null | undefined>(undefined);
  /** Whether a difference of kinds is meant. */
  protected readonly meant = signal(false);

  private readonly node = computed(() => nodeOf(this.proposed.chart(), this.view.cursor() ?? ''));
  private readonly into = computed(() => accountOf(this.proposed.chart(), this.target() ?? ''));
  protected readonly heading = computed(() => {
    const account = this.node()?.account;
    return account === undefined ? '' : `Merge ${titleOf(account)}`;
  });
  protected readonly itself = computed(() => new Set([this.view.cursor() ?? '']));

  protected readonly kindsDiffer = computed(() => {
    const [from, into] = [this.node()?.account, this.into()];
    return from !== undefined && into !== undefined && from.kind !== into.kind;
  });

  private readonly operations = computed(() => {
    const [id, into] = [this.view.cursor(), this.target()];
    if (id === null || into === undefined || into === null) return [];
    const acrossKinds = this.kindsDiffer() && this.meant();
    return planMerge(this.proposed.chart(), id, { into, acrossKinds });
  });
  protected readonly refusal = computed<Refusal | null>(() => {
    const outcome = applyAll(this.proposed.chart(), this.operations());
    return outcome.ok ? null : outcome.refusal;
  });
  protected readonly refusalText = computed(() => {
    const refusal = this.refusal();
    return refusal === null || refusal.code === 'kindsDiffer'
      ? ''
      : refusalWords(refusal, this.proposed.chart());
  });

  /** What becomes of it, line by line. */
  protected readonly effects = computed<readonly string[]>(() => {
    const [from, into] = [this.node(), this.into()];
    if (from === undefined || into === undefined) return [];
    const currency = this.proposed.client()?.currency ?? 'USD';
    const amount = formatAmount(this.amounts.ownAmountOf(from), { currency, zero: '0.00' });
    const name = titleOf(into);
    const { number } = from.account;
    const below = from.children.length;
    return [
      $localize`${amount} that was posted to it counts with ${name}, in this period and in every other.`,
      ...(below === 0
        ? []
        : [
            $localize`${counted(below, { one: $localize`# sub-account moves`, other: $localize`# sub-accounts move` })} under ${name}.`,
          ]),
      ...budgetEffect(from.account, currency),
      $localize`${number === null ? $localize`Its name is` : $localize`Its number and name are`} free again, and still find ${name}.`,
      $localize`It can be taken back at any time, also after new postings; nothing is lost.`,
    ];
  });

  protected readonly kindSentence = computed(() => {
    const [from, into] = [this.node()?.account, this.into()];
    if (from === undefined || into === undefined) return '';
    return $localize`It is ${terms().kinds[from.kind]} and would become ${terms().kinds[into.kind]}:name:: its whole history moves from ${landingWords(from.kind)} to ${landingWords(into.kind)}.`;
  });

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef);
    afterNextRender(() => host.nativeElement.querySelector('input')?.focus());
  }

  protected merge(event: Event): void {
    event.preventDefault();
    const target = this.target();
    if (target === undefined || target === null) return;
    if (this.proposed.propose(this.operations()) !== null) return;
    this.view.goTo(target);
    this.sheets.close();
    this.merged.emit();
  }
}

/** A budget is the account's own: it is neither added to another nor lost. */
const budgetEffect = ({ settings }: Account, currency: string): readonly string[] =>
  settings.budget === undefined
    ? []
    : [
        $localize`Its budget of ${budgetWords(settings.budget, currency)} rests, and comes back with it.`,
      ];
