import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { SETTING_TEXT_LIMIT, type BankDetails } from '@iunctus/core';
import { InputText } from 'primeng/inputtext';

const NONE: BankDetails = {
  institution: '',
  routing: '',
  accountNumber: '',
  nextCheque: '',
  nextDeposit: '',
};

const FIELDS: readonly { readonly field: keyof BankDetails; readonly words: string }[] = [
  { field: 'institution', words: 'Institution' },
  { field: 'routing', words: 'Routing number' },
  { field: 'accountNumber', words: 'Account number' },
  { field: 'nextCheque', words: 'Next cheque' },
  { field: 'nextDeposit', words: 'Next deposit' },
];

/** Where an account at a bank is kept. */
@Component({
  selector: 'iu-bank-setting',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [InputText],
  template: `
    @for (one of fields; track one.field) {
      <label class="field">
        <span>{{ one.words }}</span>
        <input
          pInputText
          autocomplete="off"
          [value]="details()?.[one.field] ?? ''"
          [attr.maxlength]="limit"
          (change)="change(one.field, $event)"
        />
      </label>
    }
    <small>They stay with this client: no copy of the chart carries them.</small>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 10px;
    }
    .field:first-child,
    small {
      grid-column: 1 / -1;
    }
    small {
      color: var(--ink-2);
    }
  `,
})
export class BankSettingComponent {
  readonly details = input.required<BankDetails | null>();
  /** `null` when every field was emptied. */
  readonly changed = output<BankDetails | null>();
  protected readonly fields = FIELDS;
  protected readonly limit = SETTING_TEXT_LIMIT;

  protected change(field: keyof BankDetails, typed: Event): void {
    const value = (typed.target as HTMLInputElement).value.trim();
    const details = { ...NONE, ...this.details(), [field]: value };
    this.changed.emit(Object.values(details).every((text) => text === '') ? null : details);
  }
}
