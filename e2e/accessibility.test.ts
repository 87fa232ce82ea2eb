import { offendersOn } from './support/accessibility';
import { openPractice, type AtTheBench } from './support/bench';
import type { Bookkeeper } from './support/bookkeeper';

const LIST =
  'Number;Name;Type\n1000;Current account;Bank\n10x!;Petty cash;Cash\n4000;Sundries;Income';

/** Every place of the application, how one comes there, and what is to be seen once one is there. */
const PLACES: readonly {
  readonly name: string;
  /** Below the client; from the root where it begins with a slash. */
  readonly at: string;
  readonly sees: string;
  readonly then?: (maren: Bookkeeper) => Promise<void>;
}[] = [
  { name: 'the list of clients', at: '/clients', sees: 'Kestrel Lane Cider Works' },
  {
    name: 'a new client',
    at: '/clients',
    sees: 'Kestrel Lane Cider Works',
    then: async (maren) => {
      await maren.tabTo('Add a client');
      await maren.press('Enter');
      await maren.sees('Legal form');
    },
  },
  {
    name: 'the practice’s own charts',
    at: '/starting-charts',
    sees: 'The practice’s starting charts',
  },
  { name: 'people', at: '/people', sees: 'Restricted accounts stay hidden' },
  { name: 'one’s own access', at: '/account', sees: 'Another password' },
  { name: 'the bench', at: 'chart', sees: 'Gross profit' },
  {
    name: 'a row that is edited',
    at: 'chart',
    sees: 'Gross profit',
    then: async (maren) => {
      await maren.press('Enter');
      await maren.page.waitForSelector('iu-row-editor .name:focus');
    },
  },
  ...(
    [
      ['about an account', 'Space', 'Lands on'],
      ['moving', 'm', 'under'],
      ['merging', 'g', 'into'],
      ['all keys', '?', 'undo, redo'],
      ['the review', 'r', 'What moves on the statements'],
    ] as const
  ).map(([name, key, sees]) => ({
    name: `the sheet for ${name}`,
    at: 'chart',
    sees: 'Gross profit',
    then: async (maren: Bookkeeper) => {
      await maren.press(key);
      await maren.sees(sees);
    },
  })),
  {
    name: 'the sheet for splitting',
    at: 'chart',
    sees: 'Gross profit',
    then: async (maren) => {
      await maren.goTo('4020');
      await maren.press('p');
      await maren.sees('One part for each');
    },
  },
  {
    name: 'the sheet for many accounts',
    at: 'chart',
    sees: 'Gross profit',
    then: async (maren) => {
      await maren.press('x', 'x', 'Space');
      await maren.sees('together');
    },
  },
  {
    name: 'the sheet for dimensions',
    at: 'chart',
    sees: 'Gross profit',
    then: async (maren) => {
      await maren.press('Control+k');
      await maren.type('dimensions');
      await maren.sees('Dimensions: market');
      await maren.press('Enter');
      await maren.sees('A dimension tells postings apart');
    },
  },
  {
    name: 'the command field',
    at: 'chart',
    sees: 'Gross profit',
    then: async (maren) => {
      await maren.press('Control+k');
      await maren.type('move');
      await maren.sees('Move under another');
    },
  },
  {
    name: 'the choice of a period',
    at: 'chart',
    sees: 'Gross profit',
    then: async (maren) => {
      await maren.page.focus('iu-period-choice button');
      await maren.press('Enter');
      await maren.page.waitForSelector('#period-panel :focus');
    },
  },
  ...(
    [
      ['the profit and loss', 'profitAndLoss?columns=yearBefore', 'Net revenue'],
      ['the balance sheet', 'balanceSheet', 'Total assets'],
      ['the cash flow', 'cashFlow?columns=quarters', 'Cash from operating activities'],
      ['changes in equity', 'changesInEquity', 'Total equity'],
      ['the trial balance', 'trialBalance', '1010'],
      ['the chart report', 'chartReport', '1010'],

      ['a packet', 'packet', 'Notes of the preparer'],
      ['the budget', 'budget', 'Begin with them'],
    ] as const
  ).map(([name, place, sees]) => ({ name, at: `statements/${place}`, sees })),
  {
    name: 'a column that is changed',
    at: 'statements/profitAndLoss?columns=yearBefore',
    sees: 'Net revenue',
    then: async (maren) => {
      await maren.tabTo('Jul – Oct 2025');
      await maren.press('Enter');
      await maren.sees('Take out');
    },
  },
  {
    name: 'a layout of the client’s own, a row of it being changed',
    at: 'statements/profitAndLoss',
    sees: 'Net revenue',
    then: async (maren) => {
      await maren.does('Own layout');
      await maren.sees('Call it complete');
      await maren.page.waitForSelector('[role=grid] [role=row]');
      await maren.page.focus('[role=grid]');
      await maren.press('ArrowDown', 'Delete', 'ArrowDown', 's');
      await maren.sees('Double rule');
    },
  },
  { name: 'the front page', at: 'front', sees: 'Expenses by main account' },
  { name: 'findings', at: 'tidy', sees: 'without doubt' },
  { name: 'the rules of Tidy', at: 'tidy/rules', sees: 'Balances on the unusual side' },
  { name: 'Tidy month by month', at: 'tidy/months', sees: 'Came in this month' },
  {
    name: 'a line that is sent to another section',
    at: 'statements/profitAndLoss',
    sees: 'Net revenue',
    then: async (maren) => {
      await maren.page.waitForSelector('[role=grid]:focus');
      await maren.press('ArrowDown', 'm');
      await maren.sees('Leave it');
    },
  },
  ...(
    [
      ['the journal', 'journal', 'Interest on the reserve'],
      ['an entry that is typed', 'new', 'takes what is missing'],
      ['a register', 'register', 'Choose an account to read it'],
      ['standing entries', 'standing', 'what is posted again and again'],
      ['opening balances', 'openings', 'Nothing differs from the books.'],
      ['open items', 'open-items', 'No list yet'],
      ['locks', 'locks', 'No period is locked.'],
      ['entries from a file', 'bring-in', 'Drop a file here'],
    ] as const
  ).map(([name, place, sees]) => ({ name, at: `ledger/${place}`, sees })),
  ...(
    [
      ['default accounts', 'defaults', 'Where amounts go by default'],
      ['word rules and sales tax', 'rules', 'of the past year'],
      ['bank lines', 'lines', 'Ask the bank'],
      ['payouts', 'payouts', 'Ask the marketplace'],
      ['proofs', 'proofs', '6 hold'],
      ['a trace', 'trace', 'see where it lands'],
    ] as const
  ).map(([name, place, sees]) => ({ name, at: `routes/${place}`, sees })),
  ...(
    [
      ['a rule that is typed', 'rules', 'New rule', 'Say which words it looks for.'],
      ['a proof that is typed', 'proofs', 'New proof', 'Say what is put through.'],
      ['a bank’s file', 'lines', 'From a file', 'Drop a file here'],
    ] as const
  ).map(([name, place, button, sees]) => ({
    name,
    at: `routes/${place}`,
    sees: button,
    then: async (maren: Bookkeeper) => {
      await maren.tabTo(button);
      await maren.press('Enter');
      await maren.sees(sees);
    },
  })),
  {
    name: 'where a proof lands',
    at: 'routes/proofs',
    sees: '6 hold',
    then: async (maren) => {
      await maren.tabTo('Trace Rent counts');
      await maren.press('Enter');
      await maren.sees('Decided by');
    },
  },
  {
    name: 'an entry that is unfolded',
    at: 'ledger/journal',
    sees: 'Interest on the reserve',
    then: async (maren) => {
      await maren.tabTo('677');
      await maren.press('Enter');
      await maren.sees('Brought in from elsewhere');
    },
  },
  {
    name: 'the lines of an account',
    at: 'chart',
    sees: 'Gross profit',
    then: async (maren) => {
      await maren.goTo('1010');
      await maren.press('l');
      await maren.sees('Supplier bills paid');
    },
  },
  {
    name: 'the menu of who is signed in',
    at: 'chart',
    sees: 'Gross profit',
    then: async (maren) => {
      await maren.page.focus('iu-user-menu button');
      await maren.press('Enter');
      await maren.page.waitForSelector('#user-panel :focus');
    },
  },
  { name: 'numbers', at: 'numbers', sees: 'plan' },
  {
    name: 'the outline',
    at: 'outline',
    sees: 'Outline',
    then: async (maren) => {
      await maren.page.waitForSelector('textarea:focus');
      await maren.type('7100 Market stalls\n71x0!! Fairs');
      await maren.sees('understood');
    },
  },
  { name: 'the source of a list', at: 'import', sees: 'Drop a file here' },
  {
    name: 'the columns of a list, its types and its accounts',
    at: 'import',
    sees: 'Drop a file here',
    then: async (maren) => {
      await maren.tabTo('Or paste rows');
      await maren.type(LIST);
      await maren.tabTo('Read');
      await maren.press('Enter');
      await maren.sees('4 lines');
      expect(await offendersOn(maren.page)).toEqual([]);
      await maren.press('Control+Enter');
      await maren.page.waitForSelector('[role=listbox]:focus');
    },
  },
  { name: 'exchange', at: 'exchange', sees: 'Workbook' },
  { name: 'history', at: 'history', sees: 'Every revision of the chart.' },
  { name: 'what differs between revisions', at: 'compare', sees: 'differs' },
  { name: 'the proposal for the client', at: 'proposal', sees: 'Agreed' },
  { name: 'starting a chart', at: 'start', sees: 'Add to the chart' },
];

