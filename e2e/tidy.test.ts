import parsePdf from 'pdf-parse';
import { openBench, type AtTheBench } from './support/bench';
import type { Bookkeeper } from './support/bookkeeper';

describe('an inherited chart, tidied by keyboard', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openBench('Tern Street Ceramics');
    maren = bench.maren;
  });
  afterAll(() => bench.leave());

  const findings = (): Promise<string[]> =>
    maren.page.$$eval('.says', (rows) => rows.map((row) => row.textContent?.trim() ?? ''));
  const current = (): Promise<string> =>
    maren.page.$eval('.one h2', (head) => head.textContent?.trim() ?? '');

  /** Waits until the chart was looked through again, and the cursor went on. */
  const hasMovedOn = (before: string) =>
    maren.page.waitForFunction(
      (words) =>
        document.querySelector('[role=listbox][aria-busy=false]') !== null &&
        document.querySelector('.one h2')?.textContent?.trim() !== words,
      {},
      before,
    );

  it('shows what is found, the wrong first, with what puts it right and what that moves', async () => {
    await maren.command('tidy');
    await maren.page.waitForSelector('[role=listbox]:focus');
    await maren.sees('without doubt');
    expect((await findings()).length).toBeGreaterThan(8);
    expect(await current()).not.toBe('');
  });

  it('shows the first few of a rule that found many, and all of them when asked', async () => {
    const places = () => maren.page.$eval('[role=listbox]', (list) => Number(list.scrollHeight));
    const picked = () => maren.page.$eval('.picked .says', (row) => row.textContent?.trim() ?? '');
    await maren.page.waitForSelector('[role=listbox][aria-busy=false]');
    for (let step = 0; step < 20 && !(await picked()).includes(' more: '); step += 1)
      await maren.press('ArrowDown');
    const fold = await picked();
    expect(fold).toMatch(/^\d+ more: /);
    const folded = await places();
    await maren.press('ArrowRight');
    await maren.page.waitForFunction(
      (before) => Number(document.querySelector('[role=listbox]')?.scrollHeight) > before,
      {},
      folded,
    );
    await maren.press('ArrowLeft');
    await maren.page.waitForFunction(
      (words) => document.querySelector('.picked .says')?.textContent?.trim() === words,
      {},
      fold,
    );
    expect(await places()).toBe(folded);
    await maren.press('Home');
  });

  it('applies the first way into the proposal, and takes it back', async () => {
    await maren.page.focus('[role=listbox]');
    let steps = 0;
    while (steps < 60 && (await maren.page.$('.ways button')) === null) {
      await maren.press('ArrowDown');
      steps += 1;
    }
    const before = await current();
    await maren.press('Enter');
    await hasMovedOn(before);
    await maren.press('Control+z');
    await maren.page.waitForFunction(
      (words) =>
        document.querySelector('[role=listbox][aria-busy=false]') !== null &&
        [...document.querySelectorAll('.says')].some((row) => row.textContent?.trim() === words),
      {},
      before,
    );
  });

  it('applies the first way of all of one sort in one step', async () => {
    await maren.page.focus('[role=listbox]');
    let steps = 0;
    const hasMany = () => maren.page.evaluate(() => document.body.innerText.includes('of this sort …'));
    while (steps < 60 && !(await hasMany())) {
      await maren.press('ArrowDown');
      steps += 1;
    }
    const before = await current();
    await maren.press('a');
    await maren.sees('Apply the first way of each');
    await maren.tabTo('Apply');
    await maren.press('Enter');
    await maren.page.waitForFunction(() => !document.body.innerText.includes('Apply the first way of each'));
    // The chart is looked through again: what was found of this sort is gone.
    await hasMovedOn(before);
    await maren.page.waitForFunction(() => /\d+ changes/.test(document.body.innerText));
  });

  it('puts one off and sets one aside with a reason, from where they come back', async () => {
    await maren.page.focus('[role=listbox]');
    const first = await current();
    await maren.press('x');
    await maren.page.waitForSelector('.ask input:focus');
    await maren.type('The owner wants it so');
    await maren.press('Enter');
    await maren.sees('1 put off or set aside');
    expect(await current()).not.toBe(first);
    await maren.does('1 put off or set aside');
    await maren.sees('The owner wants it so');
    await maren.does('Bring it back');
    await maren.does('Back to what is open');
    await maren.seesNoMore('put off or set aside');
  });

  const counted = (severity: string): Promise<number> =>
    maren.page.evaluate(
      (words) => Number([...document.querySelectorAll('.row')].find((row) => row.textContent?.includes(words))?.querySelector('.amount')?.textContent ?? 0),
      severity,
    );

  it('is brought to order until nothing is left above what could be neater', async () => {
    await maren.page.focus('[role=listbox]');
    const isAbove = () => maren.page.$('.row.picked .doubtful, .row.picked .wrong');
    for (let step = 0; step < 40; step += 1) {
      await maren.press('Home');
      if ((await isAbove()) === null) break;
      const before = await current();
      if ((await maren.page.$('.ways button')) === null) throw new Error(`${before} has no way`);
      await maren.press('Enter');
      await hasMovedOn(before);
    }
    expect(await counted('Doubtful')).toBe(0);
    expect(await counted('Wrong')).toBe(0);
  });

  it('is reported: what was mended, what moved, every account that differs; printed and read back', async () => {
    await maren.does('Report');
    await maren.sees('Your chart of accounts, put in order');
    await maren.sees('What was found, and is mended');
    await maren.sees('“4001 Sales of pots” says the same as “4000 Pot sales”.');
    await maren.sees('counts there now, with its history');
    const pdf = await maren.page.pdf({ format: 'letter' });
    const { text, numpages } = await parsePdf(Buffer.from(pdf));
    expect(numpages).toBeGreaterThan(1);
    for (const words of ['Tern Street Ceramics', 'Before', 'Doubtful', '4001 Sales of pots'])
      expect(text).toContain(words);
    // What is only for the screen is not printed.
    expect(text).not.toContain('Back to Tidy');
  });

  it('is adopted, and the report tells the same of the revision', async () => {
    await maren.command('go to chart');
    await maren.hasChart();
    await maren.isKept();
    await maren.press('Control+Enter');
    await maren.sees('Revision 2');
    await maren.command('what was tidied');
    await maren.sees('Your chart of accounts, put in order');
    await maren.sees('“4001 Sales of pots” says the same as “4000 Pot sales”.');
    await maren.seesNoMore('not adopted yet');
    expect(maren.complaints).toEqual([]);
  });
}); // prettier-ignore

describe('the whole way to the shape of a starting chart', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openBench('Tern Street Ceramics');
    maren = bench.maren;
  });
  afterAll(() => bench.leave());

  it('is shown in steps with the statement before and after, and what is left alone', async () => {
    await maren.command('the whole way');
    await maren.sees('Every total stays');
    await maren.sees('Merge what says the same');
    await maren.sees('becomes “Bank charges”');
    await maren.does('Leave it: 6060 Bank fees becomes');
    await maren.sees('1 left as they are.');
    await maren.seesNoMore('becomes “Bank charges”');
  });

  it('goes into the proposal step by step, and no total moves when it is adopted', async () => {
    await maren.does('Put ');
    await maren.sees('Changes to the chart of accounts');
    await maren.sees('No total moves. Profit, assets and debts stay as they are.');
    await maren.does('Back to the chart');
    await maren.hasChart();
    await maren.sees('Net profit stays');
    await maren.isKept();
    await maren.press('Control+Enter');
    await maren.sees('Revision 2');
    expect(maren.complaints).toEqual([]);
  });
}); // prettier-ignore
