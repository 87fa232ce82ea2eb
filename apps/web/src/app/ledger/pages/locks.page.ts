import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  linkedSignal,
  signal,
} from '@angular/core';
import { addDays, addMonths, lastDayOf, monthOf } from '@iunctus/core';
import { firstValueFrom } from 'rxjs';
import { Rights } from '../../session/state/rights';
import { ApiService } from '../../shared/api/api.service';
import { Doing } from '../../shared/api/doing';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { TextFieldComponent } from '../../shared/components/text-field.component';
import { WhenFieldComponent } from '../../shared/components/when-field.component';
import { today } from '../../shared/dates/today';
import { dateWords, momentWords } from '../../shared/words/period-words';
import { BooksReader } from '../../workspace/model/books-reader';

/** Through which day the books are locked: nothing is posted there any more; who locked and opened them. */
@Component({
  selector: 'iu-locks-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ProblemNoteComponent, ReadingNoteComponent, TextFieldComponent, WhenFieldComponent],
  template: `
    <iu-reading-note [of]="reader.locks" />
    @if (reader.locks.value(); as answer) {
      <p class="state">
        @if (answer.lockedThrough; as through) {
          <span i18n
            >Everything through <b>{{ day(through) }}</b> is locked: nothing is posted there, and
            statements of that time stay as they are.</span
          >
        } @else {
          <span i18n
            >No period is locked. Lock what was handed over, so that its statements stay as they
            are.</span
          >
        }
      </p>
      @if (rights.may('lockBooks')) {
        <form (submit)="$event.preventDefault(); lock(through())">
          <iu-when-field
            class="day"
            labelled
            i18n-label
            label="Lock through"
            unit="day"
            [order]="reader.order()"
            [value]="through()"
            (changed)="typed.set($event ?? '')"
          />
          <iu-text-field
            class="note"
            i18n-label
            label="Why"
            i18n-placeholder
            placeholder="Sent to the bank, filed …"
            [most]="500"
            [value]="note()"
            (changed)="note.set($event)"
          />
          <button
            i18n
            type="submit"
            class="button primary"
            [disabled]="doing.busy() || through() === '' || through() === answer.lockedThrough"
          >
            Lock
          </button>
          @if (answer.lockedThrough !== null) {
            <button
              i18n
              type="button"
              class="button"
              [disabled]="doing.busy()"
              (click)="lock(null)"
            >
              Open everything again
            </button>
          }
        </form>
      }
      @if (doing.problem(); as found) {
        <iu-problem-note [problem]="found" />
      }
      @if (answer.locks.length > 0) {
        <table class="listed">
          <thead>
            <tr>
              <th i18n scope="col">When</th>
              <th i18n scope="col">Who</th>
              <th i18n scope="col">What</th>
              <th i18n scope="col">Why</th>
            </tr>
          </thead>
          <tbody>
            @for (one of answer.locks; track one.at) {
              <tr>
                <td>{{ moment(one.at) }}</td>
                <td>{{ one.author }}</td>
                <td>
                  @if (one.through; as until) {
                    <ng-container i18n>Locked through {{ day(until) }}</ng-container>
                  } @else {
                    <ng-container i18n>Opened</ng-container>
                  }
                </td>
                <td dir="auto">{{ one.note }}</td>
              </tr>
            }
          </tbody>
        </table>
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 18px;
      max-width: 900px;
    }
    form {
      display: flex;
      align-items: end;
      gap: 12px;
    }
    .day {
      width: 140px;
    }
    .note {
      flex: 1;
    }
    .listed td {
      padding: 7px 16px;
      border-bottom: 1px solid var(--rule-soft);
    }
  `,
})
export class LocksPage {
  private readonly api = inject(ApiService);
  protected readonly rights = inject(Rights);
  protected readonly reader = inject(BooksReader);
  protected readonly day = dateWords;
  protected readonly moment = momentWords;
  protected readonly note = signal('');
  protected readonly doing = new Doing();
  /** The end of last month, unless the books are locked further; until something else is typed. */
  private readonly offered = computed(() => {
    const lastMonth = lastDayOf(addMonths(monthOf(today()), -1));
    const locked = this.reader.books().lockedThrough;
    if (locked === null || locked < lastMonth) return lastMonth;
    const next = lastDayOf(monthOf(addDays(locked, 1)));
    return next <= today() ? next : locked;
  });
  protected readonly typed = linkedSignal<string | null>(() => (this.offered(), null));
  protected readonly through = computed(() => this.typed() ?? this.offered());

  protected async lock(through: string | null): Promise<void> {
    const clientId = this.reader.client()?.id ?? '';
    const body = { was: this.reader.books().lockedThrough, through, note: this.note() };
    const done = await this.doing.run(() =>
      firstValueFrom(this.api.ask('lock', { clientId, body })),
    );
    if (done) this.note.set('');
    this.reader.locks.again();
  }
}
