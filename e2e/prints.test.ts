import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openPractice, type AtTheBench } from './support/bench';
import type { Bookkeeper } from './support/bookkeeper';

/** A predecessor's printed statements, two years beside each other, pasted without their indents. */
const PRINT = `Heron Reach Rowing Club,,
Year ended 31 October 2026,,
,2026,2025
,£,£
Income,,
Subscriptions,"9,600","9,100"
Regatta entries,"3,250","2,900"
Overheads,,
Coaching,"1,900","1,700"
Boathouse rent,"2,400","2,400"
Surplus for the year,"8,550","7,900"
Fixed assets,,
Boats,"48,000","48,000"
Less depreciation,"(12,000)","(10,000)"
Current assets,,
Current account,"12,450","4,800"
Petty cash,"85","120"
Current liabilities,,
Trade creditors,"1,310","1,245"
Net current assets,"11,225","3,675"
Net assets,"47,225","41,675"
Financed by,,
Club funds,"38,675","33,775"
Surplus for the year,"8,550","7,900"
`;

/** The same kind of print as it is copied from a page: nothing but blanks between, details set in, two statements. */
const COPIED = `Income and expenditure account for the year ended 31 October 2026
                    2026     2026
Income
Subscriptions               9,600
Overheads
Coaching           1,900
Boathouse rent     2,400
Sundries             145
                            4,445
Surplus for the year        5,155
Balance sheet as at 31 October 2026
Current assets
Current account   12,305
Petty cash            85
                           12,390
Current liabilities
Trade creditors             1,310
Net assets                 11,080
Financed by
Club funds                  5,925
Surplus for the year        5,155`;

let folder: string;
let bench: AtTheBench;
let maren: Bookkeeper;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'prints-'));
  bench = await openPractice();
  maren = bench.maren;
  await maren.openClient('Heron Reach Rowing Club');
  await maren.sees('has no chart yet');
});
afterAll(async () => {
  await bench.leave();
  await rm(folder, { recursive: true });
});

const amountsRead = () =>
  maren.page.$eval('input[aria-label="Amounts are read"]', (field) => field.value);

describe('printed statements, brought in as a list', () => {
  it('have the newest year as their balances, and say how the amounts are read', async () => {
    await maren.press('Control+k');
    await maren.type('bring a list');
    await maren.sees('Bring a list in: from a file');
    await maren.press('Enter');
    await maren.sees('Drop a file here');
    const path = join(folder, 'print.csv');
    await writeFile(path, PRINT);
    const picker = await maren.page.waitForSelector('input[type=file]');
    await (picker as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(path);
    await maren.sees('Regatta entries');
    await maren.page.waitForSelector('input[aria-label="Amounts are read"]');
    expect(await amountsRead()).toBe('as statements print them');
  });

  it('stand below their titles, in balance', async () => {
    await maren.press('Control+Enter');
    await maren.page.waitForSelector('[role=listbox]:focus');
    await maren.tabTo('Balances');
    await maren.press('Enter');
    await maren.sees('64,835.00 on each side');
    await maren.tabTo('Accounts');
    await maren.press('Enter');
    await maren.sees('Its balances come along.');
  });

  it('become a chart with headings, and the statement that was printed', async () => {
    await maren.press('Control+Enter');
    await maren.hasChart();
    await maren.lineShows('Regatta entries', { amount: '3,250.00' });
    const names = (await maren.rows()).map(({ name }) => name);
    expect(names).toEqual(expect.arrayContaining(['Fixed assets', 'Boats', 'Club funds']));
    expect(names).not.toContain('Net assets');
  });
});

describe('lines copied from a page', () => {
  it('have their details in an inner column, and what they come to in an outer one', async () => {
    await maren.press('Control+k');
    await maren.type('bring a list');
    await maren.sees('Bring a list in: from a file');
    await maren.press('Enter');
    await maren.sees('Drop a file here');
    await maren.tabTo('Or paste rows');
    await maren.type(COPIED);
    await maren.tabTo('Read');
    await maren.press('Enter');
    await maren.sees('text, UTF-8');
    const uses = await maren.page.$$eval('input', (fields) => fields.map(({ value }) => value));
    expect(uses).toEqual(expect.arrayContaining(['Name', 'Balance (set in)', 'Balance']));
  });

  it('come in balance, at the end of the month that stands over them', async () => {
    await maren.press('Control+Enter');
    await maren.page.waitForSelector('[role=listbox]:focus');
    await maren.tabTo('Balances');
    await maren.press('Enter');
    await maren.sees('16,835.00 in debit and 16,835.00 in credit');
    await maren.sees('at the end of October 2026');
  });

  it('complain about nothing in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});
