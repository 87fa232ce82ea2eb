import { computed, signal } from '@angular/core';
import {
  COLUMN_LIMIT,
  columnsAsText,
  columnsFromText,
  columnsOf,
  offeredSets,
  withoutColumn,
  type Chart,
  type ColumnsAsked,
  type ColumnSpec,
  type PeriodContext,
  type SheetCode,
} from '@iunctus/core';
import type { PickOption } from '../../shared/components/pick.component';
import { COLUMN_SET_WORDS } from '../../shared/words/column-words';

const OWN = 'own';

/** Where columns are looked at: as text, of which sheet, over which chart, and how other columns are shown. */
interface ColumnsOf {
  readonly text: () => string;
  readonly sheet: () => SheetCode;
  readonly chart: () => Chart;
  readonly context: () => PeriodContext | null;
  readonly show: (text: string) => void;
}

/** The columns of a statement on the screen: ready made or one by one, and the one that is being changed. */
export class ColumnsShown {
  /** The place of the column that is being changed; `null` for none. */
  readonly changing = signal<number | null>(null);
  private readonly dimensions = computed(() => this.of.chart().settings.dimensions);
  private readonly asked = computed<ColumnsAsked>(() => columnsFromText(this.of.text()) ?? 'plain');
  /** One by one. */
  readonly specs = computed<readonly ColumnSpec[]>(() => {
    const [asked, periods] = [this.asked(), this.of.context()];
    if (periods === null) return [];
    return columnsOf(asked, { periods, sheet: this.of.sheet(), dimensions: this.dimensions() });
  });
  readonly text = computed(() => columnsAsText(this.asked()));
  /** The ready-made ones; columns of one’s own stand first while they are shown. */
  readonly sets = computed<readonly PickOption[]>(() => {
    const budgets = this.takesBudgets();
    const sets = offeredSets(this.of.chart()).filter((set) => budgets || set !== 'budget');
    const offered: PickOption[] = sets.map((value) => ({ value, words: COLUMN_SET_WORDS[value] }));
    if (budgets || this.of.sheet() === 'balanceSheet')
      for (const { id: by, name } of this.dimensions())
        offered.push({ value: columnsAsText({ by }), words: $localize`By ${name}:dimension:` });
    const own = { value: OWN, words: $localize`Own columns` };
    return this.chosenSet() === OWN ? [own, ...offered] : offered;
  });
  readonly chosenSet = computed(() => {
    const asked = this.asked();
    return typeof asked === 'string' || 'by' in asked ? columnsAsText(asked) : OWN;
  });
  /** What is expected is told of results alone. */
  readonly takesBudgets = computed(() => this.of.sheet() === 'profitAndLoss');
  /** What is being said of the column that is being changed. */
  readonly strip = computed(() => {
    const [at, context] = [this.changing(), this.of.context()];
    const spec = at === null ? undefined : this.specs()[at];
    return at === null || spec === undefined || context === null ? null : { at, spec, context };
  });

  constructor(private readonly of: ColumnsOf) {}

  private put(specs: readonly ColumnSpec[]): void {
    this.of.show(columnsAsText(specs));
  }

  showSet(set: string): void {
    if (set === OWN) return;
    this.changing.set(null);
    this.of.show(set);
  }

  change(at: number): void {
    this.changing.update((before) => (before === at ? null : at));
  }

  /** Adds a column behind the others, to be changed. Gives whether it fits. */
  add(): boolean {
    const specs = this.specs();
    if (specs.length >= COLUMN_LIMIT) return false;
    this.changing.set(specs.length);
    this.put([...specs, { is: 'amounts', words: 'a year before' }]);
    return true;
  }

  replace(at: number, spec: ColumnSpec): void {
    this.put(this.specs().map((one, index) => (index === at ? spec : one)));
  }

  remove(at: number): void {
    const left = withoutColumn(this.specs(), at);
    this.changing.set(null);
    if (left.length === 0) this.of.show('plain');
    else this.put(left);
  }
}
