import { chartFrom, planImport, recognizeColumns, type AccountId } from '@iunctus/core';
import { readFile, type Sheet } from '@iunctus/exchange/reading';
import type { FileSeen, ImportAnswerMessage, ImportQuestionMessage } from './import-messages';

/** Rows of a sheet that are shown above its columns. */
const HEAD = 40;

type Asked<T extends ImportQuestionMessage['type']> = Extract<ImportQuestionMessage, { type: T }>;

/** The inside of the worker: keeps the rows of the file, and the ids of new accounts from one plan to the next. */
export class ImportComputer {
  private sheets: readonly Sheet[] = [];
  private readonly ids: AccountId[] = [];

  constructor(
    private readonly answer: (message: ImportAnswerMessage) => void,
    private readonly freshId: () => AccountId,
  ) {}

  async take(message: ImportQuestionMessage): Promise<void> {
    if (message.type === 'read') await this.read(message);
    else this.plan(message);
  }

  private async read({ bytes }: Asked<'read'>): Promise<void> {
    const reading = await readFile(bytes);
    if (!reading.ok) return this.answer({ type: 'unreadable', problem: reading.problem });
    const { sheets, ...file } = reading.file;
    this.sheets = sheets;
    this.ids.length = 0;
    const seen: FileSeen['sheets'] = sheets.map(({ name, rows }) => ({
      name,
      count: rows.length,
      head: rows.slice(0, HEAD),
      columns: recognizeColumns(rows),
    }));
    this.answer({ type: 'read', file: { ...file, sheets: seen } });
  }

  private plan({ serial, sheet, chart, former, currency, today, decisions }: Asked<'plan'>): void {
    const { accounts, ...parts } = chart;
    const plan = planImport(chartFrom(accounts, parts), {
      rows: this.sheets[sheet]?.rows ?? [],
      ...decisions,
      former,
      currency,
      today,
      newId: (index) => (this.ids[index] ??= this.freshId()),
      tell: (share) => this.answer({ type: 'told', serial, share }),
    });
    this.answer({ type: 'planned', serial, plan });
  }
}
