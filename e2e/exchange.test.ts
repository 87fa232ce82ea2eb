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

  it('hands out a workbook, a table, and everything', async () => {
    await maren.page.waitForSelector('a.button.primary:focus');
    const workbook = await download();
    expect(workbook.type).toContain('spreadsheetml');
    await maren.press('Tab');
    const table = await download();
    expect(table.type).toContain('text/csv');
    await maren.press('Tab');
    const whole = await download();
    expect(whole.type).toContain('application/json');
    expect(whole.size).toBeGreaterThan(table.size);
  });

  it('leaves the amounts out when they are not wanted', async () => {
    await maren.press('Shift+Tab', 'Shift+Tab', 'Shift+Tab', 'Space');
    await maren.press('Tab', 'Tab');
    const href = await maren.page.evaluate(
      () => (document.activeElement as HTMLAnchorElement).href,
    );
    expect(href).toMatch(/exports\/csv$/);
  });

  it('complains about nothing in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});
