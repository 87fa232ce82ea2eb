import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { ActivatedRoute, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { InputText } from 'primeng/inputtext';
import { PASSWORD_LENGTH, type InvitationAnswer } from '@iunctus/contract';
import { ApiService } from '../../shared/api/api.service';
import { problemOf } from '../../shared/api/problem';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { problemWords } from '../../shared/words/problem-words';
import { SessionPageActions } from '../state/session.actions';
import { sessionFeature } from '../state/session.feature';

/** Where somebody who was invited, or whose password was reset, sets one. The token stays in the address's last part, which no server sees. */
@Component({
  selector: 'iu-welcome-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FocusFirstDirective, InputText, ProblemNoteComponent, ReactiveFormsModule, RouterLink],
  template: `
    <main>
      <section aria-labelledby="title">
        <img src="mark.svg" alt="" width="44" height="44" />
        @if (invited(); as who) {
          <h1 i18n id="title">Welcome, {{ who.name }}</h1>
          <p i18n class="muted">
            {{ who.practice }} lets you in as {{ who.email }}. Choose a password of at least
            {{ least }} characters; a short sentence is best.
          </p>
          <form [formGroup]="form" (ngSubmit)="submit()">
            <!-- For password managers, which keep the two together. -->
            <input
              class="visually-hidden"
              type="email"
              autocomplete="username"
              tabindex="-1"
              aria-hidden="true"
              [value]="who.email"
              readonly
            />
            <label class="field">
              <span i18n>Password</span>
              <input
                pInputText
                type="password"
                formControlName="wanted"
                autocomplete="new-password"
                iuFocusFirst
              />
            </label>
            <label class="field">
              <span i18n>Once more</span>
              <input
                pInputText
                type="password"
                formControlName="again"
                autocomplete="new-password"
              />
            </label>
            @if (wrong(); as words) {
              <p class="wrong" role="alert">{{ words }}</p>
            }
            @let state = signIn();
            @if (state.status === 'failed') {
              <iu-problem-note [problem]="state.problem" />
            }
            <button i18n class="button primary" [disabled]="state.status === 'loading'">
              Set the password and sign in
            </button>
          </form>
        } @else if (gone(); as words) {
          <h1 i18n id="title">This invitation is over</h1>
          <p>{{ words }}</p>
          <a i18n class="button" routerLink="/sign-in">To the sign-in</a>
        }
      </section>
    </main>
  `,
  styleUrl: './entrance.css',
})
export class WelcomePage {
  private readonly store = inject(Store);
  private readonly api = inject(ApiService);
  private readonly token = inject(ActivatedRoute).snapshot.fragment ?? '';
  protected readonly least = PASSWORD_LENGTH.least;
  protected readonly signIn = this.store.selectSignal(sessionFeature.selectSignIn);
  protected readonly invited = signal<InvitationAnswer | null>(null);
  protected readonly gone = signal<string | null>(null);
  protected readonly wrong = signal<string | null>(null);
  protected readonly form = new FormGroup({
    wanted: new FormControl('', { nonNullable: true, validators: Validators.required }),
    again: new FormControl('', { nonNullable: true, validators: Validators.required }),
  });

  constructor() {
    this.api.ask('lookAtInvitation', { body: { token: this.token } }).subscribe({
      next: (invited) => this.invited.set(invited),
      error: (error: unknown) => this.gone.set(this.goneWords(error)),
    });
  }

  private goneWords(error: unknown): string {
    const problem = problemOf(error);
    return ['notFound', 'badRequest'].includes(problem.code)
      ? $localize`It was taken up already, or is older than a week. Ask an administrator of your practice for another.`
      : problemWords(problem);
  }

  protected submit(): void {
    const { wanted, again } = this.form.getRawValue();
    this.wrong.set(
      wanted.length < this.least
        ? $localize`The password has ${wanted.length} characters; at least ${this.least} are asked for.`
        : wanted === again
          ? null
          : $localize`The two are not the same. Type the password once more.`,
    );
    if (this.wrong() !== null) return;
    const request = { token: this.token, wanted };
    this.store.dispatch(SessionPageActions.invitationTakenUp({ request }));
  }
}