/** Whether one would have to scroll sideways. */
const isWiderThanShown = (maren: Bookkeeper): Promise<boolean> =>
  maren.page.evaluate(() => document.documentElement.scrollWidth > innerWidth);

describe.each(['light', 'dark'] as const)('by axe, on %s paper', (theme) => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  let client: string;
  beforeAll(async () => {
    bench = await openPractice();
    maren = bench.maren;
    await maren.openClient('Kestrel Lane Cider Works');
    await maren.hasChart();
    client = maren.page.url().replace(/\/chart$/, '');
    await maren.page.evaluate((one) => localStorage.setItem('iunctus.theme', one), theme);
  });
  afterAll(() => bench.leave());

  it.each(PLACES)('nothing is wrong with $name', async ({ at, sees, then }) => {
    const root = new URL(client).origin;
    await maren.page.goto(at.startsWith('/') ? root + at : `${client}/${at}`);
    await maren.sees(sees);
    await then?.(maren);
    expect(await offendersOn(maren.page)).toEqual([]);
    await maren.page.evaluate((one) => {
      localStorage.clear();
      localStorage.setItem('iunctus.theme', one);
    }, theme);
  });

  it('nothing is wrong with the sign-in', async () => {
    await maren.page.goto(`${new URL(client).origin}/sign-in`);
    await maren.sees('E-mail address');
    expect(await offendersOn(maren.page)).toEqual([]);
  });

  it('nothing is wrong with the business at a glance', async () => {
    await maren.page.goto(client.replace('/clients/', '/look/'));
    await maren.sees('What belongs where');
    expect(await offendersOn(maren.page)).toEqual([]);
  });

  describe.each([
    ['a phone', 390, 844],
    ['a window of 1280 pixels at 200 %', 640, 400],
  ])('on %s', (_name, width, height) => {
    afterAll(() => maren.page.setViewport({ width: 1280, height: 800 }));

    it('chart or statement is shown whole, and nothing is wrong', async () => {
      await maren.page.setViewport({ width, height });
      await maren.page.goto(`${client}/chart`);
      await maren.hasChart();
      expect(await offendersOn(maren.page)).toEqual([]);
      expect(await isWiderThanShown(maren)).toBe(false);
      await maren.press('Tab');
      await maren.lineShows('Gross profit');
      expect(await maren.page.$('[role=treegrid]').then((tree) => tree?.isVisible())).toBe(false);
      expect(await offendersOn(maren.page)).toEqual([]);
      expect(await isWiderThanShown(maren)).toBe(false);
    });
  });
});
