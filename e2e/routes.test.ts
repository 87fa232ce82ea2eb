import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openBench, type AtTheBench } from './support/bench';
import { TOBIAS, type Bookkeeper } from './support/bookkeeper';

const CIDER = 'Kestrel Lane Cider Works';

const LIST = `Quay Bank, account 4471;;;
Date;Details;Paid out;Paid in
2026-10-01;STANDING ORDER HOLLOW LANE RENT OF THE STORE;310.00;
2026-10-13;HERON INN INVOICE 44;;233.15
31 Octember;CARD FERNHILL FUEL;75.45;`;

describe('routes, by keyboard', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openBench(CIDER);
    maren = bench.maren;
  });
  afterAll(() => bench.leave());

  const field = (label: string): string => `input[aria-label^="${label}"]`;
  const into = async (label: string, text: string): Promise<void> => {
    await maren.page.waitForSelector(field(label));
    await maren.page.focus(field(label));
    await maren.type(text);
    await maren.press('Enter');
  };
  const value = (label: string) =>
    maren.page.$eval(field(label), (input) => (input as HTMLInputElement).value);
  /** The simulated sources now and then do not answer, and say so: whoever asks asks again. */
  const ask = async (whom: string, told: string): Promise<void> => {
    for (;;) {
      await maren.does(whom);
      await maren.page.waitForFunction(
        (wanted) => {
          const shown = document.body.innerText;
          return shown.includes(wanted) || shown.includes('does not answer just now');
        },
        {},
        told,
      );
      if (await maren.page.evaluate((wanted) => document.body.innerText.includes(wanted), told))
        return;
    }
  };

  it('says which purposes have no account yet, and takes what the chart offers', async () => {
    await maren.command('default accounts by purpose');
    await maren.sees('10 purposes have no account yet');
    await maren.does('Take all 5 that the chart offers');
    await maren.sees('5 purposes have no account yet');
    await into('Account for: Purchase', 'misc');
    await maren.sees('4 purposes have no account yet');
    expect(await value('Account for: Interest paid')).toBe('7510 Loan interest');
  });

  it('takes a month of the bank’s lines through the rules, each once', async () => {
    await maren.command('take bank lines');
    await ask('Ask the bank', 'HOLLOW LANE PROPERTIES RENT');
    await maren.sees('Rule “hollow lane”');
    await maren.sees('of it ');
    await maren.press('Control+Enter');
    await maren.sees('lines posted.');
    await maren.sees('entry 6');
    await ask('Ask the bank', 'HOLLOW LANE PROPERTIES RENT');
    await maren.sees('Posted');
    await maren.seesNoMore('Ready');
  });

  it('learns a rule from a line that is sent somewhere by hand', async () => {
    await into('Account for: DIRECT DEBIT LARKWING TELECOM', '6340');
    await maren.does('Always: “direct debit larkwing”');
    await maren.sees('Rule “direct debit larkwing”');
    await maren.sees('Post 1 line');
    await maren.press('Control+Enter');
    await maren.sees('1 line posted.');
  });

  it('sets a line aside, and remembers that', async () => {
    await maren.does('Set aside LOAN REPAYMENT');
    await maren.sees('Bring back');
    await ask('Ask the bank', 'LOAN REPAYMENT');
    await maren.sees('Bring back');
  });

  it('says what each rule would have caught, and which can never decide', async () => {
    await maren.command('rules by words');
    await maren.sees('contains “direct debit larkwing” · money out');
    await maren.sees('1 line of the past year');
    await maren.does('New rule');
    await maren.page.waitForSelector('.words input:focus');
    await maren.type('hollow lane properties');
    await maren.sees('no line of the past year · 1 more goes by an earlier rule');
    await into('Goes to', '6390');
    await maren.does('Money out');
    await maren.does('Keep');
    await maren.sees('never decides: an earlier rule takes all of it');
    await maren.does('Drop contains “hollow lane properties”');
    await maren.seesNoMore('never decides');
  });

  it('reads a bank’s list from a file, names what cannot be read, and mends it on the spot', async () => {
    await maren.command('take bank lines');
    await maren.does('From a file');
    const file = join(mkdtempSync(join(tmpdir(), 'bank-')), 'october.csv');
    writeFileSync(file, LIST);
    const picker = await maren.page.waitForSelector('input[type=file]');
    await picker?.evaluate((input) => input.removeAttribute('tabindex'));
    await (picker as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(file);
    await maren.sees('“31 Octember” is no date.');
    await maren.page.focus('.mend input');
    await maren.press('Control+a');
    await maren.type('2026-10-31');
    await maren.press('Tab');
    await maren.seesNoMore('is no date');
    await maren.sees('Rule “fernhill fuel”');
    await maren.sees('Post 2 lines');
    await maren.press('Control+Enter');
    await maren.sees('2 lines posted.');
  });

  it('records a marketplace by month, and explains what it still holds', async () => {
    await maren.command('payouts of a marketplace');
    await ask('Ask the marketplace', 'What it still holds');
    await maren.sees('of it not posted yet');
    await maren.press('Control+Enter');
    await maren.sees('recorded by month');
    await maren.seesNoMore('ready');
    const amounts = await maren.page.$$eval('dl > *', (all) =>
      all.map((one) => ({
        isSum: one.classList.contains('sum'),
        amount:
          one.tagName === 'DD'
            ? Math.round(
                Number((one.textContent ?? '').replace(/[,)]/g, '').replace('(', '-')) * 100,
              )
            : 0,
      })),
    );
    // Down to the balance of the books, everything adds up to it.
    const end = amounts.findIndex(({ isSum, amount }) => isSum && amount !== 0);
    const above = amounts.slice(0, end).reduce((sum, { amount }) => sum + amount, 0);
    expect(above).toBe(amounts[end]?.amount);
  });

  it('follows a transaction to the statement and the return, and back to its entry', async () => {
    await maren.command('trace: from a transaction');
    await maren.tabTo('Words of the line');
    await maren.type('Standing order Hollow Lane');
    await maren.press('Tab');
    await maren.type('-1250');
    await maren.sees('Rule “hollow lane”');
    await maren.sees('Operating expenses');
    await maren.sees('6100 Premises');
    await maren.sees('Form 1065 line');
    await maren.does('6110 Rent');
    await maren.sees('STANDING ORDER HOLLOW LANE RENT OF THE STORE');
    await maren.tabTo('Lines, newest first');
    await maren.press('Enter');
    await maren.sees('Posted by');
    await maren.does('Trace 6110 Rent');
    await maren.sees('Named by hand');
    await maren.sees('6100 Premises');
  });

  it('breaks a proof by a move, says so at the foot and in the review, and holds once it is mended', async () => {
    await maren.command('go to the chart');
    await maren.hasChart();
    await maren.sees('6 proofs hold');
    await maren.goTo('6110');
    await maren.press('m');
    await maren.page.waitForSelector('iu-move-sheet input:focus');
    await maren.type('vehicles');
    await maren.press('Enter', 'Enter');
    await maren.sees('1 proof breaks');
    await maren.press('r');
    await maren.sees(
      'The proof “Rent counts under premises” breaks: it counts under another line, since: 6110 Rent moved under 6200 Vehicles.',
    );
    await maren.press('Escape');
    await maren.page.waitForSelector('[role=treegrid]:focus');
    await maren.command('proofs: where samples');
    await maren.sees('Does not hold: it counts under another line');
    await maren.tabTo('What breaks a proof');
    await maren.press('Space');
    await maren.command('go to the chart');
    await maren.hasChart();
    await maren.isKept();
    await maren.press('Control+Enter');
    await maren.sees(
      'This breaks proofs that the practice wishes to hold: Rent counts under premises.',
    );
    await maren.press('Control+z');
    await maren.sees('6 proofs hold');
  });

  it('says of an account which routes lead there', async () => {
    await maren.goTo('6110');
    await maren.press('Space');
    await maren.sees('Lands on');
    await maren.does('What uses it');
    await maren.sees('Rule: contains “hollow lane” · money out');
    await maren.press('Escape');
  });

  it('keeps a proof of one’s own, as it lands now', async () => {
    await maren.command('proofs: where samples');
    await maren.does('New proof');
    await maren.tabTo('Words of the line');
    await maren.type('Direct debit Larkwing');
    await maren.press('Tab');
    await maren.type('-64');
    await maren.tabTo('Name of the proof');
    await maren.type('The telephone is marketing');
    await maren.press('Enter');
    await maren.sees('7 hold');
  });

  it('opens a proof as it is, of money in and of money out, and keeps it', async () => {
    for (const name of ['Card takings are revenue', 'A new barrel is equipment']) {
      await maren.does(`Change ${name}`);
      await maren.page.waitForFunction(
        (wanted) =>
          document.querySelector<HTMLInputElement>('iu-proof-form .name input')?.value === wanted,
        {},
        name,
      );
      await maren.does('Keep');
      await maren.page.waitForFunction(() => document.querySelector('iu-proof-form') === null);
    }
    await maren.sees('7 hold');
  });

  it('takes the proofs that the routes offer, each once', async () => {
    await maren.does('Take ');
    await maren.seesNoMore('offered');
    await maren.seesNoMore('7 hold');
  });

  it('makes a proof of a trace, and leads back from a line of the return to its accounts', async () => {
    await maren.command('trace: from a transaction');
    await maren.tabTo('Words of the line');
    await maren.type('Account charges');
    await maren.sees('6390 Miscellaneous');
    await maren.does('Make a proof of it');
    await maren.sees('Give it a name.');
    await maren.tabTo('Name of the proof');
    await maren.type('Charges of the bank');
    await maren.press('Enter');
    await maren.sees('Charges of the bank');
    await maren.command('trace: from a transaction');
    await into('Section of a statement, or line of the return', 'line 21');
    await maren.sees('Amount of the period');
    await maren.does('6110 Rent');
    await maren.sees('HOLLOW LANE');
    await maren.command('proofs: where samples');
  });

  it('is seen by a colleague at once, with what was learned', async () => {
    const tobias = await bench.another(TOBIAS);
    await tobias.openClient(CIDER);
    await tobias.hasChart();
    await tobias.page.goto(tobias.page.url().replace('/chart', '/routes/proofs'));
    await tobias.sees('The telephone is marketing');
    expect(tobias.complaints).toEqual([]);
    await tobias.close();
  });

  it('leaves no complaint in the console but what the server refused', () => {
    expect(maren.complaints.filter((one) => !one.includes('422'))).toEqual([]);
  });
});
