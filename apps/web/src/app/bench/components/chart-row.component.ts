import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { formatAmount, KINDS, type VisibleRow } from '@iunctus/core';
import { ElementMarkComponent } from '../../shared/components/element-mark.component';
import { changeWords } from '../../shared/words/change-words';
import { ODD_BALANCE_WORDS } from '../../shared/words/account-words';
import { dateWords } from '../../shared/words/period-words';
import { NumbersEngine } from '../../workspace/model/numbers-engine';
import { misfitWords } from '../../shared/words/number-words';
import { RowFindings } from '../model/row-findings';
import { FOLD_WORDS } from '../model/tree-words';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { ChartView } from '../../workspace/model/chart-view';
import { Amounts } from '../../workspace/model/amounts';
import { Joins } from '../../workspace/model/joins';

/** A row of the list that stands for an account. */
export type AccountRow = Extract<VisibleRow, { type: 'account' }>;

/** One account of the chart: number, name, what it was, kind, amount. */
@Component({
  selector: 'iu-chart-row',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ElementMarkComponent],
  template: `
    <i class="edge" [class.changed]="was() !== ''"></i>
    <span class="number" role="gridcell" [class.misfit]="misfit() !== ''" [title]="misfit()">{{
      account().number
    }}</span>
    <span class="name" role="gridcell" [style.padding-left.px]="(row().level - 1) * 18">
      @if (row().node.children.length > 0) {
        <button
          type="button"
          class="twisty"
          tabindex="-1"
          [attr.aria-label]="row().open ? words.close : words.open"
          (click)="toggle($event)"
        >
          {{ row().open ? '▾' : '▸' }}
        </button>
      }
      @let name = account().name;
      <span class="text" dir="auto" [title]="name">{{ name }}</span>
      @if (was() !== '') {
        <b class="was" [title]="was()">{{ was() }}</b>
      }
      @for (note of notes(); track note) {
        <span class="note">{{ note }}</span>
      }
      @if (finding(); as found) {
        <i
          class="finding-mark {{ found.severity }}"
          role="img"
          [title]="found.says"
          [attr.aria-label]="found.says"
        ></i>
      }
    </span>
    <span class="kind" role="gridcell">
      <iu-element-mark [element]="kind().element" />
      {{ kind().shortName }}
    </span>
    <span class="amount" role="gridcell">{{ amount() }}</span>
  `,
  styleUrl: './chart-row.component.css',
  host: {
    class: 'row',
    role: 'row',
    '[id]': "'row-' + account().id",
    '[attr.aria-level]': 'row().level',
    '[attr.aria-expanded]': 'row().node.children.length > 0 ? row().open : null',
    '[attr.aria-selected]': 'selected()',
    '[class.selected]': 'selected()',
    '[class.marked]': 'marked()',
    '[class.lit]': 'joins.lit().has(account().id)',
    '[class.heading]': "account().role === 'heading'",
    '[class.retired]': 'account().retiredOn !== null',
  },
})
export class ChartRowComponent {
  private readonly proposed = inject(ProposedChart);
  private readonly view = inject(ChartView);
  private readonly amounts = inject(Amounts);
  protected readonly joins = inject(Joins);
  readonly row = input.required<AccountRow>();
  private readonly engine = inject(NumbersEngine);
  private readonly findings = inject(RowFindings);
  readonly toggled = output();

  protected readonly account = computed(() => this.row().node.account);
  protected readonly kind = computed(() => KINDS[this.account().kind]);
  protected readonly selected = computed(() => this.view.cursor() === this.account().id);
  protected readonly words = FOLD_WORDS;
  protected readonly marked = computed(() => this.view.marks().has(this.account().id));
  private readonly currency = computed(() => this.proposed.client()?.currency ?? 'USD');

  /** What Tidy found about it. */
  protected readonly finding = computed(() => this.findings.byAccount().get(this.account().id));

  /** What is wrong with the number, by the chart’s plan. */
  protected readonly misfit = computed(() => {
    const why = this.engine.misfits().get(this.account().id);
    return why === undefined ? '' : misfitWords(this.account().number ?? '', why);
  });

  protected readonly was = computed(() => {
    const change = this.proposed.changeOf(this.account().id);
    return change === null ? '' : changeWords(change, this.proposed.base());
  });

  protected readonly amount = computed(() =>
    formatAmount(this.amounts.amountOf(this.row().node), { currency: this.currency(), zero: '–' }),
  );

  /** That it is retired; what was posted to it itself, where accounts below it have amounts too; what is odd about that. */
  protected readonly notes = computed(() => {
    const { node } = this.row();
    const { retiredOn } = node.account;
    const odd = this.amounts.oddBalanceOf(node);
    const own = node.children.length === 0 ? 0 : this.amounts.ownAmountOf(node);
    return [
      ...(retiredOn === null ? [] : [`retired ${dateWords(retiredOn)}`]),
      ...(own === 0 ? [] : [`${formatAmount(own, { currency: this.currency() })} itself`]),
      ...(odd === null ? [] : [ODD_BALANCE_WORDS[odd]]),
    ];
  });

  protected toggle(event: Event): void {
    event.stopPropagation();
    this.toggled.emit();
  }
}
