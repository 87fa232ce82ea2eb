import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { InvitedAnswer, NewPersonRequest, StandingRequest } from '@iunctus/contract';
import type { Observable } from 'rxjs';
import { UserMenuComponent } from '../../session/pages/user-menu.component';
import { sessionFeature } from '../../session/state/session.feature';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { readingOnce } from '../../shared/api/reading';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { momentWords } from '../../shared/words/period-words';
import { InvitationLinkComponent } from '../components/invitation-link.component';
import { PersonRowComponent, type StaffMember } from '../components/person-row.component';
import { NewPersonFormComponent } from '../components/new-person-form.component';

/** A link that was just made, and for whom. */
interface Link {
  readonly name: string;
  readonly token: string;
  readonly until: string;
}

/** Everybody of the practice: invited, changed, let in anew, let go. */
@Component({
  selector: 'iu-people-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    InvitationLinkComponent,
    NewPersonFormComponent,
    PersonRowComponent,
    ProblemNoteComponent,
    ReadingNoteComponent,
    RouterLink,
    UserMenuComponent,
  ],
  templateUrl: './people.page.html',
  styleUrl: './people.page.css',
})
export class PeoplePage {
  private readonly api = inject(ApiService);
  protected readonly session = inject(Store).selectSignal(sessionFeature.selectSession);
  protected readonly staff = readingOnce(() => this.api.ask('staff', {}));
  protected readonly everyClient = readingOnce(() => this.api.ask('clients', {}));
  protected readonly clients = computed(() => this.everyClient.value() ?? []);
  protected readonly problem = signal<ApiProblem | null>(null);
  protected readonly adding = signal(false);
  protected readonly link = signal<Link | null>(null);
  protected readonly said = signal('');
  protected readonly ownId = computed(() => this.session()?.user.id ?? '');
  protected readonly momentWords = momentWords;

  /** Does something with the server, says what came of it, and shows everybody anew. */
  private do<T>(request$: Observable<T>, done: (answer: T) => void): void {
    this.problem.set(null);
    this.said.set('');
    this.link.set(null);
    request$.subscribe({
      next: (answer) => {
        done(answer);
        this.staff.again();
      },
      error: (error: unknown) => this.problem.set(problemOf(error)),
    });
  }

  private showLink(name: string, { token, until }: InvitedAnswer): void {
    this.link.set({ name, token, until });
  }

  protected invite(request: NewPersonRequest): void {
    this.do(this.api.ask('invite', { body: request }), (invited) => {
      this.adding.set(false);
      this.showLink(request.name, invited);
    });
  }

  protected change({ id, name }: StaffMember, request: StandingRequest): void {
    this.do(this.api.ask('changeStanding', { personId: id, body: request }), () =>
      this.said.set($localize`What ${name} may do is changed, from their next click on.`),
    );
  }

  protected reset({ id, name }: StaffMember): void {
    this.do(this.api.ask('resetPassword', { personId: id }), (invited) =>
      this.showLink(name, invited),
    );
  }

  protected endSessions({ id, name }: StaffMember): void {
    this.do(this.api.ask('endSessions', { personId: id }), () =>
      this.said.set($localize`${name} is signed out everywhere.`),
    );
  }

  protected remove({ id, name }: StaffMember): void {
    this.do(this.api.ask('removePerson', { personId: id }), () =>
      this.said.set($localize`${name} signs in no more. What they did stays under their name.`),
    );
  }
}
