// Takes the pictures of docs/screenshots from the demo practice. Run by bin/screenshots.
import { join } from 'node:path';
import { Application } from './support/application';
import { Bookkeeper, MAREN } from './support/bookkeeper';
import { isStill } from './support/stillness';
import { openBrowser } from './support/browser';

const FOLDER = join(process.cwd(), 'docs/screenshots');

const OUTLINE = `Assets
  Bank
    Current account
    Regatta account
  Boathouse till
  Boats [land, property and equipment]
    Eights
    Accumulated depreciation on boats
Income
  Membership subscriptions
  Regatta entry fees
  Donations received
Expenses
  Rent of the landing
  Boat repairs
  Insurance of boats
  Bank charges`;

const LIST = `Heron Reach Rowing Club, accounts at 31.10.2026
Code;Account name;Class;Balance;Active
1000;Current account;Bank;12.450,00;yes
1010;Petty cash;Cash;85,50;yes
1010;Café float;Cash;120,00;yes
1200;Members owing;Debtors;640,00;yes
15 00!;Boats;Fixed assets;48.000,00;yes
1590;Boats, depreciation to date;Fixed assets;-19.200,00;yes
2000;Suppliers;Creditors;-1.310,00;yes
2300;Loan from the members;Long term liability;-8.000,00;yes
3000;Club funds;Equity;-28.000,00;yes
4000;Subscriptions;Income;-9.600,00;yes
4010;Regatta entries;Income;-2.150,00;yes
4900;;Income;;yes
5000;Boat repairs;Expense;3.480,00;yes
5010;Coaching;Expense;1.900,00;yes
5020;Boathouse rent;Expense;2.400,0x;yes
5030;Old bar;Expense;0,00;no
;Total;;0,00;`;

const application = await Application.start();
const browser = await openBrowser();

