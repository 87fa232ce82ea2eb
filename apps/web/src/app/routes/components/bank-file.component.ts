import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
} from '@angular/core';
import {
  BANK_USES,
  type AccountId,
  type BankProblem,
  type BankUse,
  type DatedLine,
  type DateOrder,
  type LineSource,
} from '@iunctus/core';
import { ColumnUsesComponent, type ColumnUse } from '../../shared/components/column-uses.component';
import { OneOfComponent, type OneOf } from '../../shared/components/one-of.component';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import {
  SourceChoiceComponent,
  type ChosenSource,
} from '../../shared/components/source-choice.component';
import { BANK_USE_WORDS, bankProblemWords } from '../../shared/words/bank-words';
import { fileProblemWords } from '../../shared/words/import-words';
import { BankFile } from '../model/bank-file';

/** Rows that are shown below the columns; problems at most. */
const HEAD = 4;
const SHOWN = 20;

/** A bank’s file, its columns and what of it cannot be read. */
@Component({
  selector: 'iu-bank-file',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    ColumnUsesComponent,
    OneOfComponent,
    PickComponent,
    ProblemNoteComponent,
    SourceChoiceComponent,
  ],
  providers: [BankFile],
  templateUrl: './bank-file.component.html',
  styleUrl: './bank-file.component.css',
})
export class BankFileComponent {
  protected readonly file = inject(BankFile);
  /** The account whose lines they are. */
  readonly accountId = input.required<AccountId>();
  /** Whether the lines are those of a bank or of payouts. */
  readonly source = input.required<LineSource>();
  /** The lines of the file, anew with each change; none once it is left. */
  readonly lines = output<readonly DatedLine[] | null>();

  protected readonly problemWords = bankProblemWords;
  protected readonly useWords = BANK_USE_WORDS;
  protected readonly orders: readonly OneOf<DateOrder>[] = [
    { value: 'dayFirst', words: $localize`Day first` },
    { value: 'monthFirst', words: $localize`Month first` },
  ];
  protected readonly uses: readonly PickOption<BankUse | ''>[] = [
    { value: '', words: $localize`Passed over` },
    ...BANK_USES.map((value) => ({ value, words: BANK_USE_WORDS[value] })),
  ];
  protected readonly fileWords = computed(() => {
    const problem = this.file.problem();
    return problem === null ? '' : fileProblemWords(problem);
  });
  protected readonly sheetOptions = computed<readonly PickOption[]>(() =>
    (this.file.sheets() ?? []).map(({ name, rows }, at) => ({
      value: String(at),
      words: $localize`${name} (${rows.length} rows)`,
    })),
  );
  protected readonly head = computed(() => {
    const heading = this.file.columns()?.headingLine ?? 0;
    return this.file
      .rows()
      .filter(({ line }) => line > heading)
      .slice(0, HEAD);
  });
  protected readonly lacks = computed(() => {
    const uses = this.file.columns()?.uses ?? [];
    return [
      ...(uses.includes('date') ? [] : [$localize`Say which column is the date.`]),
      ...(uses.some((use) => use === 'amount' || use === 'in' || use === 'out')
        ? []
        : [$localize`Say which column is the amount.`]),
    ];
  });
  protected readonly problems = computed<readonly BankProblem[]>(() =>
    this.lacks().length > 0 ? [] : (this.file.read()?.problems ?? []),
  );
  protected readonly shownProblems = computed(() => this.problems().slice(0, SHOWN));

  constructor() {
    effect(() => {
      const [read, accountId] = [this.file.read(), this.accountId()];
      if (read === null) return this.lines.emit(null);
      void this.file.linesAt(accountId, this.source()).then((lines) => {
        if (this.file.read() === read) this.lines.emit(lines);
      });
    });
  }

  protected take({ name, blob }: ChosenSource): void {
    void this.file.take(name, blob);
  }

  protected chooseUse({ column, use }: ColumnUse<BankUse>): void {
    this.file.use(column, use === '' ? null : use);
  }
}
