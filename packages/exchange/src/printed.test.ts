import { readSheet } from 'read-excel-file/node';
import parsePdf from 'pdf-parse';
import { aChart } from '@iunctus/core/testing';
import { chartTable } from './chart-table';
import { rowsByLine } from './line-sums';
import { writePrintedChart, type PrintedChart } from './printed-chart';
import { writeReturnWorkbook } from './return-workbook';

const CHART = aChart('1000 Cash:\n  1010 Kasse Öl Ω Łąka Вода\n5000 Cost of sales:\n  5010 Fruit');

const printed = async (more: Partial<PrintedChart> = {}, chart = CHART) => {
  const rows = chartTable(chart, () => 123_450).map((row) => ({
    ...row,
    guidance: 'What belongs here.',
  }));
  const bytes = await writePrintedChart({
    client: 'Cider works',
    author: 'Quill Row',
    paper: 'a4',
    currency: 'USD',
    subtitle: 'Revision 3',
    rows,
    by: 'number',
    guidance: false,
    amounts: null,
    ...more,
  });
  return parsePdf(Buffer.from(bytes));
};

describe('a printed chart', () => {
  it('names client and revision, and every account in order, in Latin, Greek and Cyrillic', async () => {
    const { text } = await printed();
    expect(text).toContain('Cider works');
    expect(text).toContain('Revision 3');
    const places = ['1000', '1010', 'Kasse Öl Ω Łąka Вода', '5000', '5010', 'Fruit'].map((word) =>
      text.indexOf(word),
    );
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(places[0]).toBeGreaterThan(0);
  });

  it('has balances and guidance only when they are wanted', async () => {
    const bare = await printed();
    expect(bare.text).not.toContain('1,234.50');
    expect(bare.text).not.toContain('What belongs here.');
    const whole = await printed({ guidance: true, amounts: 'USD, October' });
    expect(whole.text).toContain('1,234.50');
    expect(whole.text).toContain('What belongs here.');
    expect(whole.text).toContain('USD, October');
  });

  it('by statement puts accounts under the lines to which they lead', async () => {
    const { text } = await printed({ by: 'statement' });
    expect(text.indexOf('Cash and cash equivalents')).toBeLessThan(text.indexOf('1010'));
    expect(text.indexOf('1010')).toBeLessThan(text.indexOf('5010'));
  });

  it('by statement says what each line comes to, sub-accounts counted with their account', async () => {
    const chart = aChart('5000 Cost of sales\n  5010 Fruit\n  5020 Bottles\n6010 Rent');
    const amounts = [900, 500, 400, 100];
    const rows = chartTable(chart, () => 0).map((row, at) => ({
      ...row,
      amount: amounts[at] ?? 0,
    }));
    const byLine = rowsByLine(rows.map((row) => ({ ...row, role: 'posting' as const })));
    expect(byLine.map(({ landing, sum }) => [landing, sum])).toEqual([
      ['Cost of sales', 900],
      ['Operating expenses', 100],
    ]);
    const { text } = await printed({ by: 'statement', amounts: 'USD, October' });
    expect(text).toContain('Total Cash and cash equivalents');
  });

  it('goes on over pages, each with its number', async () => {
    const long = aChart(
      Array.from({ length: 120 }, (_, at) => `${6000 + at} Account ${at}`).join('\n'),
    );
    const { numpages, text } = await printed({}, long);
    expect(numpages).toBeGreaterThan(2);
    expect(text).toContain(`2 of ${numpages}`);
    expect(text).toContain('Account 119');
  });
});

describe('the return as a sheet', () => {
  const workbook = (toLookAt: { title: string; why: string; amount: number }[]) =>
    writeReturnWorkbook({
      client: 'Cider works',
      author: 'Quill Row',
      paper: 'letter',
      form: 'Form 1120, print of 2024',
      currency: 'USD',
      year: '2026',
      toLookAt,
      rows: [
        {
          line: '22',
          words: 'Advertising',
          copy: 1,
          amount: 25_00,
          accounts: [{ title: '6010 =SUM(A1)', amount: 25_00 }],
        },
      ],
    });

  it('has each line with its words, copy and amount, and its accounts below', async () => {
    const rows = await readSheet(Buffer.from(await workbook([])), 'Return lines');
    expect(rows).toEqual([
      ['Line', 'Words', 'Copy', 'USD'],
      ['22', 'Advertising', 1, 25],
      ['', '6010 =SUM(A1)', null, 25].map((cell) => (cell === '' ? null : cell)),
    ]);
  });

  it('begins with what must be looked at, where there is something', async () => {
    const bytes = Buffer.from(
      await workbook([{ title: '6900 Misc', why: 'No line', amount: 1_00 }]),
    );
    expect(await readSheet(bytes, 1)).toEqual([
      ['The account', 'Why', 'Amount'],
      ['6900 Misc', 'No line', 1],
    ]);
  });
});
