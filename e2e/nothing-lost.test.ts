import type { Browser } from 'puppeteer-core';
import { Application } from './support/application';
import { Bookkeeper, MAREN, TOBIAS } from './support/bookkeeper';
import { openBrowser } from './support/browser';

describe('what is typed is never lost', () => {
  let application: Application;
  let browser: Browser;
  let maren: Bookkeeper;
  beforeAll(async () => {
    application = await Application.start();
    browser = await openBrowser();
  });
  beforeEach(async () => {
    maren = await Bookkeeper.at(browser, application);
    await maren.signIn(MAREN);
  });
  afterEach(() => maren.close());
  afterAll(async () => {
    await browser.close();
    await application.stop();
  });

  const atTheCeramics = async (who = maren): Promise<void> => {
    await who.openClient('Tern Street Ceramics');
    await who.hasChart();
  };

  const rename = async (number: string, name: string, who = maren): Promise<void> => {
    await who.goTo(number);
    await who.press('Enter');
    await who.page.waitForSelector('iu-row-editor .name:focus');
    await who.press('Control+a');
    await who.type(name);
    await who.press('Enter');
    await who.page.waitForSelector('[role=treegrid]:focus');
    await who.cursorShows({ name });
  };

  const keepsWaiting = (who = maren): Promise<void> =>
    who.sees('Kept in this browser until the server answers');

  it('an edit that the server never saw is there again when the page was closed meanwhile', async () => {
    await atTheCeramics();
    await application.end();
    await rename('5001', 'Stoneware clay');
    await keepsWaiting();
    const again = await maren.anotherVisit(() => application.run());
    await again.hasChart();
    await again.rowShows('5001', { name: 'Stoneware clay' });
    await again.sees('is in the proposal again');
    await again.isKept();
    expect(again.complaints).toEqual([]);
  });

  it('an undo that the server never saw stays undone', async () => {
    await atTheCeramics();
    await rename('5002', 'Raw glaze');
    await maren.isKept();
    await application.end();
    await maren.press('Control+z');
    await keepsWaiting();
    const again = await maren.anotherVisit(() => application.run());
    await again.hasChart();
    await again.isKept();
    await again.goTo('5002');
    await again.cursorShows({ was: '' });
  });

  it('an edit after the session ended elsewhere is there after signing in, at the same place', async () => {
    await atTheCeramics();
    // It is the edit that finds the session ended, not a read that is still under way.
    await maren.page.waitForNetworkIdle();
    await application.endSessions();
    await maren.goTo('5003');
    await maren.press('Enter');
    await maren.page.waitForSelector('iu-row-editor .name:focus');
    await maren.press('Control+a');
    await maren.type('Kiln wash');
    await maren.press('Enter');
    await maren.sees('E-mail address');
    expect(maren.page.url()).toContain('to=');
    await maren.signIn(MAREN);
    await maren.hasChart();
    await maren.goTo('5003');
    await maren.cursorShows({ name: 'Kiln wash' });
    await maren.isKept();
  });

  it('a half-typed row is open again after a reload', async () => {
    await atTheCeramics();
    await maren.goTo('5010');
    await maren.press('n');
    await maren.page.waitForSelector('iu-row-editor .name:focus');
    await maren.type('Stains and lustres');
    await maren.page.reload();
    await maren.page.waitForSelector('iu-row-editor .name:focus');
    const name = await maren.page.$eval(
      'iu-row-editor .name',
      (field) => (field as HTMLInputElement).value,
    );
    expect(name).toBe('Stains and lustres');
    await maren.press('Enter');
    await maren.hasChart();
    await maren.cursorShows({ name: 'Stains and lustres' });
    await maren.press('Control+z');
  });

  it('an outline is there again after a reload, and gone once it is proposed', async () => {
    await atTheCeramics();
    await maren.press('o');
    await maren.page.waitForSelector('textarea:focus');
    await maren.type('7100 Market stalls\n7110 Fairs abroad');
    await maren.sees('2 accounts understood');
    await maren.page.reload();
    await maren.sees('2 accounts understood');
    await maren.page.waitForSelector('textarea:focus');
    await maren.press('Control+Enter');
    await maren.hasChart();
    await maren.press('o');
    await maren.page.waitForSelector('textarea:focus');
    expect(await maren.page.$eval('textarea', (field) => field.value)).toBe('');
  });

  it('a list and what was decided about it are there again after a reload', async () => {
    await maren.openClient('Heron Reach Rowing Club');
    await maren.sees('has no chart yet');
    await maren.page.goto(maren.page.url().replace(/chart$/, 'import'));
    await maren.sees('Drop a file here');
    await maren.tabTo('Or paste rows');
    await maren.type('Number;Name\n1000;Current account\n10x!;Petty cash');
    await maren.tabTo('Read');
    await maren.press('Enter');
    await maren.sees('3 lines');
    await maren.press('Control+Enter');
    await maren.sees('“10x!” is no account number');
    await maren.press('Enter', 'Control+a');
    await maren.type('1010');
    await maren.press('Enter');
    await maren.seesNoMore('“10x!” is no account number');
    await maren.page.reload();
    await maren.sees('3 lines');
    await maren.press('Control+Enter');
    await maren.sees('Petty cash');
    await maren.seesNoMore('“10x!” is no account number');
    await maren.tabTo('Another list');
    await maren.press('Enter');
    await maren.sees('Drop a file here');
    await maren.page.reload();
    await maren.sees('Drop a file here');
  });

  it('signing out asks first while something is in this browser alone', async () => {
    await atTheCeramics();
    await maren.goTo('5010');
    await maren.press('n');
    await maren.page.waitForSelector('iu-row-editor .name:focus');
    await maren.type('Stains');
    await maren.page.focus('iu-user-menu button');
    await maren.press('Enter');
    await maren.tabTo('Sign out');
    await maren.press('Enter');
    await maren.sees('Not all that was typed here is with the server yet');
    await maren.tabTo('Sign out and discard it');
    await maren.press('Enter');
    await maren.page.waitForSelector('input[type=email]:focus');
    await maren.signIn(MAREN);
    await atTheCeramics();
    expect(await maren.page.$('iu-row-editor')).toBeNull();
    expect(maren.complaints).toEqual([]);
  });

  it('discarding all is taken back in one step', async () => {
    await atTheCeramics();
    await rename('6001', 'Rates');
    await rename('6002', 'Insurance of the kiln');
    const changes = await maren.page.$eval('iu-foot-bar .chip', (chip) => chip.textContent);
    await maren.press('r');
    await maren.tabTo('Discard all');
    await maren.press('Enter');
    await maren.press('Escape');
    await maren.sees('No changes.');
    await maren.press('Control+z');
    await maren.page.waitForFunction(
      (wanted) => document.querySelector('iu-foot-bar .chip')?.textContent === wanted,
      {},
      changes,
    );
  });

  it('what no longer fits stays with its author through an adoption, and opens the field that clashes', async () => {
    const tobias = await Bookkeeper.at(browser, application);
    await tobias.signIn(TOBIAS);
    await atTheCeramics(tobias);
    await atTheCeramics();
    await rename('6010', 'Light and heat', tobias);
    await rename('6011', 'Studio cleaning', tobias);
    await tobias.isKept();
    await rename('6012', 'Light and heat');
    await maren.isKept();
    await maren.press('Control+Enter');
    await maren.sees('No changes.');
    await tobias.page.bringToFront();
    await tobias.press('Control+Enter');
    await tobias.sees('1 no longer fit');
    await tobias.press('Control+Enter');
    await tobias.sees('Adopted as revision');
    await tobias.sees('1 no longer fit');
    await tobias.press('r');
    await tobias.tabTo('Propose mine again');
    await tobias.press('Enter');
    await tobias.page.waitForSelector('iu-row-editor .name:focus');
    await tobias.sees('The name “Light and heat” is borne by');
    await tobias.close();
  });
});
