import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { formatAmount, subtract, type Impact, type Minor } from '@iunctus/core';
import { terms } from '../words/terms';

/** The sections and totals that a proposal moves: before, after, and by how much. */
@Component({
  selector: 'iu-moved-totals',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table>
      @if (caption() !== '') {
        <caption>
          {{
            caption()
          }}
        </caption>
      }
      <thead>
        <tr>
          <th i18n scope="col">Line</th>
          <th i18n scope="col">Before</th>
          <th i18n scope="col">After</th>
          <th i18n scope="col">By</th>
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.words) {
          <tr>
            <td>{{ row.words }}</td>
            <td>{{ row.before }}</td>
            <td>{{ row.after }}</td>
            <td class="by">{{ row.by }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    table {
      width: 100%;
      border-collapse: collapse;
    }
    caption {
      padding-bottom: 4px;
      color: var(--ink-2);
      text-align: left;
    }
    th,
    td {
      padding: 3px 0 3px 10px;
      border-bottom: 1px solid var(--rule-soft);
      text-align: right;
    }
    th {
      border-color: var(--rule);
      color: var(--ink-2);
      font-size: 12px;
    }
    th:first-child,
    td:first-child {
      padding-left: 0;
      text-align: left;
    }
    .by {
      color: var(--amber-ink);
      font-weight: 600;
    }
    tr {
      break-inside: avoid;
    }
  `,
})
export class MovedTotalsComponent {
  readonly impact = input.required<Pick<Impact, 'sections' | 'totals'>>();
  readonly currency = input.required<string>();
  readonly caption = input('');

  protected readonly rows = computed(() => [
    ...this.impact().sections.map((one) => this.row(terms().sections[one.code], one)),
    ...this.impact().totals.map((one) => this.row(terms().totals[one.code], one)),
  ]);

  private row(words: string, { before, after }: { before: Minor; after: Minor }) {
    const currency = this.currency();
    return {
      words,
      before: formatAmount(before, { currency, zero: '–' }),
      after: formatAmount(after, { currency, zero: '–' }),
      by: formatAmount(subtract(after, before), { currency, negatives: 'sign' }),
    };
  }
}
