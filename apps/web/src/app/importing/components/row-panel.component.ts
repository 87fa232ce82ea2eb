import {
  ChangeDetectionStrategy,
  Component,
  computed,
  type ElementRef,
  inject,
  input,
  output,
  viewChild,
} from '@angular/core';
import {
  isOnOddSide,
  KINDS,
  titleOf,
  type ColumnUse,
  type Fate,
  type ImportRow,
  type KindCode,
} from '@iunctus/core';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { KindChoiceComponent } from '../../workspace/components/kind-choice.component';
import { accountWords } from '../../shared/words/account-words';
import {
  COLUMN_USE_WORDS,
  importChangeWords,
  importProblemWords,
  kindReasonWords,
  questionWords,
  type ChangeContext,
} from '../../shared/words/import-words';
import { refusalWords } from '../../shared/words/refusal-words';
import { landingWords } from '../../shared/words/statement-words';
import { ImportDraft } from '../model/import-draft';
import { candidatesOf, isDoubtful, type ShownLine } from '../model/row-filter';

/** Cells that can be mended although the list has no column for them. */
const ALWAYS: readonly ColumnUse[] = ['number', 'name'];

const FATES: readonly { readonly fate: Fate; readonly words: string }[] = [
  { fate: 'leave', words: $localize`Leave it as it is` },
  { fate: 'retire', words: $localize`Retire it: nothing new is posted, its history stays` },
  { fate: 'delete', words: $localize`Delete it` },
];

/** Where the keyboard goes first: a question, a cell that is wrong, whatever else there is. */
const FIRST_OF_ALL = ['[data-first]', '.wrong input', 'input', 'button'] as const;

/** What can be done about one line: put it right, answer it, choose its kind, leave it out. */
@Component({
  selector: 'iu-row-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [KindChoiceComponent],
  templateUrl: './row-panel.component.html',
  styleUrl: './row-panel.component.css',
})
export class RowPanelComponent {
  protected readonly draft = inject(ImportDraft);
  private readonly proposed = inject(ProposedChart);
  private readonly panel = viewChild.required<ElementRef<HTMLElement>>('panel');
  readonly line = input.required<ShownLine | null>();
  readonly context = input.required<ChangeContext>();
  /** Something was decided; the keyboard goes back to the list. */
  readonly decided = output();

  protected readonly kinds = KINDS;
  protected readonly fates = FATES;
  protected readonly useWords = COLUMN_USE_WORDS;
  protected readonly row = computed(() => {
    const line = this.line();
    return line?.type === 'row' ? line.row : null;
  });
  protected readonly missing = computed(() => {
    const line = this.line();
    return line?.type === 'missing' ? line.missing : null;
  });

  /** The cells of the line as they stand in the list. */
  protected readonly cells = computed(() => {
    const row = this.row();
    if (row === null || row.made) return [];
    const { uses, headings } = this.draft.columns();
    const { cells: source } = row.entry;
    const listed = uses.flatMap((use, column) =>
      use === null ? [] : [{ use, heading: headings[column] ?? '', text: source[column] ?? '' }],
    );
    const more = ALWAYS.filter((use) => !uses.includes(use) && !uses.includes('numberAndName'));
    return [...listed, ...more.map((use) => ({ use, heading: '', text: '' }))].map((cell) => ({
      ...cell,
      text: (this.draft.mendedCell(row.entry.line, cell.use) ?? cell.text).trim(),
      wrong: row.problems.some((problem) => 'use' in problem && problem.use === cell.use),
    }));
  });

  /** Goes to the first thing that can be done. */
  focus(): void {
    const panel = this.panel().nativeElement;
    for (const wanted of FIRST_OF_ALL) {
      const found = panel.querySelector<HTMLElement>(wanted);
      if (found !== null) return found.focus();
    }
  }

  protected doubtful(row: ImportRow): boolean {
    return isDoubtful(row);
  }

  protected onWrongSide(row: ImportRow): boolean {
    return isOnOddSide(row);
  }

  protected candidates(row: ImportRow): readonly KindCode[] {
    return candidatesOf(row);
  }

  /** Why the first of them is thought to be right. */
  protected reason({ kind }: ImportRow): string {
    return kind === null ? '' : $localize`The first ${kindReasonWords(kind.reason)}.`;
  }

  protected landing(kind: KindCode): string {
    return landingWords(kind);
  }

  protected sentence(kind: KindCode): string {
    return KINDS[kind].sentence;
  }

  protected problems(row: ImportRow): readonly string[] {
    return row.problems.map((problem) => importProblemWords(problem, this.context()));
  }

  protected changes(row: ImportRow): readonly string[] {
    return row.changes.map((change) => importChangeWords(change, this.context()));
  }

  protected question(row: ImportRow): string {
    return row.question === null ? '' : questionWords(row, row.question, this.proposed.chart());
  }

  protected asked(row: ImportRow): string {
    return accountWords(row.question?.accountId, this.proposed.chart());
  }

  protected canStandAlone(row: ImportRow): boolean {
    return row.problems.some(({ rule }) =>
      ['parentUnknown', 'parentCircle', 'elementDiffers'].includes(rule),
    );
  }

  protected refusal(): string {
    const refusal = this.missing()?.refusal ?? null;
    return refusal === null ? '' : refusalWords(refusal, this.proposed.chart());
  }

  protected missingTitle(): string {
    const account = this.missing()?.account;
    return account === undefined ? '' : titleOf(account);
  }

  protected answer(row: ImportRow, same: boolean): void {
    this.draft.answer(row.entry.line, same ? (row.question?.accountId ?? null) : null);
    this.decided.emit();
  }

  protected mendCell(row: ImportRow, use: ColumnUse, event: Event): void {
    const { value } = event.target as HTMLInputElement;
    // White space before a name says how deep it stands, and is not shown for mending.
    const column = this.draft.columns().uses.indexOf(use);
    const before = /^\s*/.exec(row.entry.cells[column] ?? '')?.[0] ?? '';
    this.draft.mendCell(row.entry.line, use, `${before}${value.trim()}`);
  }

  protected chooseKind(row: ImportRow, kind: KindCode): void {
    this.draft.chooseKind(row, kind);
    this.decided.emit();
  }

  protected leaveOut(row: ImportRow, leftOut: boolean): void {
    this.draft.mend(row.entry.line, { leftOut });
    this.decided.emit();
  }

  /** The user says that the row does not repeat another one. */
  protected keepApart(row: ImportRow): void {
    this.draft.mend(row.entry.line, { apart: true });
    this.decided.emit();
  }

  protected standAlone(row: ImportRow): void {
    this.draft.mend(row.entry.line, { alone: true });
    this.decided.emit();
  }

  protected decideFate(fate: Fate): void {
    const id = this.missing()?.account.id;
    if (id !== undefined) this.draft.decideFate(id, fate);
  }
}
