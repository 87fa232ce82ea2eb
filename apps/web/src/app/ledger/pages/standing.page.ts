import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { StandingEntryAnswer, StandingEntryRequest } from '@iunctus/contract';
import { dueEntries, nextDayOf, readTypedEntry, sidesOf, type NewEntry } from '@iunctus/core';
import { firstValueFrom } from 'rxjs';
import { Rights } from '../../session/state/rights';
import { ApiService } from '../../shared/api/api.service';
import { Doing } from '../../shared/api/doing';
import { reading } from '../../shared/api/reading';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { today } from '../../shared/dates/today';
import { counted } from '../../shared/words/counted';
import { FREQUENCY_WORDS } from '../../shared/words/entry-words';
import { dateWords } from '../../shared/words/period-words';
import { ClientRoutes } from '../../workspace/model/client-routes';
import { StandingFormComponent } from '../components/standing-form.component';
import { BooksReader } from '../../workspace/model/books-reader';

/** Whether its amounts are left open. */
const isAsked = ({ lines }: NewEntry): boolean => sidesOf(lines).debit === 0;

/** Entries that come again and again: when, what they post, and what became of their days. */
@Component({
  selector: 'iu-standing-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ProblemNoteComponent, ReadingNoteComponent, RouterLink, StandingFormComponent],
  templateUrl: './standing.page.html',
  styleUrl: './standing.page.css',
})
export class StandingPage {
  private readonly api = inject(ApiService);
  private readonly routes = inject(ClientRoutes);
  protected readonly rights = inject(Rights);
  protected readonly reader = inject(BooksReader);
  readonly clientId = input.required<string>();
  protected readonly day = dateWords;
  protected readonly often = FREQUENCY_WORDS;
  /** Which one is open in the form; `new` for none that is there. */
  protected readonly open = signal<string | null>(null);
  protected readonly doing = new Doing();

  protected readonly standings = reading(
    () => this.clientId(),
    (clientId) => this.api.ask('standings', { clientId }),
  );
  protected readonly rows = computed(() =>
    (this.standings.value() ?? []).map((standing) => {
      const { entry } = readTypedEntry(standing.entry, this.reader.currency());
      return {
        standing,
        next: nextDayOf(standing),
        due: dueEntries([standing], today()).length,
        amount: isAsked(entry) ? $localize`asked each time` : this.reader.moved(entry),
      };
    }),
  );

  protected dueWords(due: number): string {
    return counted(due, { one: $localize`# due`, other: $localize`# due` });
  }

  protected skippedOf({ days }: StandingEntryAnswer): readonly string[] {
    return days.flatMap(({ due, entry }) => (entry === null ? [due] : []));
  }

  protected postedOf({ days }: StandingEntryAnswer): number {
    return days.filter(({ entry }) => entry !== null).length;
  }

  protected async keep(request: StandingEntryRequest): Promise<void> {
    const open = this.open();
    const standingId = open === null || open === 'new' ? crypto.randomUUID() : open;
    const asked = { clientId: this.clientId(), standingId, body: request };
    if (await this.work(() => firstValueFrom(this.api.ask('keepStanding', asked))))
      this.open.set(null);
  }

  protected end({ id: standingId }: StandingEntryAnswer): Promise<boolean> {
    const asked = { clientId: this.clientId(), standingId };
    return this.work(() => firstValueFrom(this.api.ask('dropStanding', asked)));
  }

  protected offerAgain({ id: standingId }: StandingEntryAnswer, due: string): Promise<boolean> {
    const asked = { clientId: this.clientId(), standingId, body: { due, skipped: false } };
    return this.work(() => firstValueFrom(this.api.ask('skipStanding', asked)));
  }

  private async work(what: () => Promise<unknown>): Promise<boolean> {
    const done = await this.doing.run(what);
    this.standings.again();
    this.routes.standings.again();
    return done;
  }
}
