import { openBench, type AtTheBench } from './support/bench';
import type { Bookkeeper } from './support/bookkeeper';

describe('numbering a chart, by keyboard alone', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openBench('Tern Street Ceramics');
    maren = bench.maren;
  });
  afterAll(() => bench.leave());

  it('shows where a number does not fit the plan, on the row itself', async () => {
    await maren.goTo('4200');
    await maren.page.waitForSelector('.row.selected .number.misfit[title="4200 is out of order"]');
  });

  it('says how many numbers change, and that fewer would not do', async () => {
    await maren.tabTo('Numbers');
    await maren.press('Enter');
    await maren.sees('No numbering that fits the plan changes fewer.');
    await maren.sees('outside the range of its kind');
  });

  it('reads the plan off the numbers', async () => {
    await maren.tabTo('Read it off the numbers');
    await maren.press('Enter');
    await maren.page.waitForFunction(
      () =>
        document.querySelector<HTMLInputElement>('input[aria-label="Operating expenses, to"]')
          ?.value === '6999',
    );
  });

  it('says what is wrong with a plan before it can be proposed', async () => {
    await maren.tabTo('Assets, to');
    await maren.press('Control+a');
    await maren.type('2500');
    await maren.sees('“Liabilities” and “Assets” overlap: end one before the other begins.');
    await maren.sees('The plan contradicts itself');
    await maren.press('Control+a');
    await maren.type('1999');
    await maren.seesNoMore('overlap');
  });

  it('puts plan and numbers in the proposal, marked on the bench with what they were', async () => {
    await maren.tabTo('Put in the proposal');
    await maren.press('Enter');
    await maren.hasChart();
    await maren.goTo('Website');
    await maren.cursorShows({ name: 'Website', was: 'was 1450' });
    await maren.sees('11 changes');
  });

  it('keeps every statement line where it was', async () => {
    await maren.sees('In balance');
    await maren.press('r');
    await maren.sees('accounts renumbered');
    await maren.sees('Number plan of 4 digits');
    await maren.press('Escape');
    await maren.hasChart();
  });

  it('makes room between two neighbours where there is none', async () => {
    await maren.goTo('Checking');
    await maren.press('n');
    await maren.page.waitForSelector('iu-row-editor .name:focus');
    await maren.type('Reserve at the bank');
    await maren.sees('No free number is left between its neighbours.');
    await maren.press('Enter');
    await maren.cursorShows({ name: 'Reserve at the bank', was: 'new' });
  });

  it('complains about nothing in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});
