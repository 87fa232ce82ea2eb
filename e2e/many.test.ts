import { openBench, type AtTheBench } from './support/bench';
import type { Bookkeeper } from './support/bookkeeper';

describe('changing several accounts together, by keyboard alone', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openBench('Tern Street Ceramics');
    maren = bench.maren;
  });
  afterAll(() => bench.leave());

  const ready = (sheet: string): Promise<unknown> =>
    maren.page.waitForSelector(`${sheet} .button.primary:not(:disabled)`);

  it('chooses rows one after the other, and says what can be done with them', async () => {
    await maren.goTo('6500');
    await maren.press('x', 'x', 'x');
    await maren.sees('3 chosen');
    await maren.cursorShows({ number: '6600' });
  });

  it('merges them all into one, and counts their postings there', async () => {
    await maren.press('Space');
    await maren.sees('3 accounts');
    await maren.tabTo('Merge them into');
    await maren.type('6500 Misc');
    await maren.press('Enter');
    await maren.sees('6502 Sundry merged into 6500 Misc');
    await ready('iu-many-sheet');
    await maren.tabTo('Change them');
    await maren.press('Enter');
    await maren.hasChart();
    await maren.goTo('6500');
    await maren.cursorShows({ name: 'Misc', amount: '1,175.23' });
  });

  it('gives them all another kind', async () => {
    await maren.goTo('5021');
    await maren.press('x');
    await maren.goTo('5031');
    await maren.press('x', 'Space');
    await maren.sees('2 accounts');
    await maren.tabTo('Kind');
    await maren.type('cost of s');
    await maren.press('Enter');
    await maren.sees('given the kind Cost of sales');
    await ready('iu-many-sheet');
    await maren.tabTo('Change them');
    await maren.press('Enter');
    await maren.hasChart();
    await maren.rowShows('5021', { kind: 'Cost of sales', was: 'was Operating expense' });
    await maren.rowShows('5031', { kind: 'Cost of sales', was: 'was Operating expense' });
  });

  it('moves them under one account together', async () => {
    await maren.goTo('6030');
    await maren.press('x', 'x', 'm');
    await maren.sees('Move 2 accounts');
    await maren.page.waitForSelector('#move-target:focus');
    await maren.type('6020');
    await maren.press('Enter');
    await ready('iu-move-sheet');
    await maren.tabTo('Move');
    await maren.press('Enter');
    await maren.hasChart();
    await maren.goTo('Kiln parts');
    await maren.cursorShows({ name: 'Kiln parts', level: 2, was: 'was a main account' });
  });

  it('duplicates an account under the next name and number', async () => {
    await maren.goTo('Electricity');
    await maren.press('d');
    await maren.cursorShows({ name: 'Electricity 2', was: 'new', kind: 'Operating' });
  });

  it('takes each back in one step', async () => {
    await maren.press('Control+z', 'Control+z', 'Control+z', 'Control+z');
    await maren.sees('No changes.');
  });

  it('renumbers the chosen ones alone', async () => {
    await maren.goTo('6020');
    await maren.press('x', 'x');
    await maren.sees('2 chosen');
    await maren.tabTo('Numbers');
    await maren.press('Enter');
    await maren.sees('Only the 2 accounts that were chosen on the chart');
    await maren.tabTo('Add to numbers');
    await maren.press('Enter');
    await maren.sees('2 of 2 numbers change');
    await maren.tabTo('Put in the proposal');
    await maren.press('Enter');
    await maren.hasChart();
    await maren.goTo('7020');
    await maren.cursorShows({ number: '7020', was: 'was 6020' });
    await maren.rowShows('6030', { was: '' });
  });

  it('complains about nothing in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});
