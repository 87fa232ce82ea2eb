import { openBench, type AtTheBench } from './support/bench';
import type { Bookkeeper } from './support/bookkeeper';

describe('taking a chart out, by keyboard alone', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openBench('Kestrel Lane Cider Works');
    maren = bench.maren;
  });
  afterAll(() => bench.leave());

  /** What the link that has the keyboard downloads: the type and the size of the file. */
  const download = () =>
    maren.page.evaluate(async () => {
      const response = await fetch((document.activeElement as HTMLAnchorElement).href);
      const { size } = await response.blob();
      return { type: response.headers.get('content-type'), size };
    });

  it('is a place of its own, which says what is in a file', async () => {
    await maren.press('Control+k');
    await maren.type('exchange');
    await maren.sees('Go to the exchange');
    await maren.press('Enter');
    await maren.sees('Files hold the chart as adopted, revision 3.');
    await maren.sees('Your 3 pending changes are not in them.');
    await maren.sees('With amounts, 1 July – 31 October 2026');
  });

  /** Tabs to the download of that name and takes the file. */
  const takes = async (name: string) => {
    await maren.page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await maren.tabTo(`Download ${name}`);
    return download();
  };

  it('hands out a workbook, a printed chart, a table, and everything', async () => {
    await maren.page.waitForSelector('a.button.primary:focus');
    expect((await download()).type).toContain('spreadsheetml');
    expect((await takes('Printed chart')).type).toContain('application/pdf');
    const table = await takes('Table');
    expect(table.type).toContain('text/csv');
    const whole = await takes('Everything');
    expect(whole.type).toContain('application/json');
    expect(whole.size).toBeGreaterThan(table.size);
  });

  it('takes months as they are typed', async () => {
    await maren.page.focus('iu-period-choice button');
    await maren.press('Enter');
    await maren.tabTo('From');
    await maren.press('Control+a');
    await maren.type('aug 26');
    await maren.tabTo('to');
    await maren.press('Control+a');
    await maren.type('no month');
    await maren.tabTo('Show');
    await maren.sees('Type a month, such as');
    await maren.press('Enter');
    await maren.sees('Choose a first month that is not after the last.');
    await maren.press('Shift+Tab', 'Control+a');
    await maren.type('9/2026');
    await maren.press('Enter');
    await maren.sees('With amounts, 1 August – 30 September 2026');
  });

  it('hands auditors their files, with the balances of the period', async () => {
    expect((await takes('Standard audit file')).type).toContain('application/xml');
    const balances = await takes('Audit data: trial balance');
    expect(balances.type).toContain('text/plain');
    const href = await maren.page.evaluate(
      () => (document.activeElement as HTMLAnchorElement).href,
    );
    expect(href).toMatch(/first=2026-08&last=2026-09$/);
  });

  it('hands the return over by line, and to the tax software, which takes it', async () => {
    await maren.sees('Tax return: Form 1065');
    expect((await takes('Return lines')).type).toContain('spreadsheetml');
    await maren.tabTo('Send');
    await maren.press('Enter');
    await maren.sees('The tax software took Form 1065');
  });

  it('leaves the amounts out when they are not wanted', async () => {
    await maren.page.focus('.amounts input');
    await maren.press('Space');
    await maren.tabTo('Download Table');
    const href = await maren.page.evaluate(
      () => (document.activeElement as HTMLAnchorElement).href,
    );
    expect(href).toMatch(/exports\/csv$/);
  });

  it('complains about nothing in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});
