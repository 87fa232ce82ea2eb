import type { Browser } from 'puppeteer-core';
import { Application } from './support/application';
import { Bookkeeper, MAREN, TOBIAS } from './support/bookkeeper';
import { openBrowser } from './support/browser';

const WANTED = 'seven geese over the reach';

describe('the people of a practice, by keyboard', () => {
  let application: Application;
  let browser: Browser;
  let maren: Bookkeeper;
  beforeAll(async () => {
    application = await Application.start();
    browser = await openBrowser();
    maren = await Bookkeeper.at(browser, application);
    await maren.signIn(MAREN);
    await maren.sees('Kestrel Lane Cider Works');
  });
  afterAll(async () => {
    await browser.close();
    await application.stop();
  });

  /** Invites somebody, and gives the link that is to be handed to them. */
  const invite = async (
    name: string,
    email: string,
    role: string,
    client = '',
  ): Promise<string> => {
    await maren.tabTo('People');
    await maren.press('Enter');
    await maren.sees('May do');
    await maren.tabTo('Invite somebody');
    await maren.press('Enter');
    await maren.page.waitForSelector('input[formcontrolname=name]:focus');
    await maren.type(name);
    await maren.press('Tab');
    await maren.type(email);
    await maren.tabTo(role);
    await maren.press('Enter');
    if (client !== '') {
      await maren.tabTo('The one client that they see');
      await maren.type(client);
    }
    await maren.tabTo('Invite');
    await maren.press('Enter');
    const link = await maren.page.waitForSelector('iu-invitation-link input');
    return (await link?.evaluate((element) => element.value)) ?? '';
  };

  const welcome = async (link: string): Promise<Bookkeeper> => {
    const guest = await Bookkeeper.at(browser, application);
    await guest.page.goto(link);
    await guest.page.waitForSelector('input[formcontrolname=wanted]:focus');
    await guest.type(WANTED);
    await guest.press('Tab');
    await guest.type(WANTED);
    await guest.press('Enter');
    return guest;
  };

  it('are invited by a link, set a password and are in', async () => {
    const guest = await welcome(await invite('Ilse Varga', 'ilse@quillrow.example', 'Bookkeeper'));
    await guest.sees('Kestrel Lane Cider Works');
    expect(await guest.page.$('a[href="/people"]')).toBeNull();
    expect(guest.complaints).toEqual([]);
    await guest.close();
  });

  it('find a link that was used over, and are told what to do', async () => {
    const link = await invite('Bram Osei', 'bram@quillrow.example', 'Reviewer');
    const guest = await welcome(link);
    await guest.sees('Kestrel Lane Cider Works');
    const late = await Bookkeeper.at(browser, application);
    await late.page.goto(link);
    await late.page.reload();
    await late.sees('This invitation is over');
    await late.close();
    await guest.close();
  });

  it('who review read everything and change nothing', async () => {
    const reviewer = await Bookkeeper.at(browser, application);
    await reviewer.signIn('bram@quillrow.example', WANTED);
    await reviewer.openClient('Kestrel Lane Cider Works');
    await reviewer.hasChart();
    await reviewer.sees('You read and review here');
    expect(await reviewer.page.$('iu-foot-bar .primary')).toBeNull();
    await reviewer.goTo('6210');
    await reviewer.press('Alt+ArrowDown');
    await reviewer.sees('You read, remark and approve here');
    await reviewer.cursorShows({ number: '6210', was: '' });
    await reviewer.close();
  });

  it('who look on see their one client in plain words, and no way elsewhere', async () => {
    const onlooker = await welcome(
      await invite('Odile Marsh', 'odile@cider.example', 'Onlooker', 'Kes'),
    );
    await onlooker.sees('What came in, and what it cost');
    await onlooker.sees('What the business has, and what it owes');
    await onlooker.sees('What belongs where');
    const shown = await onlooker.page.evaluate(() => document.body.innerText);
    expect(shown).not.toMatch(/\bdebit|credit\b|receivables? turnover|Tern Street/i);
    await onlooker.page.goto(`${application.address}/clients`);
    await onlooker.sees('What came in, and what it cost');
    expect(onlooker.complaints).toEqual([]);
    await onlooker.close();
  });

  it('may do from then on what the administrator says, and are let go', async () => {
    const tobias = await Bookkeeper.at(browser, application);
    await tobias.signIn(TOBIAS);
    await tobias.sees('Add a client');
    await maren.tabTo('What Tobias Fenn may do');
    await maren.press('ArrowDown');
    await maren.page.waitForSelector('[role=option]');
    await maren.press('ArrowDown', 'Enter');
    await maren.sees('What Tobias Fenn may do is changed');
    await tobias.page.reload();
    await tobias.sees('Kestrel Lane Cider Works');
    await tobias.seesNoMore('Add a client');
    await maren.page.evaluate(() => {
      const row = [...document.querySelectorAll('tr')].find((one) =>
        one.textContent?.includes('Tobias'),
      );
      [...(row?.querySelectorAll('button') ?? [])]
        .find((one) => one.textContent?.includes('Let go'))
        ?.focus();
    });
    await maren.press('Enter');
    await maren.sees('Let Tobias Fenn go?');
    await maren.tabTo('Yes, let go');
    await maren.press('Enter');
    await maren.sees('Tobias Fenn signs in no more');
    await tobias.page.reload();
    await tobias.page.waitForSelector('input[type=email]');
    await tobias.close();
  });

  it('set another password, and end the sign-ins elsewhere with it', async () => {
    const elsewhere = await Bookkeeper.at(browser, application);
    await elsewhere.signIn(MAREN);
    await elsewhere.sees('Kestrel Lane Cider Works');
    await maren.page.goto(`${application.address}/account`);
    await maren.sees('Where you are signed in');
    await maren.page.waitForSelector('input[formcontrolname=current]:focus');
    await maren.type('ledger-and-line');
    await maren.press('Tab');
    await maren.type(WANTED);
    await maren.press('Tab');
    await maren.type(WANTED);
    await maren.press('Enter');
    await maren.sees('Your password is another one now');
    await elsewhere.page.reload();
    await elsewhere.page.waitForSelector('input[type=email]');
    expect(maren.complaints).toEqual([]);
    await elsewhere.close();
  });
});
