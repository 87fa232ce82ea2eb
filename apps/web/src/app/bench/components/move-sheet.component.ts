import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  linkedSignal,
  output,
} from '@angular/core';
import {
  eachNode,
  headsOf,
  nodeOf,
  planMoveTogether,
  titleOf,
  type ManyPlan,
  type MoveTarget,
  type Refusal,
} from '@iunctus/core';
import { shortList } from '../../shared/words/short-list';
import { operationWords } from '../../shared/words/operation-words';
import { refusalWords } from '../../shared/words/refusal-words';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { ChartView } from '../../workspace/model/chart-view';
import { Sheets } from '../../workspace/model/sheets';
import { AccountChoiceComponent } from '../../workspace/components/account-choice.component';
import { crossingWords } from '../model/tree-words';
import { SheetComponent } from './sheet.component';

/** Moving the account at the cursor under another: choose, see what it does, move. */
@Component({
  selector: 'iu-move-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AccountChoiceComponent, SheetComponent],
  template: `
    <iu-sheet [heading]="heading()">
      <form (submit)="move($event)">
        <label class="field" for="move-target"><span i18n>Move under</span></label>
        <iu-account-choice
          inputId="move-target"
          i18n-label
          label="Move under"
          i18n-placeholder
          placeholder="Part of a number or name"
          [chart]="proposed.chart()"
          [except]="ownBranch()"
          [accountId]="targetId()"
          (chosen)="target.set({ parentId: $event })"
        />
        @if (refusal(); as found) {
          <p class="refusal" role="alert">{{ words(found) }}</p>
        } @else if (effects().length > 0) {
          @if (crossing() !== '') {
            <p class="crossing">{{ crossing() }}</p>
          }
          <p i18n class="muted">This will do:</p>
          <ul>
            @for (effect of effects(); track effect) {
              <li>{{ effect }}</li>
            }
          </ul>
        }
        <button
          i18n
          class="button primary"
          [disabled]="effects().length === 0 || refusal() !== null"
        >
          Move
        </button>
      </form>
    </iu-sheet>
  `,
  styles: `
    form {
      display: grid;
      gap: 12px;
    }
    ul {
      margin: 0;
      padding-left: 18px;
    }
    .crossing {
      padding: 8px 12px;
      border-left: 3px solid var(--amber);
      background: var(--amber-wash);
    }
    .refusal {
      color: var(--bad);
      font-weight: 600;
    }
    .button {
      justify-self: start;
    }
  `,
})
export class MoveSheetComponent {
  protected readonly proposed = inject(ProposedChart);
  private readonly view = inject(ChartView);
  private readonly sheets = inject(Sheets);
  readonly moved = output();
  /** Where a drop would put it; nothing is chosen yet where the sheet was opened by a key. */
  private readonly dropped = this.sheets.moveTo();
  protected readonly target = linkedSignal<MoveTarget | undefined>(
    () => this.sheets.moveTo() ?? undefined,
  );
  protected readonly targetId = computed(() => this.target()?.parentId);
  private readonly heads = computed(() => headsOf(this.proposed.chart(), this.view.chosen()));
  protected readonly heading = computed(() => {
    const account = this.view.selected();
    const count = this.heads().length;
    if (count > 1) return $localize`Move ${count} accounts`;
    return account === undefined ? '' : `Move ${titleOf(account)}`;
  });
  protected readonly ownBranch = computed(() => {
    const nodes = this.heads().flatMap((id) => nodeOf(this.proposed.chart(), id) ?? []);
    return new Set([...eachNode(nodes)].map(({ account }) => account.id));
  });

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef);
    afterNextRender(() => {
      const first = this.dropped === null ? 'input' : '.primary';
      host.nativeElement.querySelector<HTMLElement>(first)?.focus();
    });
  }

  private readonly plan = computed<ManyPlan>(() => {
    const target = this.target();
    if (target === undefined) return { ok: true, operations: [] };
    return planMoveTogether(this.proposed.chart(), this.heads(), target);
  });
  private readonly operations = computed(() => {
    const plan = this.plan();
    return plan.ok ? plan.operations : [];
  });
  protected readonly refusal = computed<Refusal | null>(() => {
    const plan = this.plan();
    return plan.ok ? null : plan.refusal;
  });
  protected readonly effects = computed(() =>
    shortList(
      this.operations().map((operation) => operationWords(operation, this.proposed.chart())),
    ),
  );

  protected readonly crossing = computed(() =>
    crossingWords(this.proposed.chart(), this.operations()),
  );

  protected words(refusal: Refusal): string {
    return refusalWords(refusal, this.proposed.chart());
  }

  protected move(event: Event): void {
    event.preventDefault();
    const id = this.view.cursor();
    if (id === null || this.proposed.propose(this.operations()) !== null) return;
    this.view.marks.set(new Set());
    this.view.goTo(id);
    this.sheets.close();
    this.moved.emit();
  }
}
