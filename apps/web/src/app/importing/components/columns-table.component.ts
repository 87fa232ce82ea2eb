import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { COLUMN_USES, holdsAmounts, type ColumnUse } from '@iunctus/core';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';
import { COLUMN_USE_WORDS } from '../../shared/words/import-words';
import { ImportDraft } from '../model/import-draft';

const AMOUNTS: ReadonlySet<ColumnUse | null> = new Set<ColumnUse>([
  'balance',
  'innerBalance',
  'debit',
  'credit',
  'budget',
]);

/** The first rows of the list, with what each column is taken for above it. */
@Component({
  selector: 'iu-columns-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PickComponent],
  template: `
    <table>
      <thead>
        <tr>
          <th i18n scope="col" class="line">Line</th>
          @for (use of draft.columns().uses; track $index; let column = $index) {
            <th scope="col" [class.off]="use === null">
              <iu-pick
                label="Column {{ column + 1 }} is"
                i18n-label
                [options]="uses"
                [picked]="use ?? ''"
                (chosen)="draft.useColumn(column, $event === '' ? null : $event)"
              />
            </th>
          }
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.line) {
          <tr [class.title]="row.before" [class.headings]="row.headings">
            <td class="line">{{ row.line }}</td>
            @if (row.before) {
              <td [colSpan]="row.cells.length">{{ row.cells.join(' ') }}</td>
            } @else {
              @for (cell of row.cells; track $index; let column = $index) {
                <td
                  [class.off]="draft.columns().uses[column] === null"
                  [class.amount]="isAmount(column)"
                  [title]="cell"
                >
                  {{ cell }}
                </td>
              }
            }
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    :host {
      display: block;
      min-height: 0;
      overflow: auto;
    }
    table {
      border-collapse: collapse;
    }
    th {
      position: sticky;
      z-index: 1;
      top: 0;
      min-width: 128px;
      padding: 8px 6px;
      background: var(--paper);
      text-align: left;
    }
    td {
      max-width: 300px;
      height: 26px;
      padding: 2px 14px;
      overflow: hidden;
      border-bottom: 1px solid var(--rule-soft);
      text-overflow: ellipsis;
      white-space: pre;
    }
    .line {
      min-width: 52px;
      color: var(--ink-3);
      text-align: right;
    }
    .amount {
      text-align: right;
    }
    .off,
    .title td {
      color: var(--ink-3);
    }
    .headings td {
      font-weight: 600;
    }
  `,
})
export class ColumnsTableComponent {
  protected readonly draft = inject(ImportDraft);
  protected readonly uses: readonly PickOption<ColumnUse | ''>[] = [
    { value: '', words: $localize`Passed over` },
    ...COLUMN_USES.map((value) => ({ value, words: COLUMN_USE_WORDS[value] })),
  ];

  protected readonly rows = computed(() => {
    const { headingLine, uses } = this.draft.columns();
    return (this.draft.seen()?.head ?? []).map(({ line, cells }) => ({
      line,
      cells: uses.map((_use, column) => cells[column] ?? ''),
      before: headingLine !== null && line < headingLine,
      headings: line === headingLine,
    }));
  });

  /** Columns of amounts, also those that are passed over: last year's stand below one another as this year's do. */
  private readonly amounts = computed(() =>
    this.draft.columns().uses.map((use, column) => {
      if (use !== null) return AMOUNTS.has(use);
      const shown = this.rows().filter(({ before, headings }) => !before && !headings);
      return holdsAmounts(shown.map(({ cells }) => cells[column] ?? ''));
    }),
  );

  protected isAmount(column: number): boolean {
    return this.amounts()[column] ?? false;
  }
}
