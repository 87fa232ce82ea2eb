import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import type { ClientsAnswer, NewPersonRequest } from '@iunctus/contract';
import type { PersonRole } from '@iunctus/core';
import { InputText } from 'primeng/inputtext';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { OneOfComponent } from '../../shared/components/one-of.component';
import { PickComponent } from '../../shared/components/pick.component';
import { ROLE_CHOICES, ROLE_SENTENCES } from '../../shared/words/people-words';

/** Who is to come into the practice, and as what. */
@Component({
  selector: 'iu-new-person-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FocusFirstDirective, InputText, OneOfComponent, PickComponent, ReactiveFormsModule],
  template: `
    <form [formGroup]="form" (ngSubmit)="submit()" (keydown.escape)="closed.emit()">
      <h2 i18n>Invite somebody</h2>
      <div class="grid">
        <label class="field">
          <span i18n>Name</span>
          <input pInputText formControlName="name" maxlength="80" autocomplete="off" iuFocusFirst />
        </label>
        <label class="field">
          <span i18n>E-mail address, with which they sign in</span>
          <input
            pInputText
            type="email"
            formControlName="email"
            maxlength="200"
            autocomplete="off"
          />
        </label>
        <div class="field wide">
          <span i18n>May do</span>
          <iu-one-of
            i18n-label
            label="What they may do"
            [options]="choices"
            [chosen]="form.controls.role.value"
            (choose)="form.patchValue({ role: $event })"
          />
          <small class="muted">{{ sentences[form.controls.role.value] }}</small>
        </div>
        @if (form.controls.role.value === 'onlooker') {
          <iu-pick
            labelled
            i18n-label
            label="The one client that they see"
            i18n-placeholder
            placeholder="Which client …"
            [options]="clientChoices()"
            [picked]="form.controls.clientId.value"
            (chosen)="form.patchValue({ clientId: $event })"
          />
        }
      </div>
      @if (wrong(); as words) {
        <p class="wrong" role="alert">{{ words }}</p>
      }
      <div class="row">
        <button i18n class="button primary">Invite</button>
        <button i18n class="button" type="button" (click)="closed.emit()">Not now</button>
        <span i18n class="muted">You get a link to hand to them; no mail is sent from here.</span>
      </div>
    </form>
  `,
  styles: `
    form {
      margin-bottom: 18px;
      padding: 18px 20px;
      border: 1px solid var(--rule);
      background: var(--sheet);
      box-shadow: var(--lift);
    }
    h2 {
      margin-bottom: 12px;
      font-size: 18px;
    }
    .grid {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 12px 18px;
    }
    .wide {
      grid-column: 1 / -1;
      justify-items: start;
    }
    .row {
      display: flex;
      align-items: center;
      gap: 10px;
      margin-top: 14px;
    }
    .wrong {
      margin-top: 10px;
      color: var(--bad);
      font-weight: 600;
    }
  `,
})
export class NewPersonFormComponent {
  readonly clients = input.required<ClientsAnswer>();
  readonly added = output<NewPersonRequest>();
  readonly closed = output();
  protected readonly clientChoices = computed(() =>
    this.clients().map(({ id, name }) => ({ value: id, words: name })),
  );
  protected readonly choices = ROLE_CHOICES;
  protected readonly sentences = ROLE_SENTENCES;
  protected readonly wrong = signal('');
  protected readonly form = new FormGroup({
    name: new FormControl('', { nonNullable: true, validators: Validators.required }),
    email: new FormControl('', {
      nonNullable: true,
      validators: [Validators.required, Validators.email],
    }),
    role: new FormControl<PersonRole>('bookkeeper', { nonNullable: true }),
    clientId: new FormControl('', { nonNullable: true }),
  });

  private wrongWords(): string {
    const { name, email, role, clientId } = this.form.controls;
    if (name.value.trim() === '') return $localize`Type the name of the person.`;
    if (email.invalid) return $localize`Type an e-mail address, such as name@practice.example.`;
    return role.value === 'onlooker' && clientId.value === ''
      ? $localize`Choose the client that they see.`
      : '';
  }

  protected submit(): void {
    this.wrong.set(this.wrongWords());
    if (this.wrong() !== '') return;
    const { name, email, role, clientId } = this.form.getRawValue();
    this.added.emit({ name, email, role, clientId: role === 'onlooker' ? clientId : null });
  }
}
