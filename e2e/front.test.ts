import { openPractice, type AtTheBench } from './support/bench';
import type { Bookkeeper } from './support/bookkeeper';
import { StatementLines } from './support/statement-lines';

describe('front pages', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openPractice();
    maren = bench.maren;
  });
  afterAll(() => bench.leave());

  /** The figures of a picture: what each series is called, and its amounts. */
  const figuresOf = (title: string): Promise<Record<string, string[]>> =>
    maren.page.$$eval(
      'iu-front-card',
      (cards, wanted) => {
        const card = cards.find((one) => one.querySelector('h2')?.textContent === wanted);
        const rows = [...(card?.querySelectorAll('tbody tr') ?? [])];
        return Object.fromEntries(
          rows.map((row) => [
            row.querySelector('th')?.textContent?.trim() ?? '',
            [...row.querySelectorAll('td')].map((cell) => cell.textContent?.trim() ?? ''),
          ]),
        );
      },
      title,
    );
  const drawn = (title: string): Promise<number> =>
    maren.page.$$eval(
      'iu-front-card',
      (cards, wanted) =>
        cards
          .find((one) => one.querySelector('h2')?.textContent === wanted)
          ?.querySelectorAll('path[val]').length ?? 0,
      title,
    );

  it('the practice’s goes to a client, or to an account of any, by Ctrl K and Enter', async () => {
    await maren.sees('Find a client, or an account of any');
    await maren.press('Control+K');
    await maren.type('wor cid');
    await maren.press('Enter');
    await maren.hasChart();
    await maren.sees('Cider Works');
    await maren.page.goBack();
    await maren.sees('Find a client, or an account of any');
    await maren.press('Control+K');
    await maren.type('studio rent');
    await maren.sees('Studio rent');
    await maren.press('ArrowDown', 'ArrowUp', 'Enter');
    await maren.hasChart();
    await maren.page.waitForFunction(() => location.search.includes('account='));
    await maren.page.goBack();
  });

  it('the practice’s says what each client’s books came to, and finds an account of any of them', async () => {
    await maren.sees('Net profit 20,187.05 USD');
    await maren.tabTo('Find a client, or an account of any');
    await maren.type('rént');
    await maren.sees('Studio rent');
    await maren.tabTo('6110 Rent');
    await maren.press('Enter');
    await maren.hasChart();
    const at = await maren.page.$eval(
      '[role=treegrid] .selected, [aria-selected=true]',
      (row) => row.textContent,
    );
    expect(at).toContain('Rent');
  });

  it('the client’s shows the same numbers as the statements, as pictures', async () => {
    await maren.command('front page');
    await maren.sees('Expenses by main account');
    await maren.page.waitForSelector('iu-picture path[val]');
    const expenses = await figuresOf('Expenses by main account');
    const course = await figuresOf('Revenue and profit by month');
    expect(course['Net revenue']).toHaveLength(12);
    expect(await drawn('Revenue and profit by month')).toBe(24);
    const key = await maren.page.$eval('[data-key="sum/revenue"]', (figure) => figure.textContent);
    await maren.command('statement profit and loss');
    const lines = new StatementLines(maren);
    await maren.page.waitForFunction(() => location.pathname.endsWith('/profitAndLoss'));
    await lines.shows('Net revenue', key ?? '');
    await maren.tabTo('Columns');
    await maren.type('month by month');
    await maren.press('Enter');
    await lines.shows('Net revenue', ...(course['Net revenue'] ?? []).slice(8));
    await lines.shows('Fruit and juice', ...(expenses['Fruit and juice'] ?? []).slice(8));
    expect(maren.complaints).toEqual([]);
  });

  it('a figure opens the lines that it is made of', async () => {
    await maren.command('front page');
    await maren.page.waitForSelector('iu-picture path[val]');
    await maren.tabTo('Net revenue');
    await maren.press('Enter');
    await maren.page.waitForFunction(() => location.pathname.endsWith('/ledger/register'));
    await maren.sees('Taproom');
  });
});
