import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import ExcelJS from 'exceljs';
import { openBench, openPractice, type AtTheBench } from './support/bench';
import type { Bookkeeper } from './support/bookkeeper';

/** A treasurer's list: a title, semicolons, decimal commas, an old encoding, and mistakes. */
const UNTIDY = `Heron Reach Rowing Club;;;;
Accounts as printed on 31.10.2026;;;;
;;;;
Code;Account name;Class;Balance;Active
1000;Current account;Bank;12.450,00;yes
1010;Petty cash;Cash;85,50;yes
1010;Café float;Cash;120,00;yes
15 00!;Boats;Fixed assets;48.000,00;yes
2000;Suppliers;Creditors;-1.310,00;yes
3000;Club funds;Equity;-28.000,00;yes
4000;Subscriptions;Income;-9.600,00;yes
4900;;Income;;yes
5010;Coaching;Expense;1.900,00;yes
5020;Boathouse rent;Expense;2.400,0x;yes
;Total;;0,00;
`;

let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'lists-'));
});
afterAll(() => rm(folder, { recursive: true }));

/** Chooses a file as the file dialog would give it. */
const choose = async (who: Bookkeeper, name: string, bytes: Uint8Array): Promise<void> => {
  const path = join(folder, name);
  await writeFile(path, bytes);
  const picker = await who.page.waitForSelector('input[type=file]');
  await (picker as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(path);
};

describe('an untidy list, by keyboard but for the file itself', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openPractice();
    maren = bench.maren;
    await maren.openClient('Heron Reach Rowing Club');
    await maren.sees('has no chart yet');
  });
  afterAll(() => bench.leave());

  /** Types over the cell that is wrong on the selected line. */
  const mend = async (text: string): Promise<void> => {
    await maren.press('Enter', 'Control+a');
    await maren.type(text);
    await maren.press('Enter');
  };

  it('is read whatever its dialect and encoding, and its columns are recognised', async () => {
    await maren.press('Control+k');
    await maren.type('bring a list');
    await maren.sees('Bring a list in: from a file');
    await maren.press('Enter');
    await maren.sees('Drop a file here');
    await choose(maren, 'club.csv', Buffer.from(UNTIDY, 'latin1'));
    await maren.sees('Windows-1252, 14 lines');
    await maren.sees('Café float');
    const uses = await maren.page.$$eval('th iu-pick input', (all) =>
      all.map(({ value }) => value),
    );
    expect(uses).toEqual(['Number', 'Name', 'Kind or type', 'Balance', 'Retired, or status']);
  });

  it('says of every wrong line what is wrong with which cell', async () => {
    await maren.press('Control+Enter');
    await maren.page.waitForSelector('[role=listbox]:focus');
    await maren.sees('Line 6 has number 1010 already');
    await maren.sees('“15 00!” is no account number');
    await maren.sees('The name is empty');
    await maren.sees('Balance: “2.400,0x” is no amount');
  });

  const left = () => maren.page.$$eval('iu-lined-list [role=option]', (lines) => lines.length);
  /** Takes the likeliest kind of the line at the cursor, which then needs no looking at. */
  const takeFirst = async (): Promise<void> => {
    const lines = await left();
    await maren.press('1');
    await maren.page.waitForFunction(
      (count) => document.querySelectorAll('iu-lined-list [role=option]').length < count,
      {},
      lines,
    );
  };
  const wrongLines = () => maren.page.$$eval('iu-lined-list .bad', (lines) => lines.length);

  it('is mended line by line, without leaving the keyboard', async () => {
    for (const text of ['1020', '1500', 'Sundry income', '2.400,00']) {
      await maren.page.waitForSelector('[role=listbox]:focus');
      const wrong = await wrongLines();
      await mend(text);
      await maren.page.waitForFunction(
        (count) => document.querySelectorAll('iu-lined-list .bad').length < count,
        {},
        wrong,
      );
      // A line that can be an account now may still have a kind to be looked at, and stays at the cursor for it.
      await maren.page.waitForSelector('[role=listbox]:focus');
      if ((await maren.page.$('iu-row-panel .candidates')) !== null) await takeFirst();
    }
    await maren.seesNoMore('wrong and left out');
  });

  it('asks only about the kinds that it could but guess', async () => {
    while ((await left()) > 0) {
      await maren.page.waitForSelector('iu-row-panel .candidates');
      await maren.page.waitForSelector('[role=listbox]:focus');
      await takeFirst();
    }
    await maren.sees('Nothing is left to look at.');
    await maren.sees('10 new accounts.');
  });

  it('says that its balances leave a difference that no account takes, until there is one', async () => {
    await maren.sees('Its balances cannot be posted; Balances says why.');
    await maren.tabTo('Balances');
    await maren.press('Enter');
    await maren.sees('The balances leave 26,045.50 open');
    await maren.tabTo('Add an account that takes it');
    await maren.press('Enter');
    await maren.sees('of which 26,045.50 goes to');
    await maren.tabTo('Accounts');
    await maren.press('Enter');
    await maren.sees('Its balances come along.');
  });

  it('becomes a proposal like any other, its balances on the statements already', async () => {
    await maren.press('Control+Enter');
    await maren.hasChart();
    await maren.rowShows('1020', { name: 'Café float', was: 'new', kind: 'Cash' });
    await maren.rowShows('1500', { name: 'Boats', amount: '48,000.00' });
    await maren.lineShows('Boats', { amount: '48,000.00' });
    await maren.isKept();
  });

  it('says in the review what will be posted, and is revision 1 with its balances in the books', async () => {
    await maren.press('r');
    await maren.sees('from club.csv: 9 accounts');
    await maren.press('Escape');
    await maren.hasChart();
    await maren.press('Control+Enter');
    await maren.sees('Adopted as revision 1. 9 accounts');
    await maren.sees('Revision 1');
    await maren.rowShows('1500', { amount: '48,000.00', was: '' });
  });

  it('brought in a second time has nothing to say but the mistakes', async () => {
    await maren.press('Control+k');
    await maren.type('bring a list');
    await maren.press('Enter');
    await maren.sees('Drop a file here');
    await choose(maren, 'again.csv', Buffer.from(UNTIDY, 'latin1'));
    await maren.sees('the same');
    await maren.press('Control+Enter');
    await maren.sees('6 the same');
  });

  const TRIAL = 'Code,Name,Debit,Credit\n1000,Current account,12500.00,\n2000,Suppliers,,1360.00';
  const openTrial = async (): Promise<void> => {
    await maren.sees('Drop a file here');
    await choose(maren, 'trial.csv', Buffer.from(TRIAL));
    await maren.sees('2 the same');
    await maren.tabTo('Balances');
    await maren.press('Enter');
  };
  const putTrial = async (): Promise<void> => {
    await openTrial();
    await maren.sees('12,500.00 in debit and 1,360.00 in credit');
    await maren.tabTo('Bring the balances along');
    await maren.press('Space');
    await maren.tabTo('Accounts');
    await maren.press('Enter');
    await maren.sees('Put the balances in the proposal');
    await maren.press('Control+Enter');
    await maren.hasChart();
    await maren.isKept();
  };
  const toImport = async (): Promise<void> => {
    await maren.press('Control+k');
    await maren.type('bring a list');
    await maren.press('Enter');
    await maren.sees('Drop a file here');
  };

  it('of balances may be dropped from the proposal again', async () => {
    await maren.tabTo('Another list');
    await maren.press('Enter');
    await putTrial();
    await maren.rowShows('1000', { amount: '12,500.00' });
    await maren.press('r');
    await maren.sees('from trial.csv: 2 accounts, 50.00 on each side');
    await maren.tabTo('Drop the opening balances from trial.csv');
    await maren.press('Enter');
    await maren.sees('Nothing is proposed.');
    await maren.press('Escape');
    await maren.hasChart();
    await maren.rowShows('1000', { amount: '12,450.00' });
  });

  it('of balances alone changes the books and not the chart, and nothing when it comes again', async () => {
    await toImport();
    await putTrial();
    await maren.press('Control+Enter');
    await maren.sees('2 accounts have their balance now.');
    await maren.sees('Revision 1');
    await maren.rowShows('1000', { amount: '12,500.00' });
    await toImport();
    await openTrial();
    await maren.sees('Every account has the balance of the list already.');
    await maren.tabTo('Another list');
    await maren.press('Enter');
    await maren.sees('Drop a file here');
  });

  it('that is no list at all is refused with what would do', async () => {
    await choose(maren, 'photo.csv', new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0, 0, 1, 2]));
    await maren.sees('This is neither text nor a workbook.');
    await maren.sees('Drop a file here');
  });

  it('leaves no complaint in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});

describe('a workbook that was taken out and numbered anew in a spreadsheet', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openBench('Tern Street Ceramics');
    maren = bench.maren;
  });
  afterAll(() => bench.leave());

  const takenOut = async (): Promise<ExcelJS.Workbook> => {
    const base64 = await maren.page.evaluate(async () => {
      const id = location.pathname.split('/')[2];
      const bytes = new Uint8Array(
        await (await fetch(`/api/clients/${id}/exports/xlsx`)).arrayBuffer(),
      );
      return btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
    });
    const book = new ExcelJS.Workbook();
    await book.xlsx.load(Buffer.from(base64, 'base64').buffer);
    return book;
  };

  const bringIn = async (book: ExcelJS.Workbook): Promise<void> => {
    await maren.sees('Drop a file here');
    await choose(maren, 'chart.xlsx', new Uint8Array(await book.xlsx.writeBuffer()));
    await maren.sees('the same');
  };

  it('changes nothing while it is as it was', async () => {
    await maren.press('Control+k');
    await maren.type('bring a list');
    await maren.press('Enter');
    await bringIn(await takenOut());
    await maren.press('Control+Enter');
    await maren.page.waitForSelector('[role=listbox]:focus');
    await maren.seesNoMore(' changed');
    await maren.seesNoMore(' new account');
  });

  it('lines its accounts up by name and gives them the numbers of the sheet', async () => {
    const book = await takenOut();
    await maren.tabTo('Another list');
    await maren.press('Enter');
    const sheet = book.getWorksheet('Chart of accounts');
    const renumbered: string[] = [];
    const parents = (sheet?.getRow(1).values as unknown[]).indexOf('Parent');
    expect(parents).toBeGreaterThan(0);
    sheet?.eachRow((row, line) => {
      const number = row.getCell(1).text;
      if (line === 1 || !number.startsWith('6')) return;
      // Who is under another names it by its new number.
      const parent = row.getCell(parents);
      if (parent.text.startsWith('6')) parent.value = `9${parent.text.slice(1)}`;
      row.getCell(1).value = `9${number.slice(1)}`;
      renumbered.push(`9${number.slice(1)}`);
    });
    expect(renumbered.length).toBeGreaterThan(3);
    await bringIn(book);
    await maren.sees(`${renumbered.length} changed`);
    await maren.press('Control+Enter');
    await maren.page.waitForSelector('[role=listbox]:focus');
    await maren.press('Control+Enter');
    await maren.hasChart();
    await maren.isKept();
    await maren.goTo(renumbered[1] ?? '');
    await maren.cursorShows({ number: renumbered[1] ?? '' });
  });

  it('complains about nothing in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});

/** A list whose numbers stand for other accounts at the ceramics studio. */
const ANOTHER = `Number,Name,Type
1010,Harbour savings,Bank
1210,Timber in the yard,Inventory
4010,Boats sold,Income
4020,Repairs of boats,Income
6010,Wages of the yard,Expense
6020,Slipway rent,Expense
6030,Yard insurance,Expense
`;

describe('a list of another chart altogether', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openBench('Kestrel Lane Cider Works');
    maren = bench.maren;
    await maren.press('Control+k');
    await maren.type('bring a list');
    await maren.press('Enter');
    await maren.sees('Drop a file here');
    await choose(maren, 'yard.csv', Buffer.from(ANOTHER));
    await maren.sees('Harbour savings');
    await maren.press('Control+Enter');
  });
  afterAll(() => bench.leave());

  it('is recognised as such, with one decision for all its numbers', async () => {
    await maren.sees('This list looks like another chart altogether');
    await maren.sees('wait for an answer');
  });

  it('gives the chart’s accounts other numbers where the list is to keep its own', async () => {
    await maren.tabTo('What becomes of the numbers that clash');
    await maren.type('list keeps');
    await maren.press('Enter');
    await maren.sees('6 new accounts');
    await maren.seesNoMore('for an answer');
  });

  it('takes the place of the chart on request, says what goes, and is undone in one step', async () => {
    await maren.tabTo('What becomes of the numbers that clash');
    await maren.press('Control+a');
    await maren.type('takes the place');
    await maren.press('Enter');
    await maren.sees('with a history are retired');
    await maren.press('Control+Enter');
    await maren.hasChart();
    await maren.goTo('Slipway rent');
    await maren.cursorShows({ number: '6020' });
    await maren.press('Control+z');
    await maren.seesNoMore('Slipway rent');
  });

  it('complains about nothing in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});

/** A list that says one thing twice, and leaves a kind in doubt. */
const TWICE = `Number,Name,Type
1000,Telephone,Overheads
1010,Mobile & broadband,Overheads
1020,Coaches,Overheads
1400,Subscriptions,Income
1500,Sponsor day,Income
`;

describe('a list of which something can be learned', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  const bringIn = async (): Promise<void> => {
    await maren.sees('Drop a file here');
    await choose(maren, 'club.csv', Buffer.from(TWICE));
    await maren.sees('See the accounts');
    await maren.press('Control+Enter');
    await maren.page.waitForSelector('[role=listbox]:focus');
  };
  beforeAll(async () => {
    bench = await openPractice();
    maren = bench.maren;
    await maren.openClient('Heron Reach Rowing Club');
    await maren.sees('has no chart yet');
    await maren.page.goto(`${maren.page.url().replace(/\/[a-z]+$/, '')}/import`);
    await bringIn();
  });
  afterAll(() => bench.leave());

  it('has the lines pointed out that likely repeat another, until they are called two accounts', async () => {
    await maren.tabTo('Perhaps twice');
    await maren.press('Enter');
    await maren.sees('perhaps the same as line 2, Telephone');
    await maren.page.focus('[role=listbox]');
    await maren.press('ArrowDown', 'Enter');
    await maren.sees('seems to say the same');
    await maren.tabTo('They are two accounts');
    await maren.press('Enter');
    await maren.seesNoMore('perhaps the same');
  });

  it('teaches the practice what is chosen for a name', async () => {
    await maren.tabTo('All lines');
    await maren.press('Enter');
    await maren.page.focus('[role=listbox]');
    await maren.press('End', 'Enter');
    await maren.sees('Sponsor day');
    await maren.page.focus('iu-row-panel iu-kind-choice input');
    await maren.type('grants');
    await maren.sees('Given without goods or services in return');
    await maren.press('Enter');
    await maren.sees('your choice');
    await maren.tabTo('Another list');
    await maren.press('Enter');
    await bringIn();
    await maren.tabTo('All lines');
    await maren.press('Enter');
    await maren.sees('as your practice has it');
  });

  it('shows what was learned, and takes it back', async () => {
    await maren.tabTo('Learned');
    await maren.press('Enter');
    await maren.sees('What your practice chose');
    await maren.sees('Sponsor day');
    await maren.tabTo('Take back what Sponsor day is');
    await maren.press('Enter');
    await maren.seesNoMore('Sponsor day');
  });

  it('complains about nothing in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});
