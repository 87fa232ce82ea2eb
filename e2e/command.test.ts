import { openBench, type AtTheBench } from './support/bench';
import type { Bookkeeper } from './support/bookkeeper';

describe('finding and doing anything, by keyboard alone', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openBench('Kestrel Lane Cider Works');
    maren = bench.maren;
  });
  afterAll(() => bench.leave());

  const command = async (text: string, shown: string): Promise<void> => {
    await maren.press('Control+k');
    await maren.page.waitForSelector('#command-field:focus');
    await maren.type(text);
    await maren.page.waitForFunction(
      (wanted) =>
        document.querySelector('.p-autocomplete-option.p-focus')?.textContent?.includes(wanted),
      {},
      shown,
    );
    await maren.press('Enter');
  };

  it('finds an account by part of its name and puts the cursor on it', async () => {
    await command('marketing', '6340 Marketing');
    await maren.hasChart();
    await maren.cursorShows({ number: '6340', name: 'Marketing' });
  });

  it('finds an account by what its guidance says', async () => {
    await command('monthly depreciation entry', '1590 Accumulated depreciation');
    await maren.hasChart();
    await maren.cursorShows({ number: '1590' });
  });

  it('does to the account at the cursor what is asked', async () => {
    await command('all about', 'All about');
    await maren.sees('Lands on');
    await maren.press('Escape');
    await maren.hasChart();
  });

  it('goes places, and finds accounts from there', async () => {
    await command('go numbers', 'Go to numbers');
    await maren.sees('Number plan');
    await command('fuel', '6210 Vehicle fuel');
    await maren.hasChart();
    await maren.cursorShows({ number: '6210' });
  });

  it('gives the keyboard back at Esc', async () => {
    await maren.press('Control+k');
    await maren.page.waitForSelector('#command-field:focus');
    await maren.press('Escape');
    await maren.hasChart();
  });

  it('complains about nothing in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});
