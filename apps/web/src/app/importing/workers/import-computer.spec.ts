import { emptyChart, recordOf, type ImportPlan } from '@iunctus/core';
import { ImportComputer } from './import-computer';
import type { ImportAnswerMessage } from './import-messages';

const LIST = 'Number,Name,Type\n1000,Bank,Bank\n4000,Sales,Income\n6000,Rent,Expense';

const opened = async (text: string) => {
  const answers: ImportAnswerMessage[] = [];
  let count = 0;
  const computer = new ImportComputer(
    (answer) => answers.push(answer),
    () => `id-${(count += 1)}`,
    () => Promise.resolve(null),
  );
  await computer.take({ type: 'read', bytes: new TextEncoder().encode(text) });
  const planned = async (serial: number): Promise<ImportPlan> => {
    const read = answers.find((answer) => answer.type === 'read');
    if (read?.type !== 'read') throw new Error('read');
    await computer.take({
      type: 'plan',
      serial,
      sheet: 0,
      chart: recordOf(emptyChart()),
      former: [],
      currency: 'USD',
      today: '2026-11-25',
      decisions: {
        columns: read.file.sheets[0]?.columns ?? { headingLine: null, headings: [], uses: [] },
        treeSource: null,
        sides: null,
        mended: new Map(),
        types: new Map(),
        taught: new Map(),
        answers: new Map(),
        fates: new Map(),
        clashes: null,
      },
    });
    const last = answers.at(-1);
    if (last?.type !== 'planned') throw new Error('planned');
    return last.plan;
  };
  return { answers, planned, computer };
};

describe('the worker that brings lists in', () => {
  it('says what would be found once the list is in, by its lines', async () => {
    const { answers, planned, computer } = await opened(
      'Number,Name,Type\n1000,Bank,Bank\n6000,Telephone,Expense\n6100,Phone,Expense',
    );
    await planned(1);
    const terms = { country: 'US', legalForm: 'soleOwner' } as const;
    await computer.take({ type: 'findings', serial: 1, terms });
    const last = answers.at(-1);
    if (last?.type !== 'found') throw new Error('nothing was looked through');
    expect(last.findings.find(({ rule }) => rule === 'duplicate')).toMatchObject({
      severity: 'doubtful',
      lines: [4, 3],
      says: '“6100 Phone” says the same as “6000 Telephone”.',
    });
  });

  it('answers with the first rows and what their columns seem to be, and keeps the rest', async () => {
    const long = `Number,Name\n${Array.from({ length: 200 }, (_, at) => `${1000 + at},Account ${at}`).join('\n')}`;
    const { answers } = await opened(long);
    expect(answers).toMatchObject([
      { type: 'read', file: { format: 'csv', separator: ',', sheets: [{ count: 201 }] } },
    ]);
    const [read] = answers;
    expect(read?.type === 'read' && read.file.sheets[0]?.head.length).toBe(40);
  });

  it('says why a file cannot be read', async () => {
    expect((await opened('  ')).answers).toEqual([
      { type: 'unreadable', problem: { code: 'empty' } },
    ]);
  });

  it('tells how far it is while it lines a list up', async () => {
    const { answers, planned } = await opened(LIST);
    await planned(7);
    const shares = answers.flatMap((answer) => (answer.type === 'told' ? [answer.share] : []));
    expect(shares.length).toBeGreaterThan(2);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(Math.max(...shares)).toBeLessThanOrEqual(1);
  });

  it('gives the same new account the same id from one plan to the next', async () => {
    const { planned } = await opened(LIST);
    const ids = (plan: ImportPlan) => plan.rows.map(({ accountId }) => accountId);
    expect(ids(await planned(2))).toEqual(ids(await planned(1)));
  });
});
