import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { formatAmount, type StatementRow } from '@iunctus/core';
import { plainRowWords } from '../../shared/words/look-words';
import { statementRowIndent } from '../../shared/words/statement-row-words';

/** A statement to read, in plain words. */
@Component({
  selector: 'iu-plain-statement',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table>
      <caption>
        <b>{{ heading() }}</b>
        <span class="muted">{{ period() }}</span>
        <span class="muted currency">{{ currency() }}</span>
      </caption>
      <tbody>
        @for (row of rows(); track row.key) {
          <tr [class]="row.type" [class.final]="row.type === 'total' && row.final">
            <th scope="row" [style.padding-left.px]="indent(row)">{{ words(row) }}</th>
            <td>{{ amount(row) }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styleUrl: './plain-statement.component.css',
})
export class PlainStatementComponent {
  readonly heading = input.required<string>();
  readonly period = input.required<string>();
  readonly currency = input.required<string>();
  readonly rows = input.required<readonly StatementRow[]>();
  protected readonly words = plainRowWords;
  protected readonly indent = statementRowIndent;

  protected amount(row: StatementRow): string {
    if (!('amount' in row) || row.amount === null) return '';
    return formatAmount(row.amount, { currency: this.currency() });
  }
}
