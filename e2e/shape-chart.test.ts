import { openBench, type AtTheBench } from './support/bench';
import type { Bookkeeper } from './support/bookkeeper';

describe('shaping a chart with postings, by keyboard alone', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openBench('Kestrel Lane Cider Works');
    maren = bench.maren;
    await maren.lineShows('Gross profit');
  });
  afterAll(() => bench.leave());

  const openRow = async (): Promise<void> => {
    await maren.press('Enter');
    await maren.page.waitForSelector('iu-row-editor .name:focus');
  };

  it('opens with the kept proposal, what it was, and what it moves', async () => {
    await maren.goTo('5030');
    await maren.cursorShows({
      name: 'Excise duty',
      was: 'was 6310, under Operating',
    });
    await maren.lineShows('Excise duty', { moved: '+8,899.04' });
    await maren.lineShows('Total cost of sales', { moved: '+8,899.04' });
    await maren.lineShows('Gross profit', { moved: '−8,899.04' });
    await maren.sees('3 changes');
    await maren.sees('In balance');
  });

  it('stands beside the cash flow and the trial balance, too, and goes to the account of a line', async () => {
    await maren.press('Shift+s');
    await maren.lineShows('What moved no cash');
    await maren.press('Shift+s', 'Shift+s');
    await maren.sees('credits in parentheses');
    await maren.goTo('6110');
    await maren.lineShows('6110 Rent', { amount: '8,600.00' });
    await maren.press('Tab', 'Home', 'ArrowDown', 'Enter');
    await maren.cursorShows({ number: '1020' });
    await maren.goTo('5030');
    await maren.sees('credits in parentheses');
    await maren.press('s');
    await maren.lineShows('Gross profit', { moved: '−8,899.04' });
  });

  it('explains a refused edit where it stands, and loses nothing', async () => {
    await maren.goTo('6110');
    await openRow();
    await maren.press('Shift+Tab');
    await maren.type('6120');
    await maren.press('Enter');
    await maren.sees('Number 6120 is taken by 6120 Power and water. Choose a free number.');
    await maren.press('Escape');
    await maren.seesNoMore('is taken by');
    await maren.cursorShows({ number: '6110', name: 'Rent', was: '' });
  });

  it('refuses a kind of another element under a parent, and says what would do', async () => {
    await openRow();
    await maren.press('Tab', 'Tab');
    await maren.type('prepaid');
    await maren.sees('Paid now for later months');
    await maren.press('Tab', 'Enter');
    await maren.sees('belongs to Assets, but 6100 Premises belongs to Costs and expenses');
    await maren.press('Escape');
  });

  it('gives an account another kind, and shows the lines that move', async () => {
    await maren.goTo('6220');
    await openRow();
    await maren.press('Tab', 'Tab');
    await maren.type('cost of s');
    await maren.press('Tab', 'Enter');
    await maren.sees('4 changes');
    await maren.lineShows('Total cost of sales', { moved: '+10,198.04' });
    await maren.press('Control+z');
    await maren.sees('3 changes');
    await maren.press('Control+Shift+z');
    await maren.sees('4 changes');
    await maren.press('Control+z');
    await maren.sees('3 changes');
  });

  it('moves an account under another, with a number and a kind that fit there', async () => {
    await maren.goTo('6340');
    await maren.press('m');
    await maren.page.waitForSelector('#move-target:focus');
    await maren.type('people');
    await maren.sees('6000 People');
    await maren.press('Tab');
    await maren.sees('6340 Marketing renumbered 6040');
    await maren.tabTo('Move');
    await maren.press('Enter');
    await maren.hasChart();
    await maren.cursorShows({
      number: '6040',
      was: 'was 6340, under Operating',
      level: 2,
    });
  });

  it('moves among siblings, shallower and deeper', async () => {
    await maren.press('Alt+ArrowUp');
    await maren.sees('was 6340');
    await maren.press('Alt+ArrowLeft');
    await maren.cursorShows({ number: '6040', level: 1 });
    await maren.press('Alt+ArrowRight');
    await maren.cursorShows({ number: '6040', level: 2 });
  });

  it('retires what has postings and deletes what has none', async () => {
    await maren.goTo('6390');
    await maren.press('Delete');
    await maren.sees('now retired');
    await maren.goTo('6030');
    await maren.press('Delete');
    await maren.page.waitForFunction(
      () =>
        ![...document.querySelectorAll('.row .text')].some(
          (element) => element.textContent === 'Training',
        ),
    );
    await maren.goTo('3050');
    await maren.press('Delete');
    await maren.sees('3050 Undivided earnings is where results of closed years go');
  });

  it('shows all about an account, and takes its guidance', async () => {
    await maren.goTo('6120');
    await maren.press('Space');
    await maren.sees('Lands on');
    await maren.tabTo('');
    await maren.page.focus('textarea');
    await maren.type('Power, water, heating oil.');
    await maren.press('Tab', 'Escape');
    await maren.hasChart();
    await maren.rowShows('6120', { was: 'texts edited' });
  });

  it('reviews operation by operation, and drops one', async () => {
    await maren.press('r');
    await maren.sees('Review the proposal');
    await maren.sees('Fuel renamed “Vehicle fuel”');
    await maren.tabTo('Drop: Fuel renamed');
    await maren.press('Enter');
    await maren.seesNoMore('Fuel renamed “Vehicle fuel”');
    await maren.press('Escape');
    await maren.hasChart();
    await maren.goTo('6210');
    await maren.cursorShows({ name: 'Fuel', was: '' });
  });

  it('adopts, lists the revision, and takes it back as a proposal', async () => {
    await maren.isKept();
    await maren.press('Control+Enter');
    await maren.sees('Revision 4');
    await maren.tabTo('History');
    await maren.press('Enter');
    await maren.sees('Every revision of the chart.');
    await maren.sees('Maren Oake');
    await maren.tabTo('Take back');
    await maren.press('Enter');
    await maren.hasChart();
    await maren.sees('What takes revision 4 back is in your proposal.');
    await maren.goTo('6310');
    await maren.cursorShows({
      name: 'Excise duty',
      was: 'was 5030, under Cost of sales',
    });
    await maren.isKept();
    await maren.press('Control+Enter');
    await maren.sees('Revision 5');
    await maren.goTo('6340');
    await maren.cursorShows({ name: 'Marketing', was: '' });
  });

  it('finds the account of a statement line', async () => {
    await maren.press('Tab');
    await maren.page.waitForFunction(
      () => document.activeElement?.getAttribute('role') !== 'treegrid',
    );
    await maren.page.focus('iu-statement-sheet [role=grid]');
    await maren.press('Home', 'ArrowDown', 'ArrowDown', 'Enter');
    await maren.hasChart();
    await maren.cursorShows({ name: 'Wholesale sales' });
  });

  it('leaves no complaint in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});

describe('shaping a chart by drag', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openBench('Kestrel Lane Cider Works');
    maren = bench.maren;
    await maren.press('End');
    await maren.page.waitForFunction(
      () => document.querySelector('.row.selected .number')?.textContent === '7510',
    );
  });
  afterAll(() => bench.leave());

  it('moves a row between two others of its parent, seen above them, and leaves its number alone', async () => {
    expect(await maren.drag('6350', '6330', 'before')).toBe(true);
    await maren.sees('moved among its siblings');
    const order = (await maren.rows())
      .map(({ number }) => number)
      .filter((number) => /^63[2-5]0$/.test(number));
    expect(order).toEqual(['6320', '6350', '6330', '6340']);
  });

  it('moves a row under the one it is dropped on, with a number and a kind that fit there', async () => {
    await maren.drag('6340', '6200', 'inside');
    await maren.sees('was 6340, under Operating');
    await maren.cursorShows({ number: '6230', level: 2 });
  });

  it('asks before a row that is dropped into another element takes a kind of it, as M does', async () => {
    await maren.goTo('3000');
    await maren.drag('4010', '3000', 'inside');
    await maren.sees('4010 Taproom sales takes the kind');
    await maren.sees('This will do');
    await maren.rowShows('4010', { name: 'Taproom sales', was: '' });
    await maren.page.waitForSelector('iu-move-sheet .primary:focus');
    await maren.press('Enter');
    await maren.seesNoMore('This will do');
    await maren.press('Control+z');
    await maren.rowShows('4010', { name: 'Taproom sales', was: '' });
  });

  it('refuses a branch that would cross into another element, and says why', async () => {
    await maren.goTo('3000');
    await maren.drag('3000', '4010', 'inside');
    await maren.sees('belongs to Equity, but 4010 Taproom sales belongs to Revenue');
  });

  it('leaves no complaint in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});
