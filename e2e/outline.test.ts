import type { AtTheBench } from './support/bench';
import { CLUB, typeOutline } from './support/club';
import { Application } from './support/application';
import { Bookkeeper, MAREN } from './support/bookkeeper';
import { openBrowser } from './support/browser';

describe('building a chart from an outline, by keyboard alone', () => {
  let bench: Pick<AtTheBench, 'leave'>;
  let maren: Bookkeeper;
  beforeAll(async () => {
    const application = await Application.start();
    const browser = await openBrowser();
    maren = await Bookkeeper.at(browser, application);
    bench = {
      async leave() {
        await browser.close();
        await application.stop();
      },
    };
    await maren.signIn(MAREN);
    await maren.openClient('Heron Reach Rowing Club');
  });
  afterAll(() => bench.leave());

  it('begins where a client has no chart yet', async () => {
    await maren.sees('has no chart yet');
    await maren.tabTo('Type an outline');
    await maren.press('Enter');
    await maren.page.waitForSelector('textarea:focus');
  });

  it('says of each line what was understood, and why', async () => {
    await typeOutline(maren, CLUB);
    await maren.sees('30 accounts understood.');
    await maren.sees('from “insurance”');
    await maren.sees('as the account above');
  });

  it('offers what a line in doubt may be, a key for each, written behind the line', async () => {
    await maren.page.keyboard.sendCharacter('\nIncome\n  Old oars');
    await maren.sees('31 accounts understood.');
    await maren.sees('Alt 2');
    await maren.press('Alt+2');
    await maren.page.waitForFunction(() =>
      /Old oars \[[A-Z][a-z ]+\]$/.test(document.querySelector('textarea')?.value ?? ''),
    );
    await maren.page.$eval('textarea', (field) => {
      field.value = field.value.replace(/\nIncome\n {2}Old oars.*$/, '');
      field.dispatchEvent(new Event('input'));
    });
    await maren.sees('30 accounts understood.');
  });

  it('puts them in the proposal, with numbers by the plan', async () => {
    await maren.press('Control+Enter');
    await maren.hasChart();
    await maren.sees('30 accounts');
    await maren.goTo('Coaches');
    await maren.cursorShows({ number: '6120', name: 'Coaches’ fees', kind: 'Operating', level: 2 });
    await maren.goTo('Accumulated depreciation');
    await maren.cursorShows({ number: '1290', kind: 'Depreciated' });
    await maren.isKept();
  });

  it('has nothing in it that the number plan would change', async () => {
    await maren.tabTo('Numbers');
    await maren.press('Enter');
    await maren.sees('Every number fits the plan.');
  });

  it('infers the kind of a new account from its name, as it is typed', async () => {
    await maren.press('Shift+Tab', 'Enter');
    await maren.hasChart();
    await maren.goTo('Bank charges');
    await maren.press('n');
    await maren.page.waitForSelector('iu-row-editor .name:focus');
    await maren.type('Loan interest');
    await maren.sees('Kind from “interest”.');
    await maren.press('Enter');
    await maren.cursorShows({ name: 'Loan interest', kind: 'Finance' });
  });

  it('complains about nothing in the console', () => {
    expect(maren.complaints).toEqual([]);
  });
});
