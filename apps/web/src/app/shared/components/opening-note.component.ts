import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { formatAmount, type Minor, type PlannedOpening } from '@iunctus/core';
import { openingProblems, openingWords, type Caller } from '../words/opening-words';

/** Lines of the entry that are listed one by one. */
const LISTED = 500;

/** Listed balances of a proposal: what they will be posted as, and what stands against it. */
@Component({
  selector: 'iu-opening-note',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p>{{ words() }}</p>
    @for (problem of problems(); track problem) {
      <p class="bad" role="alert">{{ problem }}</p>
    }
    <ng-content />
    @if (lines().length > 0) {
      <details [open]="unfolded()">
        <summary i18n>Account by account</summary>
        <table>
          <thead>
            <tr>
              <th i18n scope="col">Account</th>
              <th i18n scope="col" class="amount">In the books</th>
              <th i18n scope="col" class="amount">In the list</th>
              <th i18n scope="col" class="amount">To be posted</th>
            </tr>
          </thead>
          <tbody>
            @for (line of lines(); track line.accountId) {
              <tr>
                <td>{{ line.title }}</td>
                <td class="amount">{{ amount(line.now) }}</td>
                <td class="amount">{{ amount(line.wanted) }}</td>
                <td class="amount">{{ amount(line.change) }}</td>
              </tr>
            }
            @if (open(); as rest) {
              <tr class="open">
                <td>{{ rest.title }}</td>
                <td></td>
                <td></td>
                <td class="amount">{{ amount(rest.amount) }}</td>
              </tr>
            }
          </tbody>
        </table>
        @if (unlisted() > 0) {
          <p i18n class="muted">and {{ unlisted() }} more</p>
        }
      </details>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    p {
      margin: 0 0 4px;
    }
    .bad {
      color: var(--bad);
      font-weight: 600;
    }
    summary {
      width: max-content;
      cursor: pointer;
      color: var(--plum-ink);
    }
    table {
      margin-top: 6px;
      border-collapse: collapse;
      width: 100%;
      font-size: 13px;
    }
    th {
      padding: 4px 8px;
      text-align: left;
      color: var(--ink-2);
      font-size: 12px;
      border-bottom: 1px solid var(--rule);
    }
    td {
      padding: 4px 8px;
      border-top: 1px solid var(--rule-soft);
    }
    .amount {
      text-align: right;
      font-variant-numeric: tabular-nums;
      white-space: nowrap;
    }
    .open td {
      border-top-color: var(--rule);
      font-weight: 600;
    }
  `,
})
export class OpeningNoteComponent {
  readonly opening = input.required<Pick<PlannedOpening, 'opening' | 'plan'>>();
  readonly currency = input.required<string>();
  readonly called = input.required<Caller>();
  /** Whether it begins with the accounts listed. */
  readonly unfolded = input(false);

  private readonly plan = computed(() => this.opening().plan);
  protected readonly words = computed(() =>
    openingWords(this.opening(), this.currency(), this.called()),
  );
  protected readonly problems = computed(() =>
    openingProblems(this.plan(), this.currency(), this.called()),
  );
  protected readonly lines = computed(() =>
    this.plan()
      .lines.slice(0, LISTED)
      .map((line) => ({ ...line, title: this.called()(line.accountId) })),
  );
  protected readonly unlisted = computed(() => this.plan().lines.length - this.lines().length);
  protected readonly open = computed(() => {
    const { difference, equityId } = this.plan();
    if (difference === 0 || equityId === null) return null;
    return { title: this.called()(equityId), amount: difference };
  });

  protected amount(value: Minor): string {
    return formatAmount(value, { currency: this.currency(), zero: '–' });
  }
}
