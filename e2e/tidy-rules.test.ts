import { openBench, openPractice, type AtTheBench } from './support/bench';
import type { Bookkeeper } from './support/bookkeeper';
import { typeOutline } from './support/club';

describe('what Tidy looks for', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openBench('Tern Street Ceramics');
    maren = bench.maren;
  });
  afterAll(() => bench.leave());

  const says = (): Promise<string[]> =>
    maren.page.evaluate(async () => {
      const list = document.querySelector('cdk-virtual-scroll-viewport');
      const found = new Set<string>();
      for (let top = 0; top < (list?.scrollHeight ?? 0); top += 300) {
        list?.scrollTo({ top });
        await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 40)));
        for (const row of document.querySelectorAll('.says')) found.add(row.textContent ?? '');
      }
      return [...found];
    });
  const goTo = async (words: string): Promise<void> => {
    await maren.page.focus('[role=listbox]');
    await maren.press('Home');
    for (let step = 0; step < 120; step += 1) {
      const head = await maren.page.$eval('.one h2', (one) => one.textContent ?? '');
      if (head.includes(words)) return;
      await maren.press('ArrowDown');
    }
    throw new Error(`${words} is not found`);
  };
  const openTidy = async (): Promise<void> => {
    await maren.command('tidy');
    await maren.page.waitForSelector('[role=listbox][aria-busy=false]:focus');
    await maren.page.waitForFunction(() => document.querySelector('.one h2') !== null);
  };

  it('spells by the client’s dictionary, and learns a word for all clients', async () => {
    await openTidy();
    await maren.page.waitForFunction(() => document.querySelector('.score') !== null);
    await goTo('“Shelvng” in “1403 Shelvng” is in no dictionary; “Shelving” is.');
    await maren.tabTo('“Shelvng” is right, for all clients');
    await maren.press('Enter');
    await maren.page.waitForFunction(
      () => document.querySelector('.one h2')?.textContent?.includes('Shelvng') !== true,
    );
  });

  it('tells postings of one sort apart, and lets them count where they belong', async () => {
    await goTo('7 postings in “6500 Misc” are “kiln repair”, which “6030 Repairs” is for.');
    await maren.press('Enter');
    await maren.page.waitForFunction(
      () => document.querySelector('.one h2')?.textContent?.includes('kiln repair') !== true,
    );
    await maren.sees('2 changes');
    await maren.command('go to chart');
    await maren.hasChart();
    await maren.goTo('6030');
    await maren.cursorShows({ name: 'Repairs', amount: '471.88' });
  });

  it('is set by keyboard for the client and for all: how much a rule matters, from where on, and which words are right', async () => {
    await maren.command('what tidy looks for');
    await maren.sees('Words that are right');
    await maren.tabTo('All clients');
    await maren.press('Enter');
    await maren.sees('shelvng');
    await maren.tabTo('This client');
    await maren.press('Enter');
    await maren.tabTo('Names in capitals, or without any');
    await maren.type('not looked');
    await maren.press('Enter');
    await maren.page.waitForFunction(() => document.querySelector('tr.off')?.textContent?.includes('Names in capitals'));
    await maren.tabTo('Accounts that are no longer used: for');
    await maren.press('Control+a');
    await maren.type('99');
    await maren.press('Tab');
    await maren.sees('from 1 to 24');
    await openTidy();
    expect((await says()).some((words) => words.includes('STUDIO INSURANCE') && words.includes('read better'))).toBe(false);
  });

  it('is told month by month: the score, what came and what went', async () => {
    await maren.command('how tidy');
    await maren.page.waitForFunction(() => document.querySelectorAll('.figures tbody tr').length === 10);
    await maren.page.waitForSelector('.pictures svg');
    const rows = await maren.page.$$eval('.figures tbody tr', (all) =>
      all.map((row) => [...row.children].map((cell) => cell.textContent?.trim() ?? '')),
    );
    expect(rows.map(([month]) => month).slice(0, 2)).toEqual(['October 2026', 'September 2026']);
    for (const [, revision, score] of rows) {
      expect(revision).toBe('1');
      expect(score).toMatch(/^\d+\.\d %$/);
    }
    await maren.tabTo('February 2026');
    await maren.press('Enter');
    await maren.page.waitForFunction(() => document.querySelector('.figures section h2')?.textContent === 'February 2026');
  });

  it('is told of each client on the practice’s page, with what doubts most', async () => {
    await maren.page.goto(`${bench.application.address}/clients`);
    await maren.sees('by client');
    await maren.sees('“6600 Drawings” reads as “Drawings and distributions”, not “Operating expense”.');
    await maren.tabTo('Tern Street Ceramics');
    expect(maren.complaints).toEqual([]);
  });
}); // prettier-ignore

const REPEATED: readonly (readonly [depth: number, text: string])[] = [
  [0, 'Costs and expenses'],
  [1, 'Repairs'],
  [2, 'Repairs - eights'],
  [2, 'Repairs - sculls'],
  [1, 'Insurance'],
  [2, 'Insurance - eights'],
  [2, 'Insurance - sculls'],
  [1, 'Bank charges'],
];

describe('sub-accounts that are repeated below several accounts', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openPractice();
    maren = bench.maren;
    await maren.openClient('Heron Reach Rowing Club');
    await maren.sees('has no chart yet');
    await maren.does('Type an outline');
    await maren.page.waitForSelector('textarea:focus');
    await typeOutline(maren, REPEATED);
    await maren.sees('7 accounts understood.');
    await maren.press('Control+Enter');
    await maren.hasChart();
    await maren.isKept();
    await maren.press('Control+Enter');
    await maren.sees('Revision 1');
  });
  afterAll(() => bench.leave());

  const names = async (): Promise<readonly string[]> =>
    (await maren.rows()).map(({ name }) => name).filter((name) => name !== 'Costs and expenses');

  it('are told apart by a dimension instead, by one key', async () => {
    await maren.command('tidy');
    await maren.page.waitForSelector('[role=listbox][aria-busy=false]:focus');
    await maren.sees('Tell them apart by a dimension: 6 accounts become 2');
    for (let step = 0; step < 30; step += 1) {
      if ((await maren.page.$$eval('.ways button', (ways) => ways.map((way) => way.textContent ?? ''))).some((way) => way.includes('by a dimension'))) break;
      await maren.press('ArrowDown');
    }
    await maren.sees('No total of the statements moves.');
    await maren.press('Enter');
    await maren.seesNoMore('Tell them apart by a dimension');
    await maren.command('go to chart');
    await maren.hasChart();
    expect(await names()).toEqual(['Repairs', 'Insurance', 'Bank charges']);
  });

  it('come back as sub-accounts, with their numbers', async () => {
    await maren.goTo('Repairs');
    await maren.press('Space');
    await maren.sees('Often here by mistake');
    await maren.does('Dimensions');
    await maren.does('2 sub-accounts instead');
    await maren.press('Escape');
    await maren.hasChart();
    await maren.page.waitForFunction(() => document.querySelectorAll('[role=row] .name').length >= 5);
    expect(await names()).toEqual(['Repairs', 'Repairs - eights', 'Repairs - sculls', 'Insurance', 'Bank charges']);
    expect(maren.complaints).toEqual([]);
  });
}); // prettier-ignore
