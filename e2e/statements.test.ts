import parsePdf from 'pdf-parse';
import { openBench, type AtTheBench } from './support/bench';
import type { Bookkeeper } from './support/bookkeeper';
import { fileBehind, StatementLines } from './support/statement-lines';

const CIDER = 'Kestrel Lane Cider Works';

describe('statements, by keyboard', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openBench(CIDER);
    maren = bench.maren;
    lines = new StatementLines(maren);
  });
  afterAll(() => bench.leave());

  let lines: StatementLines;
  const shows = (words: string, ...cells: readonly string[]) => lines.shows(words, ...cells);
  const goToLine = (words: string) => lines.goTo(words);

  it('begin with the profit and loss of the period, which agrees with the trial balance', async () => {
    await maren.command('statement profit and loss');
    await shows('Net revenue', '120,417.89');
    await maren.sees('Agrees with the trial balance');
  });

  it('stand beside the year before, and beside what one asks for in words', async () => {
    await maren.tabTo('Columns');
    await maren.type('a year');
    await maren.press('Enter');
    await shows('Net revenue', '120,417.89', '118,682.82', '1,735.07', '1.5');
    await maren.does('Add a column');
    await maren.page.waitForSelector('iu-column-strip input:focus');
    await maren.press('Control+a');
    await maren.type('jul to marhc');
    await maren.sees('“marhc” is no period');
    await maren.press('Control+a');
    await maren.type('q1');
    await maren.sees('Jul – Sep 2026');
    await maren.press('Enter');
    await shows('Net revenue', '120,417.89', '118,682.82', '1,735.07', '1.5', '93,253.04');
    expect(maren.page.url()).toContain('columns=');
  });

  it('open and close single lines', async () => {
    await goToLine('People');
    await maren.press('ArrowLeft');
    await shows('People', '28,996.75');
    await maren.press('ArrowRight');
    await shows('Total People', '28,996.75');
  });

  it('are handles: a line moved is its account moved, proposed, adopted, seen on the chart', async () => {
    await goToLine('Wholesale sales');
    await maren.press('Alt+ArrowUp');
    await maren.page.waitForFunction(
      () => document.querySelectorAll('[role=grid] [role=row]')[1]?.textContent?.includes('Wholesale') === true,
    ); // prettier-ignore
    await maren.press('Control+z');
    await maren.page.waitForFunction(
      () => document.querySelectorAll('[role=grid] [role=row]')[1]?.textContent?.includes('Taproom') === true,
    ); // prettier-ignore
    await maren.press('Control+Shift+z');
    await maren.page.waitForFunction(
      () => document.querySelectorAll('[role=grid] [role=row]')[1]?.textContent?.includes('Wholesale') === true,
    ); // prettier-ignore
    await goToLine('Taproom sales');
    await maren.press('Alt+ArrowDown', 'Alt+ArrowDown', 'Alt+ArrowDown');
    await maren.sees('stand in the order of their kinds');
    await goToLine('Marketing');
    await maren.press('m');
    await maren.sees('Marketing goes to');
    await maren.page.waitForFunction(() => document.activeElement?.tagName === 'INPUT');
    await maren.type('other expense');
    await maren.press('Enter');
    await shows('Marketing −2,523.00', '(2,523.00)');
    await maren.command('go to the chart');
    await maren.hasChart();
    await maren.goTo('Marketing');
    await maren.press('Control+Enter');
    await maren.sees('Revision 4');
    await maren.command('statement profit and loss');
    await goToLine('Marketing');
    await shows('Marketing', '(2,523.00)');
  });

  it('open the lines that an amount comes from', async () => {
    await goToLine('Wholesale sales');
    await maren.press('Enter');
    await maren.sees('Wholesale sales');
    await maren.page.waitForFunction(() => location.pathname.endsWith('/ledger/register'));
    await maren.page.goBack();
    await shows('Net revenue', '120,417.89');
  });

  it('turn the result into cash, and end with what the banks hold', async () => {
    await maren.command('statement cash flow');
    await shows('Cash from operating activities');
    const end = (await lines.all()).length;
    expect(end).toBeGreaterThan(5);
    await maren.press('End');
    await maren.sees('Cash at the end');
    await maren.sees('Agrees with the trial balance');
  });

  it('are printed as they stand', async () => {
    await maren.command('statement profit and loss');
    await shows('Net revenue', '120,417.89');
    const { text } = await parsePdf(await fileBehind(maren, 'a[href*="statement-pdf"]'));
    for (const word of ['Kestrel Lane Cider Works', 'Profit and loss', 'July to October 2026', '120,417.89', 'Revision 4', '1 of 2'])
      expect(text).toContain(word);
  }); // prettier-ignore

  it('leave together in a packet, with what their preparer notes', async () => {
    await maren.command('print a packet');
    await maren.sees('A packet of statements');
    await maren.tabTo('Notes of the preparer');
    await maren.type('Stock was counted on October 31.');
    const { text } = await parsePdf(await fileBehind(maren, 'a[href*="packet-pdf"]'));
    for (const word of ['Total equity', 'Cash at the end', 'Net profit', 'Total assets', 'Stock was counted on October 31.'])
      expect(text).toContain(word);
  }); // prettier-ignore
});
