import { openBench, type AtTheBench } from './support/bench';
import type { Bookkeeper } from './support/bookkeeper';

describe('setting up an account, by keyboard alone', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openBench('Kestrel Lane Cider Works');
    maren = bench.maren;
  });
  afterAll(() => bench.leave());

  const openSheet = async (number: string): Promise<void> => {
    await maren.goTo(number);
    await maren.press('Space');
    await maren.sees('Often here by mistake');
  };

  it('offers bank details where money is kept at a bank, and says what the kind means', async () => {
    await openSheet('1010');
    await maren.sees('Form 1065 line L 1, Cash');
    await maren.tabTo('At the bank');
    await maren.press('Enter');
    await maren.tabTo('Institution');
    await maren.type('Quay Street Bank');
    await maren.press('Tab', 'Tab', 'Tab');
    await maren.type('12b');
    await maren.press('Tab');
    await maren.sees('Bank details: the next number has digits only, at most 12.');
  });

  it('keeps what was right, and takes the number once it is one', async () => {
    await maren.press('Shift+Tab', 'Control+a');
    await maren.type('118');
    await maren.press('Tab');
    await maren.seesNoMore('digits only');
    await maren.press('Escape');
    await maren.hasChart();
    await maren.cursorShows({ number: '1010', was: 'bank details set' });
  });

  it('spreads a yearly budget over the months of the fiscal year', async () => {
    await openSheet('6110');
    await maren.tabTo('Statements and budget');
    await maren.press('Enter');
    await maren.tabTo('For every year');
    await maren.type('26,000.05');
    await maren.press('Tab');
    await maren.tabTo('By month');
    await maren.press('Enter');
    await maren.page.waitForSelector('.months input');
    const months = await maren.page.$$eval('.months label', (labels) =>
      labels.map((label) => `${label.textContent?.trim()} ${label.querySelector('input')?.value}`),
    );
    expect(months[0]).toBe('July 2,166.68');
    expect(months[11]).toBe('June 2,166.67');
    await maren.press('Escape');
    await maren.hasChart();
  });

  it('defines a dimension with many values at once, and asks it of an account', async () => {
    await openSheet('6340');
    await maren.tabTo('Dimensions');
    await maren.press('Enter');
    await maren.tabTo('Dimensions and their values');
    await maren.press('Enter');
    await maren.sees('A dimension tells postings apart');
    await maren.tabTo('Project');
    await maren.press('Enter');
    await maren.page.waitForSelector('textarea.add-value:focus');
    await maren.type('Press house');
    await maren.press('Shift+Enter');
    await maren.type('New orchard');
    await maren.press('Enter');
    await maren.page.waitForFunction(() =>
      [...document.querySelectorAll('input')].some(({ value }) => value === 'New orchard'),
    );
    await maren.press('Escape');
    await maren.hasChart();
    await openSheet('6340');
    await maren.tabTo('Dimensions');
    await maren.press('Enter');
    await maren.tabTo('Project');
    await maren.type('New');
    await maren.press('Enter', 'Escape');
    await maren.hasChart();
    await maren.cursorShows({ number: '6340', was: 'dimensions set' });
  });

  it('refuses to lose a value that postings carry', async () => {
    await maren.press('Control+k');
    await maren.type('dimensions');
    await maren.sees('Dimensions: market');
    await maren.press('Enter');
    await maren.sees('A dimension tells postings apart');
    await maren.tabTo('Remove Town');
    await maren.press('Enter');
    await maren.sees('Postings carry “Town”, so it stays. It can be renamed.');
    await maren.press('Escape');
    await maren.hasChart();
  });

  it('says what another kind moves, in every fiscal year', async () => {
    await openSheet('6110');
    await maren.tabTo('Kind');
    await maren.press('Control+a');
    await maren.type('cost of s');
    await maren.press('Enter');
    await maren.sees('in every period:');
    await maren.sees('1 Jul 2025 – 30 Jun 2026');
    await maren.press('Escape');
    await maren.hasChart();
    await maren.press('Control+z');
    await maren.rowShows('6110', { kind: 'Operating' });
  });

  it('sets several accounts as one of them is set', async () => {
    await maren.goTo('6110');
    await maren.press('Space');
    await maren.tabTo('Posting to it');
    await maren.press('Enter');
    await maren.tabTo('Sales tax');
    await maren.type('Exempt');
    await maren.press('Enter', 'Escape');
    await maren.hasChart();
    await maren.goTo('6120');
    await maren.press('x', 'x', 'Space');
    await maren.sees('2 accounts');
    await maren.tabTo('Set them all as');
    await maren.type('6110');
    await maren.press('Enter');
    await maren.sees('6130 Repairs and cleaning: sales tax exempt');
    await maren.page.waitForSelector('iu-many-sheet .button.primary:not(:disabled)');
    await maren.tabTo('Change them');
    await maren.press('Enter');
    await maren.hasChart();
  });

  it('says all of it in the review, and keeps it with the revision', async () => {
    await maren.press('r');
    await maren.sees('1010 Operating account: bank details Quay Street Bank');
    await maren.sees('budget 26,000.05 a year, by month');
    await maren.sees('Dimension Project with Press house, New orchard');
    await maren.sees('dimensions Project New orchard');
    await maren.press('Escape');
    await maren.hasChart();
    await maren.isKept();
    await maren.press('Control+Enter');
    await maren.sees('Revision 4');
    await openSheet('1010');
    await maren.sees('bank details Quay Street Bank');
  });

  it('complains about nothing in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});
