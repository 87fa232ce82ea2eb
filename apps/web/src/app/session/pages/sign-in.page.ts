import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { Store } from '@ngrx/store';
import { InputText } from 'primeng/inputtext';
import { ApiService } from '../../shared/api/api.service';
import { readingOnce } from '../../shared/api/reading';
import { ROLE_WORDS } from '../../shared/words/people-words';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { SessionPageActions } from '../state/session.actions';
import { sessionFeature } from '../state/session.feature';

/** The way in. */
@Component({
  selector: 'iu-sign-in-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FocusFirstDirective, ReactiveFormsModule, InputText, ProblemNoteComponent],
  template: `
    <main>
      <section aria-labelledby="title">
        <img src="mark.svg" alt="" width="44" height="44" />
        <h1 i18n id="title">Iunctus</h1>
        <p i18n class="muted">The chart and the statements, joined.</p>
        <form [formGroup]="form" (ngSubmit)="submit()">
          <label class="field">
            <span i18n>E-mail address</span>
            <input
              pInputText
              type="email"
              formControlName="email"
              autocomplete="username"
              iuFocusFirst
            />
          </label>
          <label class="field">
            <span i18n>Password</span>
            <input
              pInputText
              type="password"
              formControlName="password"
              autocomplete="current-password"
            />
          </label>
          @if (state(); as shown) {
            @if (shown.status === 'failed') {
              <iu-problem-note [problem]="shown.problem" />
            }
            <button i18n class="button primary" [disabled]="shown.status === 'loading'">
              Sign in
            </button>
          }
        </form>
        @if (demo(); as way) {
          <div class="demo">
            <p i18n class="muted">This is the demo practice. Sign in as</p>
            @for (person of way.people; track person.email) {
              <button class="button" type="button" (click)="signInAs(person.email, way.password)">
                {{ person.name }}, {{ roleWords[person.role].toLowerCase() }}
              </button>
            }
          </div>
        }
      </section>
    </main>
  `,
  styleUrl: './entrance.css',
})
export class SignInPage {
  private readonly store = inject(Store);
  protected readonly state = this.store.selectSignal(sessionFeature.selectSignIn);
  protected readonly form = new FormGroup({
    email: new FormControl('', { nonNullable: true, validators: Validators.required }),
    password: new FormControl('', { nonNullable: true, validators: Validators.required }),
  });

  protected readonly roleWords = ROLE_WORDS;
  /** Who may sign in where this is only the demo. Nothing is lost where that cannot be had. */
  private readonly api = inject(ApiService);
  private readonly entrance = readingOnce(() => this.api.ask('entrance', {}));
  protected readonly demo = computed(() => this.entrance.value()?.demo ?? null);

  protected signInAs(email: string, password: string): void {
    this.store.dispatch(SessionPageActions.signInSubmitted({ request: { email, password } }));
  }

  protected submit(): void {
    if (this.form.invalid) return;
    this.store.dispatch(SessionPageActions.signInSubmitted({ request: this.form.getRawValue() }));
  }
}
