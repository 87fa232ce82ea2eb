import type { Browser } from 'puppeteer-core';
import { Application } from './support/application';
import { Bookkeeper, MAREN } from './support/bookkeeper';
import { openBrowser } from './support/browser';

describe('while the server is away', () => {
  let application: Application;
  let browser: Browser;
  let maren: Bookkeeper;
  beforeAll(async () => {
    application = await Application.start();
    browser = await openBrowser();
    maren = await Bookkeeper.at(browser, application);
    await maren.signIn(MAREN);
    await maren.openClient('Tern Street Ceramics');
    await maren.hasChart();
  });
  afterAll(async () => {
    await browser.close();
    await application.stop();
  });

  const renameTo = async (number: string, name: string): Promise<void> => {
    await maren.goTo(number);
    await maren.press('Enter');
    await maren.page.waitForSelector('iu-row-editor .name:focus');
    await maren.press('Control+a');
    await maren.type(name);
    await maren.press('Enter');
    await maren.page.waitForSelector('[role=treegrid]:focus');
    await maren.cursorShows({ name });
  };

  it('a change waits in the page, which says so, and is kept by itself once the server is back', async () => {
    await application.end();
    await renameTo('5001', 'Stoneware clay');
    await maren.sees('The server cannot be reached. Trying again by itself');
    await application.run();
    await maren.seesNoMore('The server cannot be reached');
    await maren.isKept();
    await maren.page.reload();
    await maren.hasChart();
    await maren.rowShows('5001', { name: 'Stoneware clay' });
  });

  it('what is adopted waits until all of it is kept, and bears the proposal’s name', async () => {
    await application.end();
    await renameTo('5002', 'Raw glaze');
    await maren.press('Control+Enter');
    await maren.sees('The server cannot be reached');
    await application.run();
    await maren.sees('Revision 2');
    await maren.page.reload();
    await maren.hasChart();
    await maren.goTo('Raw glaze');
    await maren.cursorShows({ name: 'Raw glaze', was: '' });
  });

  it('a page that is opened waits for it', async () => {
    await application.end();
    const opening = maren.press('Control+k');
    await opening;
    await maren.type('history');
    await maren.press('Enter');
    await maren.sees('The server cannot be reached');
    await application.run();
    await maren.sees('2 changes');
  });
});
