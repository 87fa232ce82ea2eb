import {
  applyAll,
  chartOf,
  findingsBetween,
  joinStaggered,
  linesByAccount,
  listFindings,
  lookAt,
  planImport,
  planOpening,
  planOpeningAccount,
  recognizeColumns,
  termsFor,
  type AccountId,
  type Chart,
  type ImportPlan,
  type Operation,
  type Spelling,
} from '@iunctus/core';
import { placedJudge } from '@iunctus/core/learned';
import { readFile, type Sheet } from '@iunctus/exchange/reading';
import type { FileSeen, ImportAnswerMessage, ImportQuestionMessage } from './import-messages';

/** Rows of a sheet that are shown above its columns. */
const HEAD = 40;

/** What was learned of kinds. */
const JUDGE = placedJudge();

type Asked<T extends ImportQuestionMessage['type']> = Extract<ImportQuestionMessage, { type: T }>;

const chartAfter = (before: Chart, operations: readonly Operation[]): Chart => {
  const outcome = applyAll(before, operations);
  return outcome.ok ? outcome.chart : before;
};

/** The inside of the worker: keeps the rows of the file, and the ids of new accounts from one plan to the next. */
export class ImportComputer {
  private sheets: readonly Sheet[] = [];
  private readonly ids: AccountId[] = [];
  /** The id of the account that takes what the balances leave open. */
  private takerId: AccountId | undefined;
  /** What was lined up last. */
  private lined: { readonly before: Chart; readonly plan: ImportPlan } | null = null;
  /** The chart as the list would have it; worked out once it is needed. */
  private after: Chart | null = null;

  constructor(
    private readonly answer: (message: ImportAnswerMessage) => void,
    private readonly freshId: () => AccountId,
    private readonly spellingIn: (country: string) => Promise<Spelling | null>,
  ) {}

  async take(message: ImportQuestionMessage): Promise<void> {
    if (message.type === 'read') await this.read(message);
    else if (message.type === 'plan') this.plan(message);
    else if (message.type === 'findings') await this.find(message);
    else this.open(message);
  }

  private async read({ bytes }: Asked<'read'>): Promise<void> {
    const reading = await readFile(bytes);
    if (!reading.ok) return this.answer({ type: 'unreadable', problem: reading.problem });
    const { sheets: asRead, ...file } = reading.file;
    const sheets = asRead.map(({ name, rows }) => ({ name, rows: joinStaggered(rows) }));
    this.sheets = sheets;
    this.ids.length = 0;
    this.takerId = undefined;
    const seen: FileSeen['sheets'] = sheets.map(({ name, rows }) => ({
      name,
      count: rows.length,
      head: rows.slice(0, HEAD),
      columns: recognizeColumns(rows),
    }));
    this.answer({ type: 'read', file: { ...file, sheets: seen } });
  }

  private plan({ serial, sheet, chart, former, currency, today, decisions }: Asked<'plan'>): void {
    const before = chartOf(chart);
    const plan = planImport(before, {
      rows: this.sheets[sheet]?.rows ?? [],
      ...decisions,
      former,
      currency,
      today,
      newId: (index) => (this.ids[index] ??= this.freshId()),
      tell: (share) => this.answer({ type: 'told', serial, share }),
    });
    this.lined = { before, plan };
    this.after = null;
    this.answer({ type: 'planned', serial, plan });
  }

  private async find({ serial, terms: of }: Asked<'findings'>): Promise<void> {
    const { country } = of;
    const spelling = await this.spellingIn(country);
    // What is lined up now, not what was when the dictionary was asked for.
    if (this.lined === null) return;
    const { before, plan } = this.lined;
    const chart = (this.after ??= chartAfter(before, plan.operations));
    const by = { country, judge: JUDGE, spelling };
    const found = findingsBetween(lookAt(before, by), lookAt(chart, by));
    const telling = { chart, terms: termsFor(of) };
    this.answer({
      type: 'found',
      serial,
      findings: listFindings(found, linesByAccount(plan), telling),
    });
  }

  private open({ serial, books, withTaker }: Asked<'opening'>): void {
    if (this.lined === null) return;
    const { before, plan } = this.lined;
    const chart = (this.after ??= chartAfter(before, plan.operations));
    const taker = withTaker ? planOpeningAccount(chart, (this.takerId ??= this.freshId())) : [];
    const taken = applyAll(chart, taker);
    const opening = planOpening(taken.ok ? taken.chart : chart, books, plan.balances);
    this.answer({ type: 'opened', serial, plan: opening, taker: taken.ok ? taker : [] });
  }
}
