import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  JOURNAL_USES,
  TYPED_SOURCES,
  type AccountId,
  type DateOrder,
  type JournalLine,
  type JournalUse,
  type TypedSource,
} from '@iunctus/core';
import { ColumnUsesComponent, type ColumnUse } from '../../shared/components/column-uses.component';
import { OneOfComponent, type OneOf } from '../../shared/components/one-of.component';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import {
  SourceChoiceComponent,
  type ChosenSource,
} from '../../shared/components/source-choice.component';
import { SOURCE_WORDS } from '../../shared/words/choice-words';
import { counted } from '../../shared/words/counted';
import { entryFaultWords, lineFaultWords } from '../../shared/words/entry-words';
import { fileProblemWords } from '../../shared/words/import-words';
import { JOURNAL_USE_WORDS, journalProblemWords } from '../../shared/words/journal-words';
import { dateWords } from '../../shared/words/period-words';
import { AccountChoiceComponent } from '../../workspace/components/account-choice.component';
import { BooksReader } from '../../workspace/model/books-reader';
import { ListPosting } from '../../workspace/model/list-posting';
import { CheckAfterComponent } from '../components/check-after.component';
import { JournalImport } from '../model/journal-import';
import type { FaultyEntry } from '../workers/journal-messages';

/** Entries of a file, read, mended on the spot, and posted once the user says so. */
@Component({
  selector: 'iu-bring-in-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AccountChoiceComponent,
    CheckAfterComponent,
    ColumnUsesComponent,
    OneOfComponent,
    PickComponent,
    ProblemNoteComponent,
    RouterLink,
    SourceChoiceComponent,
  ],
  providers: [JournalImport, ListPosting],
  templateUrl: './bring-in.page.html',
  styleUrl: './bring-in.page.css',
})
export class BringInPage {
  protected readonly reader = inject(BooksReader);
  protected readonly list = inject(JournalImport);
  protected readonly day = dateWords;
  protected readonly sources: readonly PickOption<TypedSource>[] = TYPED_SOURCES.map((value) => ({
    value,
    words: SOURCE_WORDS[value],
  }));
  protected readonly orders: readonly OneOf<DateOrder>[] = [
    { value: 'dayFirst', words: $localize`Day first` },
    { value: 'monthFirst', words: $localize`Month first` },
  ];
  protected readonly fileWords = computed(() => {
    const problem = this.list.fileProblem();
    return problem === null ? '' : fileProblemWords(problem);
  });
  protected readonly sheet = computed(() => this.list.sheets()?.[this.list.sheet()] ?? null);
  protected readonly sheetOptions = computed<readonly PickOption[]>(() =>
    (this.list.sheets() ?? []).map(({ name, count }, at) => ({
      value: String(at),
      words: $localize`${name} (${count} rows)`,
    })),
  );
  protected readonly uses = computed<readonly PickOption<JournalUse | ''>[]>(() => [
    { value: '', words: $localize`Passed over` },
    ...JOURNAL_USES.map((value) => ({ value, words: JOURNAL_USE_WORDS[value] })),
    ...this.reader
      .dimensions()
      .map(({ id, name }) => ({ value: `value/${id}` as const, words: name })),
  ]);
  protected readonly lacks = computed<readonly string[]>(() => {
    const uses = this.list.columns()?.uses ?? [];
    const has = (...some: readonly JournalUse[]): boolean => some.some((use) => uses.includes(use));
    return [
      ...(has('date') ? [] : [$localize`Say which column is the date.`]),
      ...(has('account', 'accountName') ? [] : [$localize`Say which column is the account.`]),
      ...(has('amount', 'debit', 'credit') ? [] : [$localize`Say which column is the amount.`]),
    ];
  });
  protected readonly share = computed(() => {
    const posting = this.list.posting();
    return posting === null || posting.all === 0 ? 0 : posting.done / posting.all;
  });

  protected take({ name, blob }: ChosenSource): void {
    void this.list.read(name, blob);
  }

  protected chooseUse({ column, use }: ColumnUse<JournalUse>): void {
    this.list.use(column, use === '' ? null : use);
  }

  protected nameAccount(text: string, accountId: AccountId | null): void {
    if (accountId !== null) this.list.nameAccount(text, accountId);
  }

  protected linesWords(count: number): string {
    return counted(count, { one: $localize`# line`, other: $localize`# lines` });
  }

  protected entriesWords(count: number): string {
    return counted(count, { one: $localize`# entry`, other: $localize`# entries` });
  }

  protected useWords(use: JournalUse): string {
    return this.uses().find(({ value }) => value === use)?.words ?? '';
  }

  /** The cells of a line that cannot be read, each with what it holds. */
  protected unreadOf({ problems }: JournalLine) {
    return problems
      .filter(({ rule, text }) => rule !== 'unknownAccount' || text === '')
      .map((problem) => ({
        use: problem.use,
        text: problem.text,
        words: journalProblemWords(problem),
      }));
  }

  protected faultsOf({ lines, faults }: FaultyEntry): readonly string[] {
    const context = this.reader.context();
    return faults.map(({ line, fault }) =>
      line === null
        ? entryFaultWords(fault, context)
        : $localize`Line ${lines[line]?.line ?? 0}:line:, ${lines[line]?.accountText ?? ''}:account:: ${lineFaultWords(fault, context)}`,
    );
  }

  protected whereOf({ lines }: FaultyEntry): string {
    const [first, last] = [lines[0], lines.at(-1)];
    if (first === undefined || last === undefined) return '';
    return first.line === last.line
      ? $localize`Line ${first.line}`
      : $localize`Lines ${first.line} to ${last.line}`;
  }
}
