import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ApiProblem } from '../api/problem';
import { problemWords } from '../words/problem-words';

/** A problem where the work is: what happened and what can be done. */
@Component({
  selector: 'iu-problem-note',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<p role="alert">{{ words() }}</p>`,
  styles: `
    p {
      padding: 9px 12px;
      border-left: 3px solid var(--bad);
      background: var(--bad-wash);
      color: var(--bad);
      font-weight: 600;
    }
  `,
})
export class ProblemNoteComponent {
  readonly problem = input.required<ApiProblem>();
  protected readonly words = computed(() => problemWords(this.problem()));
}
