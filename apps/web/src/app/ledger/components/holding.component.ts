import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { formatAmount, worthOf, type Minor, type SecurityHeld } from '@iunctus/core';
import { ApiService } from '../../shared/api/api.service';
import { reading } from '../../shared/api/reading';
import { ReadingNoteComponent } from '../../shared/components/reading-note.component';
import { today } from '../../shared/dates/today';
import { dateWords } from '../../shared/words/period-words';
import { BooksReader } from '../../workspace/model/books-reader';

/** What the security of an investment account is worth on a day, and the gain that nobody has realised yet. */
@Component({
  selector: 'iu-holding',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ReadingNoteComponent],
  template: `
    <iu-reading-note [of]="quote" i18n-waiting waiting="Asking for the price …" />
    @if (answer() === 'silent') {
      <p>
        <span i18n>The source of quotes does not answer at the moment.</span>
        <button i18n class="button small" type="button" (click)="quote.again()">Ask again</button>
      </p>
    } @else if (answer() === 'unlisted') {
      <p i18n class="muted">The source of quotes does not list {{ security().symbol }}.</p>
    }
    @if (quoted(); as found) {
      @if (worth(); as own) {
        <p>
          <span i18n
            >{{ security().units }} units of {{ security().symbol }} at {{ amount(found.price) }} of
            {{ day(found.day) }}</span
          >
          @if (found.isDelayed) {
            <span i18n class="muted">(the source is a day late)</span>
          }
          <b i18n>worth {{ amount(own.value) }}</b>
          <span i18n class="muted">they cost {{ amount(cost()) }}:</span>
          <b [class.good]="own.gain > 0" [class.bad]="own.gain < 0">{{ signed(own.gain) }}</b>
          <span i18n class="muted">not realised</span>
        </p>
      } @else {
        <p i18n class="muted">
          {{ security().symbol }} was at {{ amount(found.price) }} on {{ day(found.day) }}. Say in
          the account’s settings how many units are held.
        </p>
      }
    }
  `,
  styles: `
    :host {
      display: block;
      padding: 0 16px 10px;
    }
    p {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
    }
    .good {
      color: var(--good);
    }
    .bad {
      color: var(--bad);
    }
  `,
})
export class HoldingComponent {
  private readonly api = inject(ApiService);
  private readonly reader = inject(BooksReader);
  readonly security = input.required<SecurityHeld>();
  /** The day on which it is looked at; today where it is empty. */
  readonly on = input('');
  /** What the account has on that day, debit positive. */
  readonly cost = input.required<Minor>();
  protected readonly day = dateWords;

  protected readonly quote = reading(
    () => ({
      symbol: this.security().symbol,
      query: { date: this.on() === '' ? today() : this.on(), currency: this.reader.currency() },
    }),
    (asked) => this.api.ask('quote', asked),
  );
  protected readonly answer = computed(() => this.quote.value()?.state ?? null);
  protected readonly quoted = computed(() => {
    const answer = this.quote.value();
    return answer?.state === 'quoted' ? answer : null;
  });
  protected readonly worth = computed(() => {
    const quote = this.quoted();
    if (quote === null) return null;
    return worthOf(this.security().units, { price: quote.price, cost: this.cost() });
  });

  protected amount(amount: Minor): string {
    return this.reader.amount(amount);
  }

  protected signed(amount: Minor): string {
    return formatAmount(amount, { currency: this.reader.currency(), negatives: 'sign' });
  }
}
