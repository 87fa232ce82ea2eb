import type { Browser } from 'puppeteer-core';
import { openPractice, type AtTheBench } from './support/bench';
import { Application } from './support/application';
import { Bookkeeper, MAREN } from './support/bookkeeper';
import { openBrowser } from './support/browser';

describe('a client’s first chart, by keyboard alone', () => {
  let application: Application;
  let browser: Browser;
  let maren: Bookkeeper;
  beforeAll(async () => {
    application = await Application.start();
    browser = await openBrowser();
    maren = await Bookkeeper.at(browser, application);
  });
  afterAll(async () => {
    await browser.close();
    await application.stop();
  });

  it('is refused to somebody with a wrong password', async () => {
    await maren.signIn(MAREN, 'not-the-password');
    await maren.sees('E-mail address and password do not fit together.');
    // The refused request itself is a line in the console.
    expect(maren.complaints.splice(0)).toEqual([expect.stringContaining('401')]);
    await maren.page.reload();
  });

  it('begins from a client that says how to start one', async () => {
    await maren.signIn(MAREN);
    await maren.openClient('Heron Reach Rowing Club');
    await maren.sees('Heron Reach Rowing Club has no chart yet');
    await maren.tabTo('Start a chart');
    await maren.press('Enter');
    await maren.sees('Choose what Heron Reach Rowing Club does');
  });

  it('shows the accounts of a trade before they are made', async () => {
    await maren.page.waitForSelector('input[aria-label="Find a trade"]:focus');
    // Nothing is known of the trade, and none is taken for granted.
    await maren.sees('Choose a trade first');
    await maren.seesNoMore('Operating account');
    await maren.type('brewery');
    await maren.sees('NAICS 312120');
    await maren.sees('Makes cider, beer, spirits');
    await maren.press('Control+a');
    await maren.type('machine shops');
    await maren.sees('NAICS 332710');
    await maren.press('Control+a');
    await maren.type('consultant');
    await maren.sees('Professional services');
    await maren.seesNoMore('NAICS 332710');
    await maren.press('Tab', 'Space');
    await maren.sees('Professional liability insurance');
    await maren.sees('Statement of activities › Operating expenses');
  });

  it('arrives as a proposal like any other change', async () => {
    await maren.sees('accounts for Professional services');
    await maren.tabTo('Propose these');
    await maren.press('Enter');
    await maren.hasChart();
    await maren.sees('Nothing adopted yet');
    await maren.rowShows('1010', { name: 'Operating account', was: 'new' });
    await maren.lineShows('Cash and bank');
  });

  it('takes another account, with a number that fits and a kind that says where it leads', async () => {
    await maren.goTo('Retainers');
    await maren.press('n');
    await maren.page.waitForSelector('iu-row-editor .name:focus');
    await maren.sees('Statement of activities › Revenue and support › Services');
    await maren.type('Rowing courses');
    await maren.press('Enter');
    await maren.lineShows('Rowing courses');
    await maren.cursorShows({
      number: '4025',
      name: 'Rowing courses',
      kind: 'Services',
      level: 2,
    });
  });

  it('becomes revision 1 when it is adopted', async () => {
    await maren.isKept();
    await maren.press('Control+Enter');
    await maren.sees('Revision 1');
    await maren.sees('No changes.');
    expect((await maren.rows()).filter(({ was }) => was !== '')).toEqual([]);
  });

  it('is all there after a restart', async () => {
    await application.restart();
    await maren.page.reload();
    await maren.hasChart();
    await maren.sees('Revision 1');
    await maren.goTo('Rowing courses');
    await maren.cursorShows({ number: '4025' });
    await maren.lineShows('Rowing courses');
  });

  it('leaves no complaint in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});

describe('the first chart of a client of whom something is known', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openPractice();
    maren = bench.maren;
  });
  afterAll(() => bench.leave());

  it('has its trade in sight, in the words and taxes of its country', async () => {
    await maren.tabTo('Add a client');
    await maren.press('Enter');
    await maren.sees('Fiscal year begins in');
    await maren.type('Mill Lane Lettings');
    for (const chosen of ['sole', 'landl', 'irel']) {
      await maren.press('Tab');
      await maren.type(chosen);
      await maren.press('Enter');
    }
    await maren.tabTo('Add client');
    await maren.press('Enter');
    await maren.sees('Start a chart');
    await maren.tabTo('Start a chart');
    await maren.press('Enter');
    await maren.sees('accounts for Landlord');
    await maren.sees('Letting homes is exempt from VAT');
    await maren.sees('Trade debtors');
    const first = await maren.page.$eval('.trades .choice', (card) => card.textContent?.trim());
    expect(first).toMatch(/^Landlord/);
  });

  it('keeps what was answered when another country is chosen, and asks what that one asks', async () => {
    await maren.tabTo('Tips');
    await maren.press('Space');
    await maren.sees('Tips payable');
    await maren.tabTo('Canada');
    await maren.press('Enter');
    await maren.sees('Sales in Quebec');
    await maren.sees('Trade receivables');
    await maren.sees('Tips payable');
  });

  it('leaves no complaint in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});
