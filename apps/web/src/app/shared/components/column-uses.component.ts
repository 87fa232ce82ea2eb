import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { SourceRow } from '@iunctus/core';
import { PickComponent, type PickOption } from './pick.component';

/** A column that is used otherwise; empty for one that is passed over. */
export interface ColumnUse<U extends string> {
  readonly column: number;
  readonly use: U | '';
}

/** The columns of a file as they are used, with its first rows. */
@Component({
  selector: 'iu-column-uses',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PickComponent],
  template: `
    <table>
      <thead>
        <tr>
          @for (use of uses(); track $index; let column = $index) {
            <th scope="col">
              <iu-pick
                i18n-label
                label="Column {{ column + 1 }} is"
                [options]="options()"
                [picked]="use ?? ''"
                (chosen)="used.emit({ column, use: $event })"
              />
              <small class="muted">{{ headings()[column] }}</small>
            </th>
          }
        </tr>
      </thead>
      <tbody>
        @for (row of shown(); track row.line) {
          <tr>
            @for (cell of row.cells; track $index) {
              <td dir="auto" [title]="cell">{{ cell }}</td>
            }
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    :host {
      display: block;
      overflow: auto;
      max-height: 300px;
      border: 1px solid var(--rule);
      background: var(--sheet);
      box-shadow: var(--lift);
    }
    table {
      border-collapse: collapse;
    }
    th {
      position: sticky;
      z-index: 1;
      top: 0;
      min-width: 158px;
      padding: 6px;
      background: var(--sheet);
      text-align: left;
    }
    th small {
      display: block;
      overflow: hidden;
      padding: 2px 10px 0;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
    td {
      overflow: hidden;
      max-width: 320px;
      padding: 3px 16px;
      border-top: 1px solid var(--rule-soft);
      text-overflow: ellipsis;
      white-space: nowrap;
    }
  `,
  host: { tabindex: '0', role: 'region', '[attr.aria-label]': 'regionWords' },
})
export class ColumnUsesComponent<U extends string> {
  readonly uses = input.required<readonly (U | null)[]>();
  readonly headings = input.required<readonly string[]>();
  /** The first rows below the headings. */
  readonly rows = input.required<readonly SourceRow[]>();
  readonly options = input.required<readonly PickOption<U | ''>[]>();
  readonly used = output<ColumnUse<U>>();

  protected readonly regionWords = $localize`Columns of the file`;
  protected readonly shown = computed(() =>
    this.rows().map(({ line, cells }) => ({
      line,
      cells: this.uses().map((_use, column) => cells[column] ?? ''),
    })),
  );
}
