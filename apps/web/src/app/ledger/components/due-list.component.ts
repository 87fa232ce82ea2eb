import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import type { DraftAnswer, StandingEntryAnswer } from '@iunctus/contract';
import {
  dueEntries,
  isTypedSource,
  postableEntry,
  readTypedEntry,
  type CalendarDate,
  type NewEntry,
} from '@iunctus/core';
import { firstValueFrom } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { Doing } from '../../shared/api/doing';
import { reading } from '../../shared/api/reading';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { today } from '../../shared/dates/today';
import { counted } from '../../shared/words/counted';
import { dateWords, momentWords } from '../../shared/words/period-words';
import { BooksReader } from '../../workspace/model/books-reader';
import { KeptDrafts } from '../model/kept-drafts';

interface DueEntry {
  readonly standing: StandingEntryAnswer;
  readonly due: CalendarDate;
}

/** A due entry, and what it posts; `null` where something of it is to be typed first. */
interface Offer extends DueEntry {
  readonly key: string;
  readonly entry: NewEntry | null;
  readonly amount: string;
}

/** Drafts that were left, and standing entries that are due: posted on the user's word alone. */
@Component({
  selector: 'iu-due-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ProblemNoteComponent, RouterLink],
  templateUrl: './due-list.component.html',
  styleUrl: './due-list.component.css',
})
export class DueListComponent {
  private readonly api = inject(ApiService);
  private readonly kept = inject(KeptDrafts);
  protected readonly reader = inject(BooksReader);
  readonly clientId = input.required<string>();
  protected readonly day = dateWords;
  protected readonly moment = momentWords;
  protected readonly doing = new Doing();
  /** Due entries that are not to be posted together with the others. */
  protected readonly leftOut = signal<ReadonlySet<string>>(new Set());

  protected readonly drafts = reading(
    () => this.clientId(),
    (clientId) => this.api.ask('drafts', { clientId }),
  );
  private readonly standings = reading(
    () => this.clientId(),
    (clientId) => this.api.ask('standings', { clientId }),
  );
  protected readonly offers = computed<readonly Offer[]>(() =>
    dueEntries(this.standings.value() ?? [], today()).map((due) => this.offerOf(due)),
  );
  protected readonly chosen = computed(() =>
    this.offers().filter(({ key, entry }) => entry !== null && !this.leftOut().has(key)),
  );
  protected readonly postWords = computed(() =>
    counted(this.chosen().length, {
      one: $localize`Post # due entry`,
      other: $localize`Post # due entries`,
    }),
  );

  constructor() {
    effect(() => {
      const clientId = this.clientId();
      // What a closed window left is handed in, so that it stands among the drafts.
      untracked(() => void this.kept.take(clientId, null).then(() => this.drafts.again()));
    });
  }

  private offerOf({ standing, due }: DueEntry): Offer {
    const typed = { ...standing.entry, date: due };
    const against = { chart: this.reader.chart(), books: this.reader.books() };
    const entry = postableEntry(typed, against);
    const amount = this.reader.moved(readTypedEntry(typed, this.reader.currency()).entry);
    return { standing, due, key: `${standing.id}/${due}`, entry, amount };
  }

  protected choose(key: string): void {
    const next = new Set(this.leftOut());
    if (!next.delete(key)) next.add(key);
    this.leftOut.set(next);
  }

  protected draftWords({ entry }: DraftAnswer): string {
    const day = entry.date === '' ? $localize`no date yet` : dateWords(entry.date);
    return entry.comment === '' ? day : `${day}, ${entry.comment}`;
  }

  /** Posts the chosen ones, one after the other; the first that is refused stops it, and is said. */
  protected postChosen(): Promise<void> {
    return this.work(async () => {
      for (const offer of this.chosen()) await this.post(offer);
    });
  }

  private async post({ standing, due, entry }: Offer): Promise<void> {
    if (entry === null || !isTypedSource(entry.source)) return;
    const body = {
      ...entry,
      id: crypto.randomUUID(),
      source: entry.source,
      lines: entry.lines.map((line) => ({ ...line, values: { ...line.values } })),
      corrects: null,
      standing: { standingId: standing.id, due },
      draftId: null,
    };
    await firstValueFrom(this.api.ask('postEntry', { clientId: this.clientId(), body }));
    this.reader.changed(entry.lines.map(({ accountId }) => accountId));
  }

  protected skip({ standing, due }: Offer): Promise<void> {
    const body = { due, skipped: true };
    const asked = { clientId: this.clientId(), standingId: standing.id, body };
    return this.work(() => firstValueFrom(this.api.ask('skipStanding', asked)));
  }

  protected drop({ id: draftId }: DraftAnswer): Promise<void> {
    const asked = { clientId: this.clientId(), draftId };
    return this.work(() => firstValueFrom(this.api.ask('dropDraft', asked)));
  }

  private async work(what: () => Promise<unknown>): Promise<void> {
    await this.doing.run(what);
    this.drafts.again();
    this.standings.again();
  }
}
