import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { InputText } from 'primeng/inputtext';
import { PASSWORD_LENGTH } from '@iunctus/contract';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { readingOnce } from '../../shared/api/reading';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { momentWords } from '../../shared/words/period-words';
import { ROLE_WORDS } from '../../shared/words/people-words';
import { sessionFeature } from '../state/session.feature';
import { UserMenuComponent } from './user-menu.component';

/** One's own password, and the places where one is signed in. */
@Component({
  selector: 'iu-own-access-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FocusFirstDirective,
    InputText,
    ProblemNoteComponent,
    ReadingNoteComponent,
    ReactiveFormsModule,
    RouterLink,
    UserMenuComponent,
  ],
  templateUrl: './own-access.page.html',
  styleUrl: './own-access.page.css',
})
export class OwnAccessPage {
  private readonly api = inject(ApiService);
  protected readonly session = inject(Store).selectSignal(sessionFeature.selectSession);
  protected readonly roleWords = ROLE_WORDS;
  protected readonly momentWords = momentWords;
  protected readonly least = PASSWORD_LENGTH.least;
  protected readonly sessions = readingOnce(() => this.api.ask('sessions', {}));
  protected readonly problem = signal<ApiProblem | null>(null);
  protected readonly said = signal('');
  protected readonly form = new FormGroup({
    current: new FormControl('', { nonNullable: true, validators: Validators.required }),
    wanted: new FormControl('', { nonNullable: true, validators: Validators.required }),
    again: new FormControl('', { nonNullable: true, validators: Validators.required }),
  });

  protected end(id: string): void {
    this.api.ask('endSession', { sessionId: id }).subscribe({
      next: () => this.sessions.again(),
      error: (error: unknown) => this.problem.set(problemOf(error)),
    });
  }

  private wrongWords(): string {
    const { wanted, again } = this.form.getRawValue();
    if (wanted.length < this.least)
      return $localize`The new password has ${wanted.length} characters; at least ${this.least} are asked for.`;
    return wanted === again
      ? ''
      : $localize`The two new ones are not the same. Type them once more.`;
  }

  protected change(): void {
    this.problem.set(null);
    this.said.set(this.wrongWords());
    if (this.said() !== '') return;
    const { current, wanted } = this.form.getRawValue();
    this.api.ask('changePassword', { body: { current, wanted } }).subscribe({
      next: () => {
        this.form.reset();
        this.said.set($localize`Your password is another one now. Every other sign-in has ended.`);
        this.sessions.again();
      },
      error: (error: unknown) => this.problem.set(problemOf(error)),
    });
  }
}
