import { openBench, type AtTheBench } from './support/bench';
import type { Bookkeeper } from './support/bookkeeper';

describe('a starting chart of the practice’s own, by keyboard alone', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openBench('Kestrel Lane Cider Works');
    maren = bench.maren;
  });
  afterAll(() => bench.leave());

  const goTo = async (command: string, seen: string): Promise<void> => {
    await maren.press('Control+k');
    await maren.type(command);
    await maren.press('Enter');
    await maren.sees(seen);
  };

  it('is kept from a client’s chart, under a name', async () => {
    await goTo('exchange', 'Keep as one of the practice’s starting charts');
    await maren.tabTo('Called');
    await maren.type('Drinks makers');
    await maren.press('Enter');
    await maren.sees('Kept as version 1.');
  });

  it('begins another client', async () => {
    await maren.page.goto(maren.page.url().replace(/clients\/.*/, 'clients'));
    await maren.openClient('Heron Reach Rowing Club');
    await maren.sees('has no chart yet');
    await maren.tabTo('Start a chart');
    await maren.press('Enter');
    await maren.sees('Or from one of the practice’s own');
    await maren.tabTo('Begin from the practice’s chart');
    // Part of the name finds it; nothing is proposed as yet.
    await maren.type('makers');
    await maren.press('Enter');
    await maren.sees('accounts as Drinks makers, version 1');
    await maren.tabTo('Propose');
    await maren.press('Enter');
    await maren.hasChart();
    await maren.goTo('Taproom sales');
    await maren.cursorShows({ name: 'Taproom sales', was: 'new', amount: '–' });
    await maren.isKept();
    await maren.press('Control+Enter');
    await maren.sees('Revision 1');
  });

  it('lists its versions, and how far its clients have moved from it', async () => {
    await maren.page.goto(maren.page.url().replace(/clients\/.*/, 'starting-charts'));
    await maren.sees('Drinks makers');
    await maren.sees('Version 1');
    await maren.sees('Heron Reach Rowing Club');
    await maren.sees('As the version is');
  });

  it('in a newer version is brought to those who began from an older one, as a proposal', async () => {
    await maren.tabTo('Heron Reach Rowing Club');
    await maren.press('Enter');
    await maren.sees('This chart began from Drinks makers, version 1.');
    await maren.page.goto(maren.page.url().replace(/clients\/.*/, 'clients'));
    await maren.openClient('Kestrel Lane Cider Works');
    await maren.hasChart();
    await maren.isKept();
    await maren.press('Control+Enter');
    await maren.sees('Revision 4');
    await goTo('exchange', 'Keep as one of the practice’s starting charts');
    await maren.tabTo('As');
    await maren.type('the next');
    await maren.tabTo('Keep this chart');
    await maren.press('Enter');
    await maren.sees('Kept as version 2.');
    await maren.page.goto(maren.page.url().replace(/clients\/.*/, 'starting-charts'));
    await maren.sees('older');
    await maren.tabTo('Heron Reach Rowing Club');
    await maren.press('Enter');
    await maren.sees('Version 2 is there.');
    await maren.tabTo('Propose what version 2 changes');
    await maren.press('Enter');
    await maren.hasChart();
    await maren.sees('What version 2 of Drinks makers changes is in your proposal.');
    await maren.isKept();
    const changed = (await maren.rows()).filter(({ was }) => was !== '');
    expect(changed.length).toBeGreaterThan(0);
  });

  it('is renamed, and removed once that was asked', async () => {
    await maren.page.goto(maren.page.url().replace(/clients\/.*/, 'starting-charts'));
    await maren.sees('Drinks makers');
    await maren.tabTo('Rename');
    await maren.press('Enter');
    await maren.page.waitForSelector('input[aria-label="New name"]:focus');
    await maren.press('Control+a');
    await maren.type('Cider makers');
    await maren.press('Enter');
    await maren.seesNoMore('Drinks makers');
    await maren.sees('Cider makers');
    await maren.tabTo('Remove');
    await maren.press('Enter');
    await maren.sees('Its 2 clients keep their charts and come from it no longer.');
    await maren.press('Enter');
    await maren.sees('None is kept yet.');
  });

  it('leaves no complaint in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});
