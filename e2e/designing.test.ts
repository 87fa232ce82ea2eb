import type { Browser } from 'puppeteer-core';
import { Application } from './support/application';
import { Bookkeeper, MAREN } from './support/bookkeeper';
import { openBrowser } from './support/browser';
import { CLUB, typeOutline } from './support/club';
import { post } from './support/posting';

const CLIENT = 'Heron Reach Rowing Club';
const paid = (date: string, comment: string, debit: string, cents: number) => ({
  date,
  comment,
  debit,
  credit: 'Current account',
  cents,
});

describe('designing a chart from its outline to its second look, by keyboard alone', () => {
  let application: Application;
  let browser: Browser;
  let maren: Bookkeeper;
  beforeAll(async () => {
    application = await Application.start();
    browser = await openBrowser();
    maren = await Bookkeeper.at(browser, application);
    await maren.signIn(MAREN);
    await maren.openClient(CLIENT);
  });
  afterAll(async () => {
    await browser.close();
    await application.stop();
  });

  const adopted = async (revision: number): Promise<void> => {
    await maren.isKept();
    await maren.press('Control+Enter');
    await maren.sees(`Revision ${revision}`);
    await maren.hasChart();
  };

  it('builds thirty accounts from an outline', async () => {
    await maren.sees('has no chart yet');
    await maren.tabTo('Type an outline');
    await maren.press('Enter');
    await maren.page.waitForSelector('textarea:focus');
    await typeOutline(maren, CLUB);
    await maren.sees('30 accounts understood.');
    await maren.press('Control+Enter');
    await maren.hasChart();
    await adopted(1);
  });

  it('gives them numbers of five digits', async () => {
    await maren.tabTo('Numbers');
    await maren.press('Enter');
    await maren.tabTo('5 digits');
    await maren.press('Enter');
    await maren.sees('30 of 30');
    await maren.tabTo('Put in the proposal');
    await maren.press('Enter');
    await maren.hasChart();
    await maren.goTo('Coaches');
    await maren.cursorShows({ number: '61200', was: 'was 6120' });
    await adopted(2);
  });

  it('merges two accounts that say the same', async () => {
    await post(application, CLIENT, [
      paid('2026-09-02', 'Senior coaching', 'Coaches’ fees', 42_000),
      paid('2026-09-16', 'Junior coaching', 'Coaches’ fees', 18_000),
      paid('2026-10-02', 'Senior coaching', 'Coaches’ fees', 42_000),
      paid('2026-10-12', 'Junior squad kit', 'Junior squad', 9_500),
    ]);
    await maren.page.reload();
    await maren.hasChart();
    await maren.goTo('Junior squad');
    await maren.press('g');
    await maren.page.waitForSelector('#merge-target:focus');
    await maren.type('coaches');
    await maren.press('Enter');
    await maren.sees('95.00 that was posted to it counts with');
    await maren.page.waitForSelector('iu-merge-sheet .button.primary:not(:disabled)');
    await maren.press('Tab', 'Enter');
    await maren.hasChart();
    await maren.cursorShows({ name: 'Coaches’ fees', amount: '1,115.00' });
    await adopted(3);
  });

  it('splits the one that is left, with what was merged into it', async () => {
    await maren.goTo('Coaches');
    await maren.press('p');
    await maren.sees('4 postings, 2 Sep 2026 to 12 Oct 2026.');
    await maren.page.waitForSelector('.part input.name:focus');
    await maren.type('Juniors');
    await maren.press('Tab');
    await maren.type('junior');
    await maren.sees('2 postings, 275.00 in all');
    await maren.sees('2 postings stay on');
    await maren.press('Enter');
    await maren.hasChart();
    await maren.cursorShows({ name: 'Juniors', amount: '275.00', was: 'new' });
    await maren.lineShows('Juniors', { amount: '275.00' });
    await maren.goTo('Coaches');
    await maren.cursorShows({ name: 'Coaches’ fees', amount: '1,115.00' });
    await adopted(4);
  });

  it('takes the merge back; the split keeps what was chosen', async () => {
    await maren.goTo('Coaches');
    await maren.press('Space');
    await maren.sees('Merged into it');
    await maren.tabTo('Take out');
    await maren.press('Enter');
    await maren.sees('Junior squad');
    await maren.press('Escape');
    await maren.hasChart();
    await maren.goTo('Juniors');
    await maren.cursorShows({ name: 'Juniors', amount: '275.00' });
    await adopted(5);
  });

  it('compares the last revision with the one before the split', async () => {
    await maren.tabTo('History');
    await maren.press('Enter');
    await maren.sees('Every revision of the chart.');
    await maren.tabTo('What differs');
    await maren.press('Enter');
    await maren.sees('Junior squad');
    const address = maren.page.url().replace(/from=\d+/, 'from=2');
    await maren.page.goto(address);
    await maren.sees('Juniors');
    await maren.sees('+275.00');
  });

  it('complains about nothing in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});
