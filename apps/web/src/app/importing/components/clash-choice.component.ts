import { counted } from '../../shared/words/counted';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { CLASH_RULES, type ClashRule, type ImportPlan } from '@iunctus/core';
import { CLASH_WORDS } from '../../shared/words/import-words';
import { ImportDraft } from '../model/import-draft';

/** So many clashing numbers are worth one decision for all of them. */
const MANY = 3;

/** One decision for all numbers of a list that stand for other accounts in the chart. */
@Component({
  selector: 'iu-clash-choice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (shown()) {
      <label>
        <span>{{ words() }}</span>
        <select class="text" (change)="choose($event)">
          <option value="" [selected]="draft.clashes() === null">{{ clashWords.each }}</option>
          @for (rule of rules; track rule) {
            <option [value]="rule" [selected]="draft.clashes() === rule">
              {{ clashWords[rule] }}
            </option>
          }
        </select>
        <span class="muted">{{ more() }}</span>
      </label>
    }
  `,
  styles: `
    label {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 6px 12px;
      padding: 8px 12px;
      border-bottom: 1px solid var(--rule);
      background: var(--amber-wash);
    }
    select {
      width: auto;
    }
  `,
})
export class ClashChoiceComponent {
  protected readonly draft = inject(ImportDraft);
  readonly plan = input.required<ImportPlan>();

  protected readonly rules = CLASH_RULES;
  protected readonly clashWords = CLASH_WORDS;
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

  protected choose(event: Event): void {
    const { value } = event.target as HTMLSelectElement;
    this.draft.clashes.set(value === '' ? null : (value as ClashRule));
  }
}
