import {
  ChangeDetectionStrategy,
  Component,
  computed,
  input,
  output,
  type OnInit,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import type { ClientAnswer, ClientChange, NewClientRequest } from '@iunctus/contract';
import {
  INDUSTRIES,
  INDUSTRY_CODES,
  COUNTRIES,
  countryOf,
  currencyOf,
  legalFormFor,
  legalFormsIn,
  type IndustryCode,
  type LegalForm,
} from '@iunctus/core';
import { InputText } from 'primeng/inputtext';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { PickComponent } from '../../shared/components/pick.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import type { Loading } from '../../shared/loading';
import { clientChangeWords } from '../../shared/words/client-change-words';
import { COUNTRY_WORDS, legalFormWords } from '../../shared/words/client-words';
import { MONTH_NAMES } from '../../shared/words/period-words';

const ASKED = {
  legalForm: $localize`Choose what the client is by law.`,
  industry: $localize`Choose a trade, or “Another trade”.`,
} as const;

/** What must be known of a client: of a new one, or of one that is changed, with what the change does. */
@Component({
  selector: 'iu-client-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FocusFirstDirective,
    ReactiveFormsModule,
    InputText,
    PickComponent,
    ProblemNoteComponent,
  ],
  template: `
    <form [formGroup]="form" (ngSubmit)="submit()" (keydown.escape)="closed.emit()">
      <h2 i18n>
        @if (client(); as known) {
          {{ known.name }}
        } @else {
          New client
        }
      </h2>
      <div class="grid">
        <label class="field wide">
          <span i18n>Name</span>
          <input pInputText formControlName="name" maxlength="120" iuFocusFirst />
          @if (form.controls.name.touched && form.controls.name.invalid) {
            <small i18n class="error">Type the client’s name.</small>
          }
        </label>
        <iu-pick
          labelled
          i18n-label
          label="Legal form"
          i18n-placeholder
          placeholder="Choose …"
          [options]="legalForms()"
          [picked]="form.controls.legalForm.value"
          (chosen)="form.patchValue({ legalForm: $event })"
          (left)="form.controls.legalForm.markAsTouched()"
          [wrong]="wrong('legalForm')"
        />
        <iu-pick
          labelled
          i18n-label
          label="Trade"
          i18n-placeholder
          placeholder="Choose …"
          [options]="industries"
          [picked]="form.controls.industry.value"
          (chosen)="form.patchValue({ industry: $event })"
          (left)="form.controls.industry.markAsTouched()"
          [wrong]="wrong('industry')"
        />
        <iu-pick
          labelled
          i18n-label
          label="Country"
          [options]="countries"
          [picked]="form.controls.country.value"
          (chosen)="moveTo($event)"
        />
        <iu-pick
          labelled
          i18n-label
          label="Fiscal year begins in"
          [options]="months"
          [picked]="form.controls.fiscalYearStart.value.toString()"
          (chosen)="form.patchValue({ fiscalYearStart: +$event })"
        />
      </div>
      @if (consequences().length > 0) {
        <div class="consequences" role="status">
          @for (sentence of consequences(); track sentence) {
            <p>{{ sentence }}</p>
          }
        </div>
      }
      @let state = change();
      @if (state.status === 'failed') {
        <iu-problem-note [problem]="state.problem" />
      }
      <div class="buttons">
        <button i18n class="button primary" [disabled]="state.status === 'loading'">
          @if (client() === null) {
            Add client
          } @else {
            Keep
          }
        </button>
        <button i18n class="button" type="button" (click)="closed.emit()">
          Leave <kbd>Esc</kbd>
        </button>
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
    .consequences {
      padding: 10px 14px;
      border-left: 3px solid var(--amber);
      background: var(--amber-wash);
    }
    .buttons {
      display: flex;
      gap: 10px;
    }
  `,
})
export class ClientFormComponent implements OnInit {
  /** The client that is changed; `null` for a new one. */
  readonly client = input<ClientAnswer | null>(null);
  readonly change = input.required<Loading>();
  readonly added = output<NewClientRequest>();
  readonly changed = output<ClientChange>();
  readonly closed = output();

  protected readonly countries = COUNTRIES.map((value) => ({ value, words: COUNTRY_WORDS[value] }));
  protected readonly industries = [
    ...INDUSTRY_CODES.map((value) => ({
      value: value,
      words: INDUSTRIES[value].name,
    })),
    { value: 'other' as const, words: $localize`Another trade` },
  ];
  protected readonly months = MONTH_NAMES.map((words, index) => ({
    words,
    value: String(index + 1),
  }));

  // Form and trade decide the chart, so that nobody has one that nobody chose.
  protected readonly form = new FormGroup({
    name: new FormControl('', { nonNullable: true, validators: Validators.required }),
    legalForm: new FormControl<LegalForm | null>(null, { validators: Validators.required }),
    industry: new FormControl<IndustryCode | 'other' | null>(null, {
      validators: Validators.required,
    }),
    country: new FormControl('US', { nonNullable: true }),
    fiscalYearStart: new FormControl(1, { nonNullable: true }),
  });
  private readonly typed = toSignal(this.form.valueChanges);
  /** The legal forms of the country, as they are called there. */
  protected readonly legalForms = computed(() => {
    this.typed();
    const country = countryOf(this.form.controls.country.value);
    return legalFormsIn(country).map((value) => ({ value, words: legalFormWords(value, country) }));
  });

  /** What is asked for where nothing was chosen. */
  protected wrong(field: 'legalForm' | 'industry'): string {
    const { touched, invalid } = this.form.controls[field];
    return touched && invalid ? ASKED[field] : '';
  }

  /** What the change does to chart, return and amounts; said before it is kept. */
  protected readonly consequences = computed(() => {
    const client = this.client();
    this.typed();
    const wanted = this.wanted();
    return client === null || wanted === null ? [] : clientChangeWords(client, wanted);
  });

  ngOnInit(): void {
    const client = this.client();
    if (client !== null) this.form.patchValue({ ...client, industry: client.industry ?? 'other' });
  }

  /** Another country may lack the legal form; the one that comes nearest is taken, and seen. */
  protected moveTo(country: string): void {
    const { legalForm } = this.form.getRawValue();
    this.form.patchValue({
      country,
      legalForm: legalForm === null ? null : legalFormFor(legalForm, countryOf(country)),
    });
  }

  protected submit(): void {
    this.form.markAllAsTouched();
    const wanted = this.wanted();
    if (wanted === null) return;
    const currency = currencyOf(countryOf(wanted.country));
    if (this.client() === null) this.added.emit({ ...wanted, currency });
    else this.changed.emit(wanted);
  }

  private wanted(): ClientChange | null {
    const { legalForm, industry, ...rest } = this.form.getRawValue();
    if (this.form.invalid || legalForm === null || industry === null) return null;
    return { ...rest, legalForm, industry: industry === 'other' ? null : industry };
  }
}
