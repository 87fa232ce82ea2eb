import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import type { ShownCode } from '@iunctus/core';
import type { OneOf } from '../../shared/components/one-of.component';
import { PopoverDirective } from '../../shared/components/popover.directive';

/** The sheets that are seldom wanted beside the chart, behind one button. */
@Component({
  selector: 'iu-more-sheets',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PopoverDirective],
  template: `
    <button
      #anchor
      i18n
      type="button"
      class="button quiet small more"
      popovertarget="more-sheets"
      [class.chosen]="isChosen()"
    >
      More <span aria-hidden="true">▾</span>
    </button>
    <div
      id="more-sheets"
      [iuPopover]="anchor"
      #panel="iuPopover"
      role="group"
      [attr.aria-label]="label"
    >
      @for (option of options(); track option.value) {
        <button
          type="button"
          class="button quiet"
          [attr.aria-pressed]="chosen() === option.value"
          (click)="take(option.value, panel)"
        >
          {{ option.words }}
        </button>
      }
    </div>
  `,
  styles: `
    .more {
      padding: 3px 6px;
      font-weight: 400;
    }
    #more-sheets:popover-open {
      display: grid;
      justify-items: stretch;
    }
    #more-sheets .button {
      padding: 5px 14px;
      font-weight: 400;
      justify-content: start;
      text-align: left;
    }
    .more.chosen,
    #more-sheets [aria-pressed='true'] {
      color: var(--ink);
      font-weight: 600;
    }
  `,
})
export class MoreSheetsComponent {
  readonly options = input.required<readonly OneOf<ShownCode>[]>();
  readonly chosen = input.required<ShownCode>();
  readonly choose = output<ShownCode>();
  protected readonly label = $localize`Other statements`;

  protected isChosen(): boolean {
    return this.options().some(({ value }) => value === this.chosen());
  }

  protected take(code: ShownCode, panel: PopoverDirective): void {
    panel.hide();
    this.choose.emit(code);
  }
}
