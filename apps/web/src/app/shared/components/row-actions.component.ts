import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** What can be done with a row: change it, or drop it. */
@Component({
  selector: 'iu-row-actions',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button i18n type="button" class="button small" (click)="changed.emit()">
      Change<span class="visually-hidden"> {{ name() }}</span>
    </button>
    <button
      i18n
      type="button"
      class="button quiet small"
      [disabled]="busy()"
      (click)="dropped.emit()"
    >
      Drop<span class="visually-hidden"> {{ name() }}</span>
    </button>
  `,
  styles: `
    :host {
      display: inline-flex;
      gap: 4px;
    }
  `,
})
export class RowActionsComponent {
  /** What the row is called, for those who hear it. */
  readonly name = input.required<string>();
  /** Whether something is being done, and nothing can be dropped. */
  readonly busy = input.required<boolean>();
  readonly changed = output();
  readonly dropped = output();
}
