import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import type { NewClientRequest } from '@iunctus/contract';
import {
  INDUSTRIES,
  INDUSTRY_CODES,
  LEGAL_FORMS,
  type IndustryCode,
  type LegalForm,
} from '@iunctus/core';
import { InputText } from 'primeng/inputtext';
import { Select } from 'primeng/select';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import type { Loading } from '../../shared/loading';
import { LEGAL_FORM_WORDS } from '../../shared/words/client-words';
import { MONTH_NAMES } from '../../shared/words/period-words';

const COUNTRIES = [
  { label: 'United States', value: 'US', currency: 'USD' },
  { label: 'United Kingdom', value: 'GB', currency: 'GBP' },
  { label: 'Canada', value: 'CA', currency: 'CAD' },
] as const;

/** What must be known of a new client. */
@Component({
  selector: 'iu-new-client-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FocusFirstDirective, ReactiveFormsModule, InputText, Select, ProblemNoteComponent],
  template: `
    <form [formGroup]="form" (ngSubmit)="submit()" (keydown.escape)="closed.emit()">
      <h2>New client</h2>
      <div class="grid">
        <label class="field wide">
          <span>Name</span>
          <input pInputText formControlName="name" maxlength="120" iuFocusFirst />
          @if (form.controls.name.touched && form.controls.name.invalid) {
            <small class="error">Type the client’s name.</small>
          }
        </label>
        <label class="field">
          <span>Legal form</span>
          <p-select
            formControlName="legalForm"
            [options]="legalForms"
            optionLabel="label"
            optionValue="value"
            appendTo="body"
          />
        </label>
        <label class="field">
          <span>Trade</span>
          <p-select
            formControlName="industry"
            [options]="industries"
            optionLabel="label"
            optionValue="value"
            appendTo="body"
          />
        </label>
        <label class="field">
          <span>Country</span>
          <p-select
            formControlName="country"
            [options]="countries"
            optionLabel="label"
            optionValue="value"
            appendTo="body"
          />
        </label>
        <label class="field">
          <span>Fiscal year begins in</span>
          <p-select
            formControlName="fiscalYearStart"
            [options]="months"
            optionLabel="label"
            optionValue="value"
            appendTo="body"
          />
        </label>
      </div>
      @let state = addition();
      @if (state.status === 'failed') {
        <iu-problem-note [problem]="state.problem" />
      }
      <div class="buttons">
        <button class="button primary" [disabled]="state.status === 'loading'">Add client</button>
        <button class="button" type="button" (click)="closed.emit()">Leave <kbd>Esc</kbd></button>
      </div>
    </form>
  `,
  styles: `
    form {
      display: grid;
      gap: 16px;
      margin-bottom: 24px;
      padding: 20px 22px;
      border: 1px solid var(--rule);
      border-radius: 3px;
      background: var(--sheet);
    }
    h2 {
      font-size: 18px;
    }
    .grid {
      display: grid;
      grid-template-columns: repeat(4, 1fr);
      gap: 14px;
    }
    .wide {
      grid-column: 1 / -1;
    }
    .buttons {
      display: flex;
      gap: 10px;
    }
  `,
})
export class NewClientFormComponent {
  readonly addition = input.required<Loading>();
  readonly added = output<NewClientRequest>();
  readonly closed = output();

  protected readonly countries = [...COUNTRIES];
  protected readonly legalForms = LEGAL_FORMS.map((value) => ({
    value,
    label: LEGAL_FORM_WORDS[value],
  }));
  protected readonly industries = [
    ...INDUSTRY_CODES.map((value) => ({
      value: value as IndustryCode | null,
      label: INDUSTRIES[value].name,
    })),
    { value: null, label: 'Another trade' },
  ];
  protected readonly months = MONTH_NAMES.map((label, index) => ({ label, value: index + 1 }));

  protected readonly form = new FormGroup({
    name: new FormControl('', { nonNullable: true, validators: Validators.required }),
    legalForm: new FormControl<LegalForm>('soleOwner', { nonNullable: true }),
    industry: new FormControl<IndustryCode | null>('drinksMaker'),
    country: new FormControl('US', { nonNullable: true }),
    fiscalYearStart: new FormControl(1, { nonNullable: true }),
  });

  protected submit(): void {
    this.form.markAllAsTouched();
    if (this.form.invalid) return;
    const values = this.form.getRawValue();
    const country = COUNTRIES.find(({ value }) => value === values.country) ?? COUNTRIES[0];
    this.added.emit({ ...values, currency: country.currency });
  }
}
