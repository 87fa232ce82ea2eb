import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { SETTING_TEXT_LIMIT, type SecurityHeld } from '@iunctus/core';
import { InputText } from 'primeng/inputtext';

const NONE: SecurityHeld = { symbol: '', units: '', quoteSource: '' };

const FIELDS: readonly { readonly field: keyof SecurityHeld; readonly words: string }[] = [
  { field: 'symbol', words: 'Symbol' },
  { field: 'units', words: 'Units' },
  { field: 'quoteSource', words: 'Quotes from' },
];

/** The security that an investment account holds. */
@Component({
  selector: 'iu-security-setting',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [InputText],
  template: `
    @for (one of fields; track one.field) {
      <label class="field">
        <span>{{ one.words }}</span>
        <input
          pInputText
          autocomplete="off"
          [value]="held()?.[one.field] ?? ''"
          [attr.maxlength]="limit"
          (change)="change(one.field, $event)"
        />
      </label>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: 1fr 1fr 1fr;
      gap: 10px;
    }
  `,
})
export class SecuritySettingComponent {
  readonly held = input.required<SecurityHeld | null>();
  /** `null` when every field was emptied. */
  readonly changed = output<SecurityHeld | null>();
  protected readonly fields = FIELDS;
  protected readonly limit = SETTING_TEXT_LIMIT;

  protected change(field: keyof SecurityHeld, typed: Event): void {
    const value = (typed.target as HTMLInputElement).value.trim();
    const held = { ...NONE, ...this.held(), [field]: value };
    this.changed.emit(Object.values(held).every((text) => text === '') ? null : held);
  }
}
