import {
  ChangeDetectionStrategy,
  Component,
  computed,
  input,
  linkedSignal,
  output,
  signal,
} from '@angular/core';
import type { ClientsAnswer, StaffAnswer, StandingRequest } from '@iunctus/contract';
import type { PersonRole } from '@iunctus/core';
import { PickComponent } from '../../shared/components/pick.component';
import { momentWords } from '../../shared/words/period-words';
import { ROLE_CHOICES, ROLE_SENTENCES } from '../../shared/words/people-words';

/** One of the practice's people, as the administrator sees them. */
export type StaffMember = StaffAnswer[number];

/** Somebody with what they may, and what can be done about it. What cannot be taken back is asked about in place. */
@Component({
  // A table takes nothing but rows: this is one, with cells of its own.
  // eslint-disable-next-line @angular-eslint/component-selector
  selector: 'tr[iu-person-row]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PickComponent],
  templateUrl: './person-row.component.html',
  styleUrl: './person-row.component.css',
})
export class PersonRowComponent {
  readonly person = input.required<StaffMember>();
  readonly own = input.required<boolean>();
  readonly clients = input.required<ClientsAnswer>();
  readonly standing = output<StandingRequest>();
  readonly passwordReset = output();
  readonly sessionsEnded = output();
  readonly removed = output();

  protected readonly clientChoices = computed(() =>
    this.clients().map(({ id, name }) => ({ value: id, words: name })),
  );
  protected readonly roles = ROLE_CHOICES;
  protected readonly asking = signal(false);
  protected readonly role = linkedSignal<PersonRole>(() => this.person().role);
  protected readonly sentence = computed(() => ROLE_SENTENCES[this.role()]);
  protected readonly here = computed(() => {
    const { joined, invited, usedAt } = this.person();
    if (usedAt !== null) return momentWords(usedAt);
    if (invited) return $localize`Invited, not here yet`;
    return joined ? $localize`Not lately` : $localize`The invitation is over`;
  });

  protected chooseRole(role: PersonRole): void {
    if (role === this.role()) return;
    this.role.set(role);
    // An onlooker's client is chosen before anything is changed.
    if (role !== 'onlooker') this.standing.emit({ role, clientId: null });
  }

  protected chooseClient(clientId: string): void {
    if (clientId !== '') this.standing.emit({ role: 'onlooker', clientId });
  }
}
