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
import type { DraftAnswer, PostEntryRequest } from '@iunctus/contract';
import { checkEntry, readTypedEntry, TYPED_SOURCES } from '@iunctus/core';
import { firstValueFrom } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { problemOf, type ApiProblem } from '../../shared/api/problem';
import { reading } from '../../shared/api/reading';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { today } from '../../shared/dates/today';
import { counted } from '../../shared/words/counted';
import { dateWords, momentWords } from '../../shared/words/period-words';
import { BooksReader } from '../model/books-reader';
import { KeptDrafts } from '../model/kept-drafts';
import { dueEntries, type DueEntry } from '../model/due-entries';

/** A due entry, and what it posts; `null` where something of it is to be typed first. */
interface Offer extends DueEntry {
  readonly key: string;
  readonly entry: Omit<PostEntryRequest, 'id'> | null;
  readonly amount: string;
}

const isTyped = (source: string): source is PostEntryRequest['source'] =>
  (TYPED_SOURCES as readonly string[]).includes(source);

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
  protected readonly problem = signal<ApiProblem | null>(null);
  protected readonly busy = signal(false);
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
    const { source } = standing.entry;
    const read = readTypedEntry({ ...standing.entry, date: due }, this.reader.currency());
    const checking = {
      chart: this.reader.chart(),
      books: this.reader.books(),
      entry: read.entry,
      byHand: true,
    };
    const fits = read.unread.length === 0 && checkEntry(checking).length === 0;
    const entry =
      fits && isTyped(source)
        ? {
            ...read.entry,
            source,
            lines: read.entry.lines.map((line) => ({ ...line, values: { ...line.values } })),
            corrects: null,
            standing: { standingId: standing.id, due },
            draftId: null,
          }
        : null;
    const amount = read.entry.lines.reduce((sum, line) => sum + Math.max(line.amount, 0), 0);
    return {
      standing,
      due,
      key: `${standing.id}/${due}`,
      entry,
      amount: this.reader.amount(amount),
    };
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
  protected async postChosen(): Promise<void> {
    await this.work(async () => {
      for (const { entry } of this.chosen()) {
        if (entry === null) continue;
        const body = { ...entry, id: crypto.randomUUID() };
        await firstValueFrom(this.api.ask('postEntry', { clientId: this.clientId(), body }));
        this.reader.changed(entry.lines.map(({ accountId }) => accountId));
      }
    });
  }

  protected async skip({ standing, due }: Offer): Promise<void> {
    const asked = {
      clientId: this.clientId(),
      standingId: standing.id,
      body: { due, skipped: true },
    };
    await this.work(() => firstValueFrom(this.api.ask('skipStanding', asked)));
  }

  protected async drop({ id: draftId }: DraftAnswer): Promise<void> {
    const asked = { clientId: this.clientId(), draftId };
    await this.work(() => firstValueFrom(this.api.ask('dropDraft', asked)));
  }

  private async work(what: () => Promise<unknown>): Promise<void> {
    this.busy.set(true);
    this.problem.set(null);
    try {
      await what();
    } catch (error) {
      this.problem.set(problemOf(error));
    }
    this.busy.set(false);
    this.drafts.again();
    this.standings.again();
  }
}
