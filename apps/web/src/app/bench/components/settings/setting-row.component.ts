import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** One setting: what it is called, its control, and the way back to what is usual for the kind. */
@Component({
  selector: 'iu-setting-row',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="top">
      <label [attr.for]="control()">{{ words() }}</label>
      <ng-content select="[beside]" />
      @if (own()) {
        <button i18n class="button quiet small" type="button" (click)="usual.emit()">
          As usual<span class="visually-hidden"> for {{ words() }}</span>
        </button>
      }
    </div>
    <ng-content />
    @if (hint() !== '') {
      <small>{{ hint() }}</small>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 4px;
    }
    .top {
      display: flex;
      align-items: center;
      gap: 10px;
      min-height: 26px;
    }
    label {
      flex: 1;
      font-weight: 600;
    }
    small {
      color: var(--ink-2);
      font-size: 12px;
    }
  `,
})
export class SettingRowComponent {
  readonly words = input.required<string>();
  /** The id of the control that the words label. */
  readonly control = input<string | null>(null);
  readonly hint = input('');
  /** Whether the account has a value of its own. */
  readonly own = input(false);
  readonly usual = output();
}
