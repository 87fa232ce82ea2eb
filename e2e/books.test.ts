import { join } from 'node:path';
import { writeFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { openPractice, type AtTheBench } from './support/bench';
import type { Bookkeeper } from './support/bookkeeper';
import { typeOutline } from './support/club';

// Source, from memory: OpenStax, Principles of Accounting, Volume 1: Financial Accounting, ch. 3–5, the “Printing Plus”
// example, January 2019; typed here as of October 2026. Amounts in dollars.
const OUTLINE = `Cash [bank]
Accounts receivable [trade receivables]
Interest receivable [other receivables]
Supplies [other current asset]
Equipment [land, property and equipment]
Depreciated equipment [accumulated depreciation]
Accounts payable [trade payables]
Salaries payable [payroll payable]
Unearned revenue [deferred revenue and customer deposits]
Common stock [share capital]
Earnings kept [retained earnings]
Dividends [drawings and distributions]
Service revenue [services]
Interest revenue [interest and investment income]
Salaries expense [operating expense]
Utility expense [operating expense]
Supplies used [operating expense]
Depreciation expense [depreciation and amortisation]`;

type TypedLine = readonly [account: string, debit: string, credit: string];

const ENTRIES: readonly (readonly [comment: string, ...lines: TypedLine[]])[] = [
  [
    'January before adjustments',
    ['Cash', '24800', ''],
    ['Accounts receivable', '1200', ''],
    ['Supplies', '500', ''],
    ['Equipment', '3500', ''],
    ['Dividends', '100', ''],
    ['Salaries expense', '3600', ''],
    ['Utility expense', '300', ''],
    ['Accounts payable', '', '500'],
    ['Unearned revenue', '', '4000'],
    ['Common stock', '', '20000'],
    ['Service revenue', '', '9500'],
  ],
  ['Supplies used', ['Supplies used', '100', ''], ['Supplies', '', '=']],
  ['Depreciation', ['Depreciation expense', '75', ''], ['Depreciated equipment', '', '=']],
  ['Earned', ['Unearned revenue', '600', ''], ['Service revenue', '', '=']],
  ['Interest', ['Interest receivable', '140', ''], ['Interest revenue', '', '=']],
  ['Salaries', ['Salaries expense', '1500', ''], ['Salaries payable', '', '=']],
];

describe('a textbook’s books, typed entry by entry', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openPractice();
    maren = bench.maren;
    await maren.tabTo('Add a client');
    await maren.press('Enter');
    await maren.sees('Fiscal year begins in');
    await maren.type('Quince Street Prints');
    await maren.press('Tab');
    for (const chosen of ['corp', 'another']) {
      await maren.type(chosen);
      await maren.press('Enter', 'Tab');
    }
    await maren.tabTo('Add client');
    await maren.press('Enter');
    await maren.sees('has no chart yet');
    await maren.tabTo('Type an outline');
    await maren.press('Enter');
    await maren.page.waitForSelector('textarea:focus');
    await typeOutline(
      maren,
      OUTLINE.split('\n').map((text) => [0, text] as const),
    );
    await maren.sees('18 accounts understood.');
    await maren.press('Control+Enter');
    await maren.hasChart();
    await maren.isKept();
    await maren.press('Control+Enter');
    await maren.sees('Adopted as revision 1.');
  });
  afterAll(() => bench.leave());

  const isAt = (cell: string) =>
    maren.page.waitForFunction(
      (wanted) =>
        document.activeElement?.closest('[data-cell]')?.getAttribute('data-cell') === wanted,
      {},
      cell,
    );

  const typeLine = async (at: number, [account, debit, credit]: TypedLine): Promise<void> => {
    await isAt(`account/${at}`);
    await maren.type(account);
    await maren.press('Tab');
    if (debit === '') await maren.press('Tab');
    await maren.type(debit === '' ? credit : debit);
    await maren.press('Enter');
  };

  it('take each entry by keyboard', async () => {
    await maren.page.goto(maren.page.url().replace('/chart', '/ledger/new'));
    for (const [comment, ...lines] of ENTRIES) {
      await maren.page.waitForSelector('.date input:focus');
      await maren.press('Control+a');
      await maren.type('31 oct');
      await maren.press('Tab', 'Tab');
      await maren.type(comment);
      await maren.press('Enter');
      for (const [at, line] of lines.entries()) await typeLine(at, line);
      await maren.sees('Balanced');
      await maren.press('Control+Enter');
      await maren.sees('Posted.');
      await maren.page.waitForFunction(
        () => document.querySelector<HTMLInputElement>('.comment input')?.value === '',
      );
    }
  });

  it('give the published statements, line by line', async () => {
    await maren.page.goto(maren.page.url().replace(/\/ledger.*/, '/chart'));
    await maren.hasChart();
    await maren.goTo('Service revenue');
    await maren.lineShows('Service revenue', { amount: '10,100.00' });
    await maren.lineShows('Salaries expense', { amount: '5,100.00' });
    await maren.lineShows('Net profit', { amount: '4,665.00' });
    await maren.goTo('Cash');
    await maren.lineShows('Total assets', { amount: '29,965.00' });
    await maren.lineShows('Total liabilities', { amount: '5,400.00' });
    await maren.lineShows('Total equity', { amount: '24,565.00' });
  });

  it('bring a list of entries in once, however often it is brought', async () => {
    const file = join(mkdtempSync(join(tmpdir(), 'journal-')), 'journal.csv');
    const rows = ['Date;Voucher;Account;Text;Debit;Credit'];
    for (let at = 1; at <= 40; at += 1) {
      const day = `${String((at % 28) + 1).padStart(2, '0')}.10.2026`;
      rows.push(
        `${day};V${at};Utility expense;Power ${at};${at},50;`,
        `${day};V${at};Cash;;;${at},50`,
      );
    }
    rows.push('01.10.2026;V41;The old safe;Found;5,00;', '01.10.2026;V41;Cash;;;5,00');
    writeFileSync(file, rows.join('\n'));
    await maren.page.goto(maren.page.url().replace('/chart', '/ledger/bring-in'));
    const bring = async (): Promise<void> => {
      await maren.sees('Drop a file here');
      const field = await maren.page.waitForSelector('input[type=file]');
      await (field as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(file);
    };
    await bring();
    await maren.sees('40 entries to post, 1 Oct 2026 – 28 Oct 2026.');
    await maren.sees('Accounts that the chart does not have');
    await maren.tabTo('The old safe is');
    await maren.type('cash');
    await maren.press('Enter');
    await maren.sees('41 entries to post');
    await maren.tabTo('Post 41 entries');
    await maren.press('Enter');
    await maren.sees('41 entries posted.');
    await maren.sees('of all amounts is on its lines without doubt');
    await maren.tabTo('Another file');
    await maren.press('Enter');
    await bring();
    await maren.sees('41 entries of this list are in the books already and are left alone.');
    expect(await maren.page.evaluate(() => document.body.innerText)).not.toContain('does not have');
  }, 120_000);

  it('leave no complaint in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});
