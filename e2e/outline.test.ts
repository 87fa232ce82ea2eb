import type { AtTheBench } from './support/bench';
import { Application } from './support/application';
import { Bookkeeper, MAREN } from './support/bookkeeper';
import { openBrowser } from './support/browser';

const CLUB: readonly (readonly [depth: number, text: string])[] = [
  [0, 'Assets'],
  [1, 'Bank'],
  [2, 'Current account'],
  [2, 'Regatta account'],
  [1, 'Boathouse till'],
  [1, 'Subscriptions owed by members'],
  [1, 'Boats [land, property and equipment]'],
  [2, 'Eights'],
  [2, 'Fours and pairs'],
  [2, 'Accumulated depreciation on boats'],
  [0, 'Liabilities'],
  [1, 'Trade creditors'],
  [1, 'Subscriptions paid in advance'],
  [1, 'Loan for the boathouse'],
  [0, 'Equity'],
  [1, 'Accumulated fund'],
  [0, 'Income'],
  [1, 'Membership subscriptions'],
  [1, 'Regatta entry fees'],
  [1, 'Donations received'],
  [1, 'Bar sales'],
  [1, 'Bank interest'],
  [0, 'Expenses'],
  [1, 'Bar purchases'],
  [1, 'Boathouse [operating expense]'],
  [2, 'Rent of the landing'],
  [2, 'Light and power'],
  [2, 'Insurance'],
  [1, 'Rowing [operating expense]'],
  [2, 'Boat repairs'],
  [2, 'Coaches’ fees'],
  [2, 'Regatta travel'],
  [2, 'Junior squad'],
  [1, 'Depreciation of boats'],
  [1, 'Bank charges'],
];

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
    for (const [index, [depth, text]] of CLUB.entries()) {
      if (index > 0) await maren.press('Enter');
      for (let level = 0; level < depth; level += 1) await maren.press('Tab');
      await maren.type(text);
    }
    await maren.sees('30 accounts understood.');
    await maren.sees('from “insurance”');
    await maren.sees('as the account above');
  });

  it('puts them in the proposal, with numbers by the plan', async () => {
    await maren.press('Control+Enter');
    await maren.hasChart();
    await maren.sees('30 accounts');
    await maren.goTo('Coaches');
    await maren.cursorShows({ number: '6120', name: 'Coaches’ fees', kind: 'Operating', level: 2 });
    await maren.goTo('Accumulated depreciation');
    await maren.cursorShows({ number: '1290', kind: 'Contra' });
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
