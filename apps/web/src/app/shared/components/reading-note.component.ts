import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Reading } from '../api/reading';
import { ProblemNoteComponent } from './problem-note.component';

/** How far something that is read has come, until it is there: that it is read, or why it is not, with another try. */
@Component({
  selector: 'iu-reading-note',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ProblemNoteComponent],
  template: `
    @if (of().problem(); as found) {
      <iu-problem-note [problem]="found" />
      <button i18n class="button small" type="button" (click)="of().again()">Try again</button>
    } @else if (waiting() !== '' && of().loading() && of().value() === null) {
      <p class="muted" role="status">{{ waiting() }}</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      justify-items: start;
      gap: 8px;
    }
    :host:empty {
      display: none;
    }
  `,
})
export class ReadingNoteComponent {
  readonly of = input.required<Reading<unknown>>();
  /** What is said while it is read; nothing where it is empty. */
  readonly waiting = input('Reading …');
}
