import { counted } from '../../shared/words/counted';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { CLASH_RULES, type ClashRule, type ImportPlan } from '@iunctus/core';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';
import { CLASH_WORDS } from '../../shared/words/import-words';
import { ImportDraft } from '../model/import-draft';

/** So many clashing numbers are worth one decision for all of them. */
const MANY = 3;

/** One decision for all numbers of a list that stand for other accounts in the chart. */
@Component({
  selector: 'iu-clash-choice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PickComponent],
  template: `
    @if (shown()) {
      <div class="choice">
        <span>{{ words() }}</span>
        <iu-pick
          i18n-label
          label="What becomes of the numbers that clash"
          [options]="rules"
          [picked]="draft.clashes() ?? ''"
          (chosen)="draft.clashes.set($event === '' ? null : $event)"
        />
        <span class="muted">{{ more() }}</span>
      </div>
    }
  `,
  styles: `
    .choice {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 6px 12px;
      padding: 8px 12px;
      border-bottom: 1px solid var(--rule);
      background: var(--amber-wash);
    }
    iu-pick {
      width: 340px;
    }
  `,
})
export class ClashChoiceComponent {
  protected readonly draft = inject(ImportDraft);
  readonly plan = input.required<ImportPlan>();

  protected readonly rules: readonly PickOption<ClashRule | ''>[] = [
    { value: '', words: CLASH_WORDS.each },
    ...CLASH_RULES.map((value) => ({ value, words: CLASH_WORDS[value] })),
  ];
  protected readonly shown = computed(
    () => this.plan().clashing >= MANY || this.draft.clashes() !== null,
  );
  private readonly known = computed(
    () => this.plan().rows.filter(({ status }) => status === 'same' || status === 'changed').length,
  );
  protected readonly words = computed(() => {
    const { clashing } = this.plan();
    const another =
      this.known() < clashing ? $localize`This list looks like another chart altogether: ` : '';
    const known = counted(this.known(), {
      one: $localize`# account is`,
      other: $localize`# accounts are`,
    });
    return $localize`${another}${clashing} of its numbers belong to other accounts here, ${known} known.`;
  });
  /** What the choice does to the accounts that the list does not have. */
  protected readonly more = computed(() => {
    if (this.draft.clashes() !== 'replace') return '';
    const { missing } = this.plan();
    const count = (fate: string): number =>
      missing.filter((one) => one.fate === fate && one.refusal === null).length;
    const stay = missing.length - count('delete') - count('retire');
    const parts = [
      $localize`${count('delete')} of the chart’s accounts are deleted`,
      ...(count('retire') > 0 ? [$localize`${count('retire')} with a history are retired`] : []),
      ...(stay > 0 ? [`${stay} stay`] : []),
    ];
    return $localize`${parts.join(', ')}; see “Not in the list”.`;
  });
}
