import { openPractice, type AtTheBench } from './support/bench';
import type { Bookkeeper } from './support/bookkeeper';

describe('the questions behind a starting chart, by keyboard alone', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openPractice();
    maren = bench.maren;
    await maren.openClient('Heron Reach Rowing Club');
    await maren.sees('has no chart yet');
    await maren.tabTo('Start a chart');
    await maren.press('Enter');
    await maren.page.waitForSelector('input[aria-label="Find a trade"]:focus');
    await maren.type('marketplace');
    await maren.tabTo('Online seller of goods');
    await maren.press('Space');
    await maren.sees('Marketplace balance');
  });
  afterAll(() => bench.leave());

  /** How many accounts the button proposes. */
  const proposed = () =>
    maren.page.$eval('.buttons .primary', (button) =>
      Number(/\d+/.exec(button.textContent ?? '')?.[0]),
    );

  /** Waits until the button proposes so many. */
  const proposes = (count: number) =>
    maren.page.waitForFunction(
      (wanted) => document.querySelector('.buttons .primary')?.textContent?.includes(` ${wanted} `),
      {},
      count,
    );

  it('show what each answer does to the number of accounts, and do it', async () => {
    const before = await proposed();
    await maren.tabTo('Foreign currency');
    const effect = await maren.page.evaluate(() =>
      document.activeElement?.closest('label')?.querySelector('small')?.textContent?.trim(),
    );
    await maren.press('Space');
    await maren.sees('Exchange gains');
    await proposes(before + Number(/\d+/.exec(effect ?? '')?.[0]));
    await maren.press('Space');
    await maren.seesNoMore('Exchange gains');
  });

  it('ask how takings that are paid out later are recorded', async () => {
    await maren.tabTo('Monthly');
    await maren.press('ArrowUp');
    await maren.seesNoMore('Marketplace balance');
    await maren.sees('Marketplace fees');
    await maren.press('ArrowDown');
    await maren.sees('Marketplace balance');
  });

  it('weigh channels as sub-accounts against a dimension, with the accounts each way', async () => {
    const before = await proposed();
    await maren.tabTo('Channels, with commas between');
    await maren.type('Own shop, Bazaar, Fairs');
    await maren.press('Tab');
    await maren.sees('By sub-accounts');
    expect(await proposed()).toBeGreaterThan(before);
    await maren.sees(`${before} accounts: every posting there says its channel`);
    await maren.tabTo('By sub-accounts');
    await maren.press('ArrowDown');
    await proposes(before);
  });

  it('let accounts be struck out', async () => {
    const before = await proposed();
    await maren.tabTo('Tax reserve account');
    await maren.press('Space');
    await proposes(before - 1);
  });

  it('say what is kept of the client besides its chart', async () => {
    await maren.sees('Also kept of Heron Reach Rowing Club: trade Online seller of goods.');
  });

  it('end in a proposal whose accounts demand the channel of each posting', async () => {
    await maren.page.focus('.buttons .primary');
    await maren.press('Enter');
    await maren.hasChart();
    await maren.goTo('Marketplace sales');
    await maren.press('Space');
    await maren.sees('Channel');
    await maren.press('Escape');
    await maren.isKept();
    await maren.press('Control+Enter');
    await maren.sees('Revision 1');
  });

  it('can be asked again on the living chart, which only gets what is missing', async () => {
    await maren.press('Control+k');
    await maren.type('starting charts');
    await maren.press('Enter');
    await maren.sees('Add to the chart');
    await maren.sees('Add nothing yet');
    const trade = await maren.page.$eval('.trades .choice.on strong', (one) => one.textContent);
    expect(trade).toBe('Online seller of goods');
    await maren.tabTo('Vehicles');
    await maren.press('Space');
    await maren.sees('Add 3 accounts');
    await maren.page.focus('.buttons .primary');
    await maren.press('Enter');
    await maren.hasChart();
    await maren.goTo('Fuel');
    await maren.cursorShows({ name: 'Fuel', was: 'new' });
  });

  it('complain about nothing in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});

describe('the chart of another client, structure alone', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openPractice();
    maren = bench.maren;
  });
  afterAll(() => bench.leave());

  it('is taken over as a proposal without a single balance', async () => {
    await maren.openClient('Heron Reach Rowing Club');
    await maren.sees('has no chart yet');
    await maren.tabTo('Start a chart');
    await maren.press('Enter');
    await maren.sees('Or as another client');
    await maren.tabTo('Take over the structure of');
    // Part of the name finds it; nothing is proposed as yet.
    await maren.type('cider');
    await maren.press('Enter');
    await maren.sees('As Kestrel Lane Cider Works');
    await maren.tabTo('Propose');
    await maren.press('Enter');
    await maren.hasChart();
    await maren.goTo('Taproom sales');
    await maren.cursorShows({ name: 'Taproom sales', was: 'new', amount: '–' });
    // A club has no owners: its equity is its own.
    await maren.goTo('Net assets without donor restrictions');
    await maren.cursorShows({ was: 'new' });
    expect(maren.complaints).toEqual([]);
  });
});
