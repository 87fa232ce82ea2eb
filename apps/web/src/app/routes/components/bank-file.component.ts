import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
} from '@angular/core';
import type { AccountId, BankUse, DatedLine, DateOrder, LineSource } from '@iunctus/core';
import type { ColumnUse } from '../../shared/components/column-uses.component';
import { OneOfComponent, type OneOf } from '../../shared/components/one-of.component';
import { ProblemNoteComponent } from '../../shared/components/problem-note.component';
import type { ChosenSource } from '../../shared/components/source-choice.component';
import { TableFileComponent } from '../../shared/components/table-file.component';
import { BANK_USE_WORDS, bankProblemWords } from '../../shared/words/bank-words';
import { BankFile } from '../model/bank-file';

/** A bank’s file, its columns and what of it cannot be read. */
@Component({
  selector: 'iu-bank-file',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [OneOfComponent, ProblemNoteComponent, TableFileComponent],
  providers: [BankFile],
  template: `
    @if (bank.notKept(); as found) {
      <iu-problem-note [problem]="found" />
    }
    <iu-table-file
      i18n-takes
      takes="A bank’s list as CSV or xlsx, or its statement as camt.053 XML."
      accept=".csv,.txt,.tsv,.xlsx,.xml"
      [file]="bank.file"
      [columns]="bank.columns()"
      [words]="useWords"
      [problems]="problems()"
      [lacks]="lacks()"
      (chosen)="take($event)"
      (used)="chooseUse($event)"
      (mended)="bank.mend($event.line, $event.use, $event.text)"
      (left)="bank.leave()"
    >
      @if (bank.read(); as read) {
        @if (!read.isOrderProven || bank.order() !== null) {
          <span i18n>Dates are written</span>
          <iu-one-of
            i18n-label
            label="Dates are written"
            [options]="orders"
            [chosen]="bank.order() ?? read.order"
            (choose)="bank.order.set($event)"
          />
        }
      }
    </iu-table-file>
  `,
  styles: `
    :host {
      display: grid;
      gap: 12px;
      width: 100%;
    }
  `,
})
export class BankFileComponent {
  protected readonly bank = inject(BankFile);
  /** The account whose lines they are. */
  readonly accountId = input.required<AccountId>();
  /** Whether the lines are those of a bank or of payouts. */
  readonly source = input.required<LineSource>();
  /** The lines of the file, anew with each change; none once it is left. */
  readonly lines = output<readonly DatedLine[] | null>();

  protected readonly useWords = BANK_USE_WORDS;
  protected readonly orders: readonly OneOf<DateOrder>[] = [
    { value: 'dayFirst', words: $localize`Day first` },
    { value: 'monthFirst', words: $localize`Month first` },
  ];
  protected readonly lacks = computed(() => {
    const uses = this.bank.columns()?.uses ?? [];
    return [
      ...(uses.includes('date') ? [] : [$localize`Say which column is the date.`]),
      ...(uses.some((use) => use === 'amount' || use === 'in' || use === 'out')
        ? []
        : [$localize`Say which column is the amount.`]),
    ];
  });
  protected readonly problems = computed(() =>
    (this.bank.read()?.problems ?? []).map((problem) => ({
      ...problem,
      says: bankProblemWords(problem),
    })),
  );

  constructor() {
    effect(() => {
      const [read, accountId] = [this.bank.read(), this.accountId()];
      if (read === null) return this.lines.emit(null);
      void this.bank.linesAt(accountId, this.source()).then((lines) => {
        if (this.bank.read() === read) this.lines.emit(lines);
      });
    });
  }

  protected take({ name, blob }: ChosenSource): void {
    void this.bank.take(name, blob);
  }

  protected chooseUse({ column, use }: ColumnUse<BankUse>): void {
    this.bank.use(column, use === '' ? null : use);
  }
}
