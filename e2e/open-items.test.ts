import { openBench, type AtTheBench } from './support/bench';
import type { Bookkeeper } from './support/bookkeeper';

/** Unpaid invoices as a spreadsheet hands them over. */
const LIST = [
  'Customer;Invoice no;Invoice date;Due date;Open balance',
  'Heron Inn;1041;10/13/2026;11/12/2026;16,000.00',
  'Tern Market;1044;9/20/2026;10/20/2026;500.09',
  'Swan Hotel;1047;10/32/2026;11/20/2026;39.50',
  'Total;;;;16,539.59',
].join('\n');

describe('open items of a control account', () => {
  let bench: AtTheBench;
  let maren: Bookkeeper;
  beforeAll(async () => {
    bench = await openBench('Kestrel Lane Cider Works');
    maren = bench.maren;
  });
  afterAll(() => bench.leave());

  const bring = async (list: string): Promise<void> => {
    await maren.tabTo('Or paste rows');
    await maren.type(list);
    await maren.does('Read these rows');
  };

  it('are brought from a list, what cannot be read is put right, and they agree with the books', async () => {
    await maren.command('open items');
    await maren.sees('No list yet');
    await maren.sees('Agrees');
    await maren.does('Look');
    await maren.sees('brought by Tobias Fenn');
    await bring(LIST);
    await maren.sees('“10/32/2026” is no date.');
    await maren.sees('39.50 apart');
    await maren.tabTo('Date of the invoice');
    await maren.press('Control+a');
    await maren.type('10/30/2026');
    await maren.press('Tab');
    await maren.sees('16,539.59, as in the books at 31 Oct 2026.');
    await maren.does('Keep this list');
    await maren.sees('brought by Maren Oake');
    await maren.sees('Agrees');
  });

  it('are told by party and by how old they are', async () => {
    const rows = await maren.page.$$eval('section .scrolled tbody tr', (all) =>
      all.map(({ children }) => [...children].map((cell) => cell.textContent.trim()).join('|')),
    );
    expect(rows).toEqual([
      'Heron Inn|1|16,000.00||||16,000.00',
      'Swan Hotel|1|39.50||||39.50',
      'Tern Market|1||500.09|||500.09',
    ]);
  });

  it('that differ from the books are what Tidy begins with, and lead back to their list', async () => {
    await bring('Customer;Amount\nHeron Inn;16,000.00');
    await maren.does('Keep this list');
    await maren.sees('539.59');
    await maren.command('tidy');
    await maren.page.waitForFunction(() =>
      document
        .querySelector('.one h2')
        ?.textContent.includes('differs from its open items at the end of Oct 2026'),
    );
    await maren.does('Its open items');
    await maren.sees('brought by Maren Oake');
    const isGone = () => document.querySelector('section .scrolled') === null;
    await maren.does('Drop this list');
    await maren.page.waitForFunction(isGone);
    await maren.does('Bring it back');
    await maren.sees('Heron Inn');
    await maren.does('Drop this list');
    await maren.page.waitForFunction(isGone);
    await maren.command('tidy');
    await maren.page.waitForSelector('[role=listbox][aria-busy=false]:focus');
    await maren.seesNoMore('differs from its open items');
    expect(maren.complaints).toEqual([]);
  });
});