try {
  const maren = await Bookkeeper.at(browser, application);
  const { page } = maren;

  const picture = async (name: string): Promise<void> => {
    await isStill(page);
    await new Promise((resolve) => setTimeout(resolve, 250));
    await page.screenshot({ path: join(FOLDER, `${name}.png`) });
  };

  const open = async (client: string): Promise<void> => {
    await page.goto(`${application.address}/clients`);
    await maren.openClient(client);
  };

  await maren.signIn(MAREN);
  await maren.sees('Clients');
  await maren.sees('Heron Reach Rowing Club');
  await page.waitForFunction(
    () => document.querySelector('table')?.textContent.includes('…') === false,
  );
  await picture('clients');

  await open('Heron Reach Rowing Club');
  await maren.sees('has no chart yet');
  await maren.press('Enter');
  await maren.sees('Choose what');
  await picture('starting-chart');

  await page.goto(page.url().replace('/start', '/outline'));
  await page.waitForSelector('textarea:focus');
  await page.keyboard.sendCharacter(OUTLINE);
  await maren.sees('14 accounts understood.');

  await page.goto(page.url().replace('/outline', '/import'));
  await maren.sees('Or paste rows');
  await page.focus('textarea');
  await page.$eval('textarea', (field) => field.select());
  await page.evaluate((text) => {
    const field = document.querySelector('textarea');
    if (field === null) return;
    field.value = text;
    field.dispatchEvent(new Event('input'));
  }, LIST);
  await maren.tabTo('Read these rows');
  await maren.press('Enter');
  await maren.sees('See the accounts');
  await maren.sees('new accounts');
  await maren.press('Control+Enter');
  await page.waitForSelector('[role=listbox]:focus');
  await picture('bring-in-accounts');

  await open('Kestrel Lane Cider Works');
  await maren.hasChart();
  await maren.lineShows('Gross profit');
  await picture('bench');

  await maren.press('r');
  await maren.sees('What moves on the statements');
  await picture('review');
  await maren.press('Escape');
  await maren.hasChart();

  await maren.goTo('1590');
  await maren.press('Space');
  await maren.sees('Lands on');
  await picture('account');
  await maren.press('Escape');
  await maren.hasChart();

  await page.goto(page.url().replace('/chart', '/ledger/journal'));
  await maren.sees('Interest on the reserve');
  await maren.tabTo('667');
  await maren.press('Enter');
  await maren.sees('Brought in from elsewhere');
  await picture('journal');
  await page.goto(page.url().replace('/journal', '/new'));
  await page.waitForSelector('.date input:focus');
  await maren.press('Tab', 'Tab');
  await maren.type('Rent and power of the barn');
  await maren.press('Enter');
  await maren.type('rent');
  await maren.press('Tab');
  await maren.type('900');
  await maren.press('Enter');
  await maren.type('power');
  await maren.press('Tab');
  await maren.type('212.40+18.10');
  await maren.press('Enter');
  await maren.type('1010');
  await maren.press('Tab', 'Tab');
  await maren.sees('Draft kept');
  await maren.tabTo('Drop this draft');
  await maren.press('Enter');
  await maren.sees('Interest on the reserve');
  await page.goto(page.url().replace('/ledger/journal', '/chart'));
  await maren.hasChart();

  await page.goto(page.url().replace('/chart', '/front'));
  await page.waitForSelector('iu-picture path[val]');
  await picture('front');
  await page.goto(page.url().replace('/front', '/statements/budget'));
  await maren.tabTo('Last year’s amounts and');
  await maren.press('Control+a');
  await maren.type('5');
  await maren.does('Begin with them');
  await maren.sees('155,551.17');
  await page.focus('table[role=grid]');
  await picture('budget');
  await maren.press('Control+z');
  await page.goto(page.url().replace('/budget', '/profitAndLoss?columns=yearBefore'));
  await maren.sees('Net revenue');
  await maren.does('Own layout');
  await maren.sees('Call it complete');
  await page.waitForSelector('[role=grid] [role=row]');
  await page.focus('[role=grid]');
  await maren.press(...Array.from({ length: 11 }, () => 'ArrowDown'), 'r');
  await page.waitForSelector('iu-row-strip input:focus');
  await maren.type('Gross margin');
  await maren.press('Tab');
  await picture('own-layout');
  await page.goto(page.url().replace(/\/statements\/.*/, '/chart'));
  await maren.hasChart();
  const routes = page.url().replace('/chart', '/routes');
  await page.goto(`${routes}/lines`);
  for (let told = false; !told;) {
    await maren.tabTo('Ask the bank');
    await maren.press('Enter');
    await page.waitForFunction(() => /HOLLOW LANE|does not answer/.test(document.body.innerText));
    // The simulated bank now and then does not answer.
    told = await page.evaluate(() => document.body.innerText.includes('HOLLOW LANE'));
  }
  await page.goto(`${routes}/proofs`);
  await maren.sees('6 hold');
  await picture('proofs');
  await page.goto(`${routes}/trace`);
  await maren.tabTo('Words of the line');
  await maren.type('Direct debit Valley Power and Water');
  await maren.press('Tab');
  await maren.type('-140.59');
  await maren.sees('Form 1065');
  await picture('trace');
  await page.goto(routes.replace('/routes', '/chart'));
  await maren.hasChart();

  await page.goto(page.url().replace('/chart', '/exchange'));
  await maren.sees('With amounts, 1 July');
  await picture('exchange');
  await page.goBack();
  await maren.hasChart();

  await open('Kestrel Lane Cider Works');
  await maren.hasChart();
  await page.goto(page.url().replace('/clients/', '/look/').replace('/chart', ''));
  await maren.sees('What belongs where');
  await picture('at-a-glance');

  await open('Tern Street Ceramics');
  await maren.hasChart();
  await page.goto(page.url().replace('/chart', '/tidy'));
  await page.waitForSelector('.ways button');
  await page.focus('[role=listbox]');
  await maren.press('ArrowDown', 'ArrowDown', 'ArrowDown');
  await maren.sees('On the statements');
  await picture('tidy');
  await page.goto(page.url().replace('/tidy', '/tidy/plan'));
  await maren.sees('Every total stays');
  await picture('whole-way');
  await page.goto(page.url().replace('/tidy/plan', '/chart'));
  await maren.hasChart();
  await maren.tabTo('Numbers');
  await maren.press('Enter');
  await maren.sees('numbers change');
  await maren.tabTo('Read it off the numbers');
  await maren.press('Enter');
  await maren.sees(' of 95 numbers change');
  await picture('numbers');

  await open('Kestrel Lane Cider Works');
  await maren.hasChart();
  await maren.command('statement profit and loss');
  await maren.sees('Agrees with the trial balance');
  await maren.tabTo('Columns');
  await maren.type('a year');
  await maren.press('Enter');
  await maren.sees('118,682.82');
  await page.focus('[role=grid]');
  await maren.press('ArrowDown', 'ArrowDown');
  await picture('statement');

  await open('Tern Street Ceramics');
  await maren.hasChart();
  await page.evaluate(() => localStorage.setItem('iunctus.theme', 'dark'));
  await page.reload();
  await maren.hasChart();
  await maren.goTo('6600');
  await maren.lineShows('Drawings');
  await picture('bench-dark');
} finally {
  await browser.close();
  await application.stop();
}
