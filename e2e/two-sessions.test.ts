import type { Browser } from 'puppeteer-core';
import { Application } from './support/application';
import { Bookkeeper, MAREN, TOBIAS } from './support/bookkeeper';
import { openBrowser } from './support/browser';

describe('two sessions on one chart, on two servers that take requests in turn', () => {
  let application: Application;
  let browser: Browser;
  let maren: Bookkeeper;
  let tobias: Bookkeeper;
  beforeAll(async () => {
    application = await Application.start(2);
    browser = await openBrowser();
  });
  beforeEach(async () => {
    maren = await Bookkeeper.at(browser, application);
    tobias = await Bookkeeper.at(browser, application);
    for (const [who, email] of [
      [maren, MAREN],
      [tobias, TOBIAS],
    ] as const) {
      await who.signIn(email);
      await who.openClient('Tern Street Ceramics');
      await who.hasChart();
    }
  });
  afterEach(async () => {
    await maren.close();
    await tobias.close();
  });
  afterAll(async () => {
    await browser.close();
    await application.stop();
  });

  const rename = async (who: Bookkeeper, number: string, name: string): Promise<void> => {
    await who.page.bringToFront();
    await who.goTo(number);
    await who.press('Enter');
    await who.page.waitForSelector('iu-row-editor .name:focus');
    await who.type(name);
    await who.press('Enter');
    await who.sees(name);
    await who.isKept();
  };

  const adopt = async (who: Bookkeeper): Promise<void> => {
    await who.page.bringToFront();
    await who.press('Control+Enter');
    await who.sees('No changes.');
  };

  it('both keep their changes when they adopt one after the other', async () => {
    await rename(maren, '5001', 'Stoneware clay');
    await rename(tobias, '5003', 'Raw glaze');
    await adopt(maren);
    await adopt(tobias);
    await tobias.goTo('5001');
    await tobias.cursorShows({ name: 'Stoneware clay' });
    await tobias.rowShows('5003', { name: 'Raw glaze' });
  });

  it('are shown both intents when they cannot both have their way', async () => {
    await rename(maren, '5010', 'Metal oxides');
    await rename(tobias, '5010', 'Colouring oxides');
    await adopt(maren);
    await tobias.page.bringToFront();
    await tobias.press('Control+Enter');
    await tobias.sees('1 no longer fit');
    await tobias.press('r');
    // Both in the words of when they were made.
    await tobias.sees('You wanted: Oxides renamed “Colouring oxides”');
    await tobias.sees('Adopted meanwhile: Oxides renamed “Metal oxides”');
    await tobias.tabTo('Propose mine again');
    await tobias.press('Enter');
    await tobias.seesNoMore('The chart moved on');
    await tobias.press('Escape');
    await tobias.hasChart();
    await tobias.goTo('5010');
    await tobias.cursorShows({
      name: 'Colouring oxides',
      was: 'was “Metal oxides”',
    });
    await adopt(tobias);
  });

  it('of one user keep the changes of both windows', async () => {
    const second = await maren.anotherWindow();
    await second.hasChart();
    await rename(maren, '6012', 'Bottled gas');
    await rename(second, '6013', 'Water and drains');
    await second.sees('both are now together here');
    await second.rowShows('6012', { name: 'Bottled gas' });
    await second.isKept();
    expect([...second.complaints].filter((text) => !text.includes('409'))).toEqual([]);
  });
});
