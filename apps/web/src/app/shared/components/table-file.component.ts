import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { TableFile } from '../files/table-file';
import { fileProblemWords } from '../words/import-words';
import { ColumnUsesComponent, type ColumnUse } from './column-uses.component';
import { PickComponent, type PickOption } from './pick.component';
import { SourceChoiceComponent, type ChosenSource } from './source-choice.component';

/** Rows that are shown below the columns; problems at most. */
const HEAD = 4;
const SHOWN = 20;

/** What was made of the columns of a table. */
export interface UsedColumns<U extends string> {
  readonly headingLine: number | null;
  readonly headings: readonly string[];
  readonly uses: readonly (U | null)[];
}

/** A cell that cannot be read, and why. */
export interface CellProblem<U extends string> {
  readonly line: number;
  readonly use: U;
  readonly text: string;
  readonly says: string;
}

/** A cell that was put right. */
export interface MendedCell<U extends string> {
  readonly line: number;
  readonly use: U;
  readonly text: string;
}

/** A file with a table: choosing it, what its columns are used for, and what of it cannot be read. */
@Component({
  selector: 'iu-table-file',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ColumnUsesComponent, PickComponent, SourceChoiceComponent],
  templateUrl: './table-file.component.html',
  styleUrl: './table-file.component.css',
})
export class TableFileComponent<U extends string> {
  readonly file = input.required<TableFile>();
  readonly columns = input.required<UsedColumns<U> | null>();
  /** What columns can be used for, in words. */
  readonly words = input.required<Readonly<Record<U, string>>>();
  readonly problems = input.required<readonly CellProblem<U>[]>();
  /** What is still to be said of the columns, in words. */
  readonly lacks = input.required<readonly string[]>();
  /** What sorts of file are taken, in words and by their endings. */
  readonly takes = input.required<string>();
  readonly accept = input.required<string>();
  readonly chosen = output<ChosenSource>();
  readonly used = output<ColumnUse<U>>();
  readonly mended = output<MendedCell<U>>();
  /** The file is to be forgotten. */
  readonly left = output();

  protected readonly uses = computed<readonly PickOption<U | ''>[]>(() => [
    { value: '', words: $localize`Passed over` },
    ...(Object.entries(this.words()) as [U, string][]).map(([value, words]) => ({ value, words })),
  ]);
  protected readonly fileWords = computed(() => {
    const problem = this.file().problem();
    return problem === null ? '' : fileProblemWords(problem);
  });
  protected readonly sheetOptions = computed<readonly PickOption[]>(() =>
    (this.file().sheets() ?? []).map(({ name, rows }, at) => ({
      value: String(at),
      words: $localize`${name} (${rows.length} rows)`,
    })),
  );
  protected readonly head = computed(() => {
    const heading = this.columns()?.headingLine ?? 0;
    return this.file()
      .rows()
      .filter(({ line }) => line > heading)
      .slice(0, HEAD);
  });
  protected readonly found = computed(() => (this.lacks().length > 0 ? [] : this.problems()));
  protected readonly shown = computed(() => this.found().slice(0, SHOWN));
}
