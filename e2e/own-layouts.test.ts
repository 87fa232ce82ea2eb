import parsePdf from 'pdf-parse';
import { openBench, type AtTheBench } from './support/bench';
import { TOBIAS, type Bookkeeper } from './support/bookkeeper';
import { fileBehind, StatementLines } from './support/statement-lines';

const CIDER = 'Kestrel Lane Cider Works';

describe('a budget and a layout of the client’s own, by keyboard', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  let lines: StatementLines;
  beforeAll(async () => {
    bench = await openBench(CIDER);
    maren = bench.maren;
    lines = new StatementLines(maren);
  });
  afterAll(() => bench.leave());

  /** The cells of an account's row in the grid of budgets: last year, the year, its months. */
  const budgetOf = (title: string): Promise<string[]> =>
    maren.page.$$eval(
      'table[role=grid] tr',
      (rows, wanted) =>
        rows
          .filter((row) => row.querySelector('th')?.textContent?.trim() === wanted)
          .flatMap((row) => [...row.querySelectorAll('td')].map((cell) => cell.innerText.trim())),
      title,
    );
  const paste = (text: string): Promise<void> =>
    maren.page.$eval(
      'table[role=grid]',
      (grid, pasted) => {
        const data = new DataTransfer();
        data.setData('text/plain', pasted);
        grid.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }));
      },
      text,
    );

  it('a budget begins with last year’s amounts, and is typed, spread and pasted month by month', async () => {
    await maren.command('budgets');
    await maren.page.waitForSelector('table[role=grid]:focus');
    await maren.sees('148,143.97');
    await maren.tabTo('Last year’s amounts and');
    await maren.press('Control+a');
    await maren.type('10');
    await maren.does('Begin with them');
    await maren.sees('162,958.37');
    await maren.page.focus('table[role=grid]');
    await maren.type('12000');
    await maren.press('Enter', 'ArrowUp', 'e');
    expect((await budgetOf('4010 Taproom sales')).slice(1, 4)).toEqual([
      '12,000',
      '1,000',
      '1,000',
    ]);
    await maren.press('ArrowRight');
    await maren.type('1,500.50');
    await maren.press('Enter', 'ArrowUp', 'Alt+ArrowRight');
    expect((await budgetOf('4010 Taproom sales')).slice(1, 4)).toEqual([
      '18,006',
      '1,500.50',
      '1,500.50',
    ]);
    await paste('2,000\t\t(30)\n7\t8\t9');
    await maren.sees('2,000');
    expect((await budgetOf('4010 Taproom sales')).slice(2, 5)).toEqual([
      '2,000',
      '1,500.50',
      '(30)',
    ]);
    await paste('12\nrent');
    await maren.sees('Row 2, cell 1 of what was pasted is no amount: “rent”. Nothing was changed.');
    await maren.press('Control+z');
    expect((await budgetOf('4010 Taproom sales')).slice(2, 4)).toEqual(['1,500.50', '1,500.50']);
  });

  it('a layout begins as the statement against its budget, and is grouped, summed, set in ratio', async () => {
    await maren.command('go to the chart');
    await maren.hasChart();
    await maren.press('Control+Enter');
    await maren.sees('Revision 4');
    await maren.command('statement profit and loss');
    await lines.shows('Net revenue', '120,417.89');
    await maren.tabTo('Columns');
    await maren.type('against the budget');
    await maren.press('Enter');
    await maren.does('Own layout');
    await maren.sees('Laid out by hand');
    await lines.shows('Premises', '12,104.08');
    await lines.goTo('Premises');
    await maren.press('g');
    await maren.page.waitForSelector('iu-row-strip input:focus');
    await maren.press('Control+a');
    await maren.type('The house');
    await maren.press('Enter');
    await lines.shows('Total The house', '12,104.08');
    await lines.goTo('Gross profit');
    await maren.press('r');
    await maren.page.waitForSelector('iu-row-strip input:focus');
    await maren.type('Margin');
    await maren.press('Enter');
    await lines.shows('Margin', '64.1%');
    await lines.goTo('Margin');
    await maren.press('p');
    await maren.sees('new page');
    await maren.sees('Agrees with the trial balance');
  });

  it('names what is not on it, which keeps it from being complete until it is put back', async () => {
    await lines.goTo('Orchard tours');
    await maren.press('Delete');
    await lines.shows('Other revenue', '6,615.00');
    await lines.goTo('Other revenue');
    await maren.press('Delete');
    await maren.sees('4030 Orchard tours is not on it');
    await maren.sees('Does not agree with the trial balance');
    await lines.goTo('Wholesale sales');
    await maren.does('Put it here');
    await maren.sees('Agrees with the trial balance');
    await maren.does('Call it complete');
    await maren.sees('Complete ✓');
  });

  it('is printed with its budget, page by page, and read back', async () => {
    await maren.tabTo('Name of the layout');
    await maren.press('Control+a');
    await maren.type('For the bank');
    await maren.press('Enter');
    await maren.page.waitForFunction(() => document.querySelector('a.own')?.textContent?.trim() === 'For the bank');
    const { text, numpages } = await parsePdf(await fileBehind(maren, 'a[href*="statement-pdf"]'));
    expect(numpages).toBe(2);
    expect(text.split(CIDER).length - 1).toBe(2);
    for (const words of ['For the bank', 'July to October 2026', 'Budget', 'Net revenue', '120,417.89', 'Margin', '64.1%', 'Total The house', '12,104.08', 'Revision 4', '2 of 2'])
      expect(text).toContain(words);
    expect(text).not.toContain('Draft');
  }); // prettier-ignore

  it('is not overwritten unseen by a colleague', async () => {
    const tobias = await bench.another(TOBIAS);
    await tobias.sees('Last figures');
    await tobias.page.goto(maren.page.url());
    const his = new StatementLines(tobias);
    await his.shows('Net revenue');
    await lines.goTo('Vehicles');
    await maren.press('f');
    await lines.shows('Vehicles', '(2,699.21)');
    await his.goTo('People');
    await tobias.press('f');
    await tobias.sees('Somebody changed this meanwhile');
    await tobias.does('Show what it is now');
    await his.shows('Vehicles', '(2,699.21)');
    await his.shows('People', '28,996.75');
    expect(tobias.complaints.filter((one) => !one.includes('409'))).toEqual([]);
    await tobias.close();
  });
});
