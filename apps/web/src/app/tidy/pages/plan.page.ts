import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import {
  accountOf,
  formatAmount,
  SHAPE_STEPS,
  titleOf,
  type PairedRow,
  type ShapeRow,
  type ShapeStepCode,
} from '@iunctus/core';
import { OneOfComponent } from '../../shared/components/one-of.component';
import { PickComponent } from '../../shared/components/pick.component';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { statementRowIndent, statementRowWords } from '../../shared/words/statement-row-words';
import { statementChoices } from '../../shared/words/statement-words';
import { Rights } from '../../session/state/rights';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { TidyPlan } from '../model/tidy-plan';

const STEP_WORDS: Readonly<Record<ShapeStepCode, string>> = {
  merge: $localize`Merge what says the same`,
  group: $localize`Put accounts under headings`,
  rename: $localize`Take its names`,
  remove: $localize`Take out what was never used`,
  renumber: $localize`Number by its plan`,
};

/** So many accounts of a step are listed: more are not read one by one. */
const SHOWN = 200;

/** The whole way from an inherited chart to the shape of a chosen one, step by step, with the statements before and after. */
@Component({
  selector: 'iu-tidy-plan-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [OneOfComponent, PickComponent, ReadingNoteComponent, RouterLink],
  providers: [TidyPlan],
  templateUrl: './plan.page.html',
  styleUrl: './plan.page.css',
})
export class PlanPage {
  private readonly router = inject(Router);
  private readonly rights = inject(Rights);
  protected readonly plan = inject(TidyPlan);
  protected readonly proposed = inject(ProposedChart);
  readonly clientId = input.required<string>();

  protected readonly mayChange = computed(() => this.rights.may('change'));
  protected readonly statements = computed(statementChoices);
  protected readonly stepWords = STEP_WORDS;
  protected readonly steps = computed(() => {
    const made = this.plan.plan()?.steps ?? [];
    return SHAPE_STEPS.map((code) => {
      const rows = made.find((step) => step.code === code)?.rows ?? [];
      const shown = rows.slice(0, SHOWN);
      return { code, rows, shown, skipped: this.plan.isSkipped(code) };
    });
  });
  protected readonly count = computed(() =>
    this.steps().reduce((so, { rows }) => so + rows.length, 0),
  );
  protected readonly rowWords = ({ row }: PairedRow): string => statementRowWords(row);
  protected readonly rowIndent = ({ row }: PairedRow): number => 10 + statementRowIndent(row);

  protected calledOf({ account }: ShapeRow): string {
    return titleOf(account);
  }

  /** What a step does to an account, in a few words. */
  protected does({ says }: ShapeRow): string {
    switch (says.does) {
      case 'merge': {
        const into = accountOf(this.proposed.chart(), says.into);
        return $localize`into ${into === undefined ? '' : titleOf(into)}:account:`;
      }
      case 'moveUnder':
        return $localize`under ${says.heading}:heading:`;
      case 'rename':
        return $localize`becomes “${says.to}:name:”`;
      case 'renumber':
        return $localize`becomes ${says.to}:number:`;
      case 'remove':
        return $localize`goes`;
    }
  }

  protected amount(amount: number | null): string {
    if (amount === null) return '';
    return formatAmount(amount, {
      currency: this.proposed.client()?.currency ?? 'USD',
      zero: '–',
    });
  }

  protected propose(): void {
    this.plan.propose();
    void this.router.navigate(['/clients', this.clientId(), 'proposal']);
  }
}
