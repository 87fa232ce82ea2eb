import type { Browser } from 'puppeteer-core';
import { Application } from './support/application';
import { Bookkeeper, MAREN, TOBIAS } from './support/bookkeeper';
import { openBrowser } from './support/browser';

describe('handing a proposal to a colleague, by keyboard alone', () => {
  let application: Application;
  let browser: Browser;
  let maren: Bookkeeper;
  let tobias: Bookkeeper;
  beforeAll(async () => {
    application = await Application.start();
    browser = await openBrowser();
    maren = await Bookkeeper.at(browser, application);
    tobias = await Bookkeeper.at(browser, application);
    await maren.signIn(MAREN);
    await maren.openClient('Kestrel Lane Cider Works');
    await maren.hasChart();
    await tobias.signIn(TOBIAS);
    await tobias.sees('Clients');
  });
  afterAll(async () => {
    await browser.close();
    await application.stop();
  });

  const openReview = async (): Promise<void> => {
    await tobias.page.goto(`${application.address}/clients`);
    await tobias.openClient('Kestrel Lane Cider Works');
    await tobias.sees('Maren Oake asks for your word');
    await tobias.tabTo('Read it');
    await tobias.press('Enter');
    await tobias.sees('What it does to the statements');
  };

  it('says in plain words what the client will see, on a page to print', async () => {
    await maren.press('r');
    await maren.sees('What it is called');
    await maren.tabTo('Page for the client');
    await maren.press('Enter');
    await maren.sees('“Excise duty” is shown under “Cost of sales”.');
    await maren.sees('Duty rises with every bottle released');
    await maren.sees('The profit stays as it is.');
    await maren.sees('Agreed');
    // On small paper it goes on to a second page instead of ending with the first.
    const paper = Buffer.from(await maren.page.pdf({ format: 'A6' })).toString('latin1');
    expect(paper.match(/\/Type \/Page\b/g)?.length).toBeGreaterThan(1);
    await maren.tabTo('Back to the chart');
    await maren.press('Enter');
    await maren.hasChart();
  });

  it('goes to the colleague, who is told of it', async () => {
    await maren.press('r');
    await maren.tabTo('Hand over for review');
    await maren.press('Enter');
    await maren.sees('With Tobias Fenn for review.');
    await tobias.page.reload();
    await tobias.sees('1 to review');
    await openReview();
    await tobias.sees('Excise duty with the cider it is paid on');
  });

  it('comes back with a remark on one of its changes', async () => {
    await tobias.tabTo('Remark on: “Fuel”');
    await tobias.type('Only the van? The press runs on diesel too.');
    await tobias.press('Enter');
    await tobias.sees('Only the van?');
    await tobias.press('Shift+Tab');
    await tobias.page.evaluate(() => window.scrollTo(0, 0));
    for (const _step of [1, 2, 3, 4, 5, 6]) await tobias.press('Shift+Tab');
    await tobias.tabTo('Send back');
    await tobias.press('Enter');
    await tobias.sees('Clients');
    await maren.page.reload();
    await maren.hasChart();
    await maren.press('r');
    await maren.sees('Sent back by Tobias Fenn.');
    await maren.sees('The press runs on diesel too.');
  });

  it('is changed, handed over again, approved and adopted, and the history says by whom', async () => {
    await maren.press('Escape');
    await maren.hasChart();
    await maren.goTo('6210');
    await maren.press('Enter');
    await maren.page.waitForSelector('iu-row-editor .name:focus');
    await maren.press('Control+a');
    await maren.type('Fuel for van and press');
    await maren.press('Enter');
    await maren.cursorShows({ name: 'Fuel for van and press' });
    await maren.isKept();
    await maren.press('r');
    await maren.seesNoMore('Sent back by');
    await maren.tabTo('Hand over for review');
    await maren.press('Enter');
    await maren.sees('With Tobias Fenn for review.');
    await openReview();
    await tobias.tabTo('Approve');
    await tobias.press('Enter');
    await tobias.sees('Clients');
    await maren.page.reload();
    await maren.hasChart();
    await maren.press('r');
    await maren.sees('Approved by Tobias Fenn.');
    await maren.press('Escape');
    await maren.hasChart();
    await maren.press('r');
    await maren.tabTo('Adopt');
    await maren.press('Enter');
    await maren.sees('Revision 4');
    await maren.page.waitForSelector('iu-foot-bar');
    await maren.page.goto(maren.page.url().replace(/\/chart.*/, '/history'));
    await maren.sees('Excise duty with the cider it is paid on');
    await maren.sees('approved by Tobias Fenn');
  });

  it('shows restricted accounts to those who may see them, and one other line to the rest', async () => {
    await maren.page.goto(maren.page.url().replace(/\/history.*/, '/chart'));
    await maren.hasChart();
    for (const number of ['6010', '6020']) {
      await maren.goTo(number);
      await maren.press('Space');
      await maren.tabTo('Who sees it');
      await maren.press('Enter');
      await maren.tabTo('Tobias Fenn');
      await maren.press('Space');
      await maren.press('Escape');
      await maren.hasChart();
    }
    await maren.isKept();
    await maren.press('Control+Enter');
    await maren.sees('Revision 5');
    await maren.hasChart();
    await maren.rowShows('6020', { name: 'Payroll taxes' });
    await tobias.openClient('Kestrel Lane Cider Works');
    await tobias.hasChart();
    await tobias.goTo('Other');
    await tobias.cursorShows({ number: '', name: 'Other', amount: '28,996.75' });
    await tobias.press('Space');
    await tobias.page.waitForSelector('iu-sheet');
    await tobias.press('Control+a');
    await tobias.type('Pay');
    await tobias.press('Tab');
    await tobias.sees('This stands for accounts that are not yours to see.');
    await tobias.press('Escape');
    await tobias.hasChart();
  });

  it('complains about nothing in the console', () => {
    expect([...maren.complaints, ...tobias.complaints]).toEqual([]);
  });
});
