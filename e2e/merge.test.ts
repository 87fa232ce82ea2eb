import { openBench, type AtTheBench } from './support/bench';
import type { Bookkeeper } from './support/bookkeeper';

describe('merging two accounts, by keyboard alone', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openBench('Tern Street Ceramics');
    maren = bench.maren;
  });
  afterAll(() => bench.leave());

  it('shows what becomes of the account, and wants a clear word where kinds differ', async () => {
    await maren.goTo('5021');
    await maren.press('g');
    await maren.page.waitForSelector('#merge-target:focus');
    await maren.type('packaging');
    await maren.press('Enter');
    await maren.sees('327.55 that was posted to it counts with 5020 Packaging');
    await maren.sees('It is Operating expense and would become Cost of sales');
    await maren.press('Tab', 'Space');
    await maren.page.waitForSelector('iu-merge-sheet .button.primary:not(:disabled)');
    await maren.press('Tab', 'Enter');
    await maren.hasChart();
  });

  it('counts the postings with the other, and moves the statement lines', async () => {
    await maren.cursorShows({
      number: '5020',
      amount: '905.89',
      was: 'with Boxes and packing merged in',
    });
    await maren.lineShows('Packaging', { amount: '905.89' });
    await maren.sees('−327.55');
  });

  it('still finds the account by its old number', async () => {
    await maren.goTo('5021');
    await maren.cursorShows({ number: '5020', name: 'Packaging' });
  });

  it('is adopted, and taken back from the history with nothing lost', async () => {
    await maren.isKept();
    await maren.press('Control+Enter');
    await maren.sees('Revision 2');
    await maren.hasChart();
    await maren.tabTo('History');
    await maren.press('Enter');
    await maren.tabTo('2 changes');
    await maren.press('Enter');
    await maren.sees('5021 Boxes and packing merged into 5020 Packaging');
    await maren.tabTo('What differs');
    await maren.press('Enter');
    await maren.sees('+327.55');
    await maren.sees('merged into 5020 Packaging');
    await maren.page.goBack();
    await maren.sees('Every revision of the chart.');
    await maren.tabTo('Take back');
    await maren.press('Enter');
    await maren.hasChart();
    await maren.goTo('5021');
    await maren.cursorShows({ number: '5021', amount: '327.55' });
    await maren.rowShows('5020', { amount: '578.34' });
  });

  it('complains about nothing in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});
