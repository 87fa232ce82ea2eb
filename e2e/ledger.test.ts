import { openBench, type AtTheBench } from './support/bench';
import { TOBIAS, type Bookkeeper } from './support/bookkeeper';

const CIDER = 'Kestrel Lane Cider Works';

describe('the ledger, by keyboard', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openBench(CIDER);
    maren = bench.maren;
  });
  afterAll(() => bench.leave());

  const isAt = (cell: string, who = maren) =>
    who.page.waitForFunction(
      (wanted) =>
        document.activeElement?.closest('[data-cell]')?.getAttribute('data-cell') === wanted,
      {},
      cell,
    );
  const beginsAtDate = () => maren.page.waitForSelector('.date input:focus');

  /** Types an entry of two lines from its date on: a debit, and the credit that the ledger offers. */
  const typeEntry = async (
    [date, comment]: readonly [string, string],
    [debit, amount, credit]: readonly [string, string, string],
  ): Promise<void> => {
    await beginsAtDate();
    await maren.press('Control+a');
    await maren.type(date);
    await maren.press('Tab', 'Tab');
    await maren.type(comment);
    await maren.press('Enter');
    await isAt('account/0');
    await maren.type(debit);
    await maren.press('Tab');
    await maren.type(amount);
    await maren.press('Enter');
    await isAt('account/1');
    await maren.type(credit);
    await maren.press('Tab', 'Tab', '=');
  };

  it('takes an entry: short dates, accounts by part of their name, the missing amount', async () => {
    await maren.command('new journal entry');
    await typeEntry(['20 nov', 'Apples of November'], ['rent', '450+450', '1010']);
    await maren.sees('Balanced');
    await maren.press('Control+Enter');
    await maren.sees('Posted.');
    await beginsAtDate();
  });

  it('takes ten in a row, each at once with the next', async () => {
    for (let count = 1; count <= 10; count += 1) {
      await typeEntry(['+0', `Errand ${count}`], ['6130', `${count}0`, 'till']);
      await maren.press('Control+Enter');
      await maren.sees('Posted.');
      await maren.page.waitForFunction(
        () => document.querySelector<HTMLInputElement>('.comment input')?.value === '',
      );
    }
    await maren.command('go to the ledger');
    await maren.sees('Errand 10');
    await maren.sees('Errand 1');
  });

  it('says at the line why an entry cannot be posted, and goes there', async () => {
    await maren.command('new journal entry');
    await typeEntry(['today', 'On a heading'], ['6100', '5', 'till']);
    await maren.press('Control+Enter');
    await maren.sees('This is a heading and takes no postings');
    await isAt('account/0');
  });

  it('goes to the market that a sale wants, and posts from there', async () => {
    await maren.tabTo('Drop this draft');
    await maren.press('Enter');
    await maren.page.waitForSelector('.entry-head:focus');
    await maren.press('n');
    await typeEntry(['today', 'Cider to the coast'], ['1200', '480', '4020']);
    await maren.press('Control+Enter');
    await maren.sees('This account wants a value of Market.');
    await maren.page.waitForFunction(() =>
      document.activeElement
        ?.closest('[data-cell]')
        ?.getAttribute('data-cell')
        ?.startsWith('value-'),
    );
    await maren.type('coa');
    await maren.press('Control+Enter');
    await maren.sees('Posted.');
    await typeEntry(['today', 'On a heading'], ['6100', '5', 'till']);
    await maren.press('Control+Enter');
    await maren.sees('This is a heading and takes no postings');
  });

  it('offers the account for rounding for a difference of less than one whole unit', async () => {
    await maren.does('Drop this draft');
    await maren.page.waitForSelector('.entry-head:focus');
    await maren.command('default accounts by purpose');
    await maren.page.waitForSelector('input[aria-label="Account for: Rounding"]');
    await maren.page.focus('input[aria-label="Account for: Rounding"]');
    await maren.type('6390');
    await maren.press('Enter');
    await maren.sees('9 purposes have no account yet');
    await maren.command('new journal entry');
    await typeEntry(['today', 'Paid short'], ['6130', '20', 'till']);
    await maren.page.focus('[data-cell="credit/1"]');
    await maren.press('Control+a');
    await maren.type('19.97');
    await maren.does('Put 0.03 on 6390 Miscellaneous (Rounding)');
    await maren.sees('Balanced');
    await maren.press('Control+Enter');
    await maren.sees('Posted.');
    await typeEntry(['today', 'On a heading'], ['6100', '5', 'till']);
    await maren.press('Control+Enter');
    await maren.sees('This is a heading and takes no postings');
  });

  it('keeps what is half typed, and offers it in the journal', async () => {
    await maren.sees('Draft kept');
    await maren.command('go to the ledger');
    await maren.sees('Half typed');
    await maren.sees('On a heading');
    await maren.tabTo('Go on');
    await maren.press('Enter');
    await maren.sees('This is a heading and takes no postings');
    await maren.tabTo('Drop this draft');
    await maren.press('Enter');
    await maren.sees('Errand 10');
    await maren.seesNoMore('Half typed');
  });

  it('opens an account of the chart line by line, and an entry from there', async () => {
    await maren.command('go to the chart');
    await maren.hasChart();
    await maren.press('2');
    await maren.goTo('6110');
    await maren.press('l');
    await maren.sees('6110 Rent');
    await maren.tabTo('To');
    await maren.press('Control+a');
    await maren.type('dec');
    await maren.press('Control+a', 'Delete', 'Tab');
    await maren.sees('Apples of November');
    await maren.tabTo('Lines, newest first');
    await maren.press('Enter');
    await maren.sees('Posted by Maren Oake');
  });

  it('takes an entry back and posts its correction, tied to one another', async () => {
    await maren.tabTo('Correct');
    await maren.press('Enter');
    await maren.sees('an opposite one takes it back');
    await maren.tabTo('Take back and correct');
    await maren.press('Enter');
    await beginsAtDate();
    await maren.sees('Correction');
    await maren.page.focus('[data-cell="debit/0"]');
    await maren.press('Control+a');
    await maren.type('950');
    await maren.page.focus('[data-cell="credit/1"]');
    await maren.press('Control+a', 'Delete', '=');
    await maren.tabTo('Post');
    await maren.press('Enter');
    await maren.sees('Corrects entry');
    await maren.sees('950.00');
  });

  it('offers a standing entry on its days, posts those that are due, and remembers one that is skipped', async () => {
    await maren.command('standing entries that come again');
    await maren.tabTo('New standing entry');
    await maren.press('Enter');
    await maren.tabTo('Name');
    await maren.type('Rent of the barn');
    await maren.press('Tab', 'Tab', 'Control+a');
    await maren.type('1 sep');
    await maren.press('Tab');
    await maren.sees('1 Sep 2026 · 1 Oct 2026');
    await maren.page.focus('[data-cell="account/0"] input');
    await maren.type('rent');
    await maren.press('Tab');
    await maren.type('700');
    await maren.press('Enter');
    await isAt('account/1');
    await maren.type('1010');
    await maren.press('Tab', 'Tab', '=');
    await maren.tabTo('Keep');
    await maren.press('Enter');
    await maren.sees('due');
    await maren.command('go to the ledger');
    await maren.sees('Post 3 due entries');
    await maren.tabTo('Skip');
    await maren.press('Enter');
    await maren.sees('Post 2 due entries');
    await maren.tabTo('Post 2 due entries');
    await maren.press('Enter');
    await maren.seesNoMore('due entries');
    await maren.command('standing entries that come again');
    await maren.sees('Posted 2 times');
    await maren.sees('skipped 1 Sep 2026');
  });

  it('posts opening balances, their difference said', async () => {
    await maren.command('type opening balances');
    await maren.sees('Together');
    await maren.sees('Nothing differs from the books.');
    await maren.tabTo('Debit of 1060');
    await maren.press('Control+a');
    await maren.type('450');
    await maren.sees('(50.00) is open and goes to 3060 Opening balance equity');
    await maren.press('ArrowUp');
    await maren.press('Control+a');
    await maren.type('766.30');
    await maren.sees('2 accounts change; debits and credits are equal.');
    await maren.tabTo('Post these balances');
    await maren.press('Enter');
    await maren.sees('Posted at 30 Jun 2026.');
    await maren.sees('Nothing differs from the books.');
  });

  it('shows on the chart and the statement at once what was posted, and that a till is overdrawn', async () => {
    await maren.command('new journal entry');
    await typeEntry(['31 oct', 'More than there is'], ['6130', '99999', 'till']);
    await maren.press('Control+Enter');
    await maren.sees('Posted.');
    await maren.command('go to the chart');
    await maren.hasChart();
    await maren.goTo('1060');
    await maren.page.waitForFunction(
      () => document.querySelector('.row.selected .note')?.textContent === 'overdrawn',
    );
    await maren.page.waitForFunction(
      () => document.querySelector('.line.joined .odd')?.textContent === 'overdrawn',
    );
  });

  it('says of entries of a file which line keeps them from being posted', async () => {
    await maren.command('bring entries in from a file');
    await maren.sees('Drop a file here');
    await maren.page.focus('#pasted');
    await maren.page.keyboard.sendCharacter(
      'Date;Entry;Account;Debit;Credit\n2026-10-05;W1;1200;50.00;\n2026-10-05;W1;4020;;50.00',
    );
    await maren.does('Read these rows');
    await maren.sees('Line 3, 4020: This account wants a value of Market.');
  });

  it('begins an entry from another one as its pattern', async () => {
    await maren.command('go to the ledger');
    await maren.sees('More than there is');
    await maren.page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('.entry-head')]
        .find(({ textContent }) => textContent.includes('More than there is'))
        ?.focus(),
    );
    await maren.press('Enter');
    await maren.tabTo('Use as a pattern');
    await maren.press('Enter');
    await beginsAtDate();
    expect(
      await maren.page.$$eval('[data-cell^="account/"] input', (fields) =>
        fields.map((field) => field.value),
      ),
    ).toContain('1060 Taproom till');
    await maren.tabTo('Drop this draft');
    await maren.press('Enter');
    await maren.sees('Errand 10');
  });

  it('locks what was handed over: nothing is posted there any more', async () => {
    await maren.command('lock the books through');
    await maren.sees('No period is locked.');
    await maren.tabTo('Why');
    await maren.type('sent to the bank');
    await maren.press('Enter');
    await maren.sees('Everything through');
    await maren.command('new journal entry');
    await typeEntry(['3 oct', 'Too late'], ['rent', '5', '1010']);
    await maren.sees('The books are locked through');
    await maren.press('Control+Enter');
    await maren.sees('The books are locked through');
    await maren.tabTo('Drop this draft');
    await maren.press('Enter');
    await maren.sees('Errand 10');
  });

  it('loses nothing of an entry when the server is away and the page is closed', async () => {
    await maren.command('new journal entry');
    await beginsAtDate();
    await bench.application.end();
    await maren.press('Tab', 'Tab');
    await maren.type('Typed in the dark');
    await maren.sees('Kept in this browser');
    const again = await maren.anotherVisit(() => bench.application.run());
    await again.page.waitForFunction(
      () =>
        document.querySelector<HTMLInputElement>('.comment input')?.value === 'Typed in the dark',
    );
    maren = again;
  });

  it('is read by a colleague of the practice, half typed entries apart', async () => {
    const tobias = await bench.another(TOBIAS);
    await tobias.openClient(CIDER);
    await tobias.hasChart();
    await tobias.page.goto(tobias.page.url().replace('/chart', '/ledger/journal'));
    await tobias.sees('Errand 10');
    expect(await tobias.page.evaluate(() => document.body.innerText)).not.toContain('Half typed');
    expect(tobias.complaints).toEqual([]);
    await tobias.close();
  });

  it('leaves no complaint in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});
