import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import type { EntryAnswer } from '@iunctus/contract';
import { formatAmount, usualReversalDay } from '@iunctus/core';
import { firstValueFrom } from 'rxjs';
import { Rights } from '../../session/state/rights';
import { ApiService } from '../../shared/api/api.service';
import { Doing } from '../../shared/api/doing';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { TextFieldComponent } from '../../shared/components/text-field.component';
import { WhenFieldComponent } from '../../shared/components/when-field.component';
import { entryFaultWords, lineFaultWords } from '../../shared/words/entry-words';
import { momentWords } from '../../shared/words/period-words';
import { BooksReader } from '../../workspace/model/books-reader';

/** A posted entry line by line, and what can be done about it: never changed, it is taken back or corrected. */
@Component({
  selector: 'iu-posted-entry',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ProblemNoteComponent, RouterLink, TextFieldComponent, WhenFieldComponent],
  templateUrl: './posted-entry.component.html',
  styleUrl: './posted-entry.component.css',
})
export class PostedEntryComponent {
  private readonly api = inject(ApiService);
  protected readonly rights = inject(Rights);
  protected readonly reader = inject(BooksReader);
  readonly entry = input.required<EntryAnswer>();
  /** It was taken back, by the entry of that id. */
  readonly takenBack = output<string>();
  /** A correction is wanted: it is taken back, and another is to be typed. */
  readonly correcting = output();

  protected readonly asking = signal<'takeBack' | 'correct' | null>(null);
  protected readonly date = signal('');
  protected readonly comment = signal('');
  protected readonly doing = new Doing();
  protected readonly hasComments = computed(() =>
    this.entry().lines.some(({ comment, foreign }) => comment !== '' || foreign !== null),
  );
  protected readonly refusals = computed<readonly string[]>(() => {
    const problem = this.doing.problem();
    if (problem?.code !== 'entryRefused') return [];
    const context = this.reader.context();
    return problem.faults.map(({ line, fault }) =>
      line === null
        ? entryFaultWords(fault, context)
        : `${this.reader.titleOf(this.entry().lines[line]?.accountId ?? '')}: ${lineFaultWords(fault, context)}`,
    );
  });

  protected posted(): string {
    const { author, postedAt } = this.entry();
    if (author === null || postedAt === null) return $localize`Brought in from elsewhere`;
    return $localize`Posted by ${author}, ${momentWords(postedAt)}`;
  }

  protected debit(amount: number): string {
    return amount > 0 ? this.reader.amount(amount) : '';
  }

  protected credit(amount: number): string {
    return amount < 0 ? this.reader.amount(-amount) : '';
  }

  protected about({ comment, foreign }: EntryAnswer['lines'][number]): string {
    if (foreign === null) return comment;
    const amount = formatAmount(Math.abs(foreign.amount), { currency: foreign.currency });
    const rate = $localize`${foreign.currency} ${amount} at ${foreign.rate}`;
    return comment === '' ? rate : `${rate} · ${comment}`;
  }

  protected ask(what: 'takeBack' | 'correct'): void {
    const { date, number } = this.entry();
    this.doing.problem.set(null);
    this.date.set(usualReversalDay(date, this.reader.books()));
    this.comment.set($localize`Takes entry ${number} back`);
    this.asking.set(what);
  }

  protected async takeBack(): Promise<void> {
    const clientId = this.reader.client()?.id ?? '';
    const id = crypto.randomUUID();
    const { id: entryId, lines } = this.entry();
    const body = { id, date: this.date(), comment: this.comment() };
    const done = await this.doing.run(() =>
      firstValueFrom(this.api.ask('reverseEntry', { clientId, entryId, body })),
    );
    if (!done) return;
    this.reader.changed(lines.map(({ accountId }) => accountId));
    if (this.asking() === 'correct') this.correcting.emit();
    else this.takenBack.emit(id);
    this.asking.set(null);
  }
}
