import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { aChart } from '@iunctus/core/testing';
import { routesOf, type MarketLine, type MarketSort, type RouteItem } from '@iunctus/core';
import { of } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { BooksReader } from '../../workspace/model/books-reader';
import { ClientRoutes } from '../../workspace/model/client-routes';
import { ListPosting } from '../../workspace/model/list-posting';
import { PayoutTaking } from './payout-taking';

const CHART = aChart('1050 Held [clearing]\n4010 Sales\n6360 Fees');
const DEFAULTS = { holding: '1050', sale: '4010', sellingFee: '6360' } as const;
const ITEMS = Object.entries(DEFAULTS).map(([purpose, accountId]): RouteItem => ({
  id: purpose,
  content: { type: 'default', purpose: purpose as keyof typeof DEFAULTS, accountId },
}));
const line = (date: string, sort: MarketSort, amount: number): MarketLine => ({
  id: `${date}-${sort}`,
  date,
  text: sort,
  amount,
  source: 'payout',
  sort,
});
const LINES = [
  line('2026-09-20', 'sale', 100_00),
  line('2026-09-20', 'fee', -12_00),
  line('2026-09-28', 'payout', -88_00),
  line('2026-10-03', 'sale', 50_00),
];

const taking = async (answers: readonly object[], items = ITEMS) => {
  const left = [...answers];
  const books: string[] = [];
  let inBooks = 0;
  const posted: string[] = [];
  const told: Readonly<Record<string, (asked: { body?: unknown }) => unknown>> = {
    marketFeed: () => left.shift(),
    knownEntries: () => books.map((id, at) => ({ id, number: at + 1 })),
    register: () => ({ lines: [], more: false, before: 0, after: inBooks }),
    postList: ({ body }) => {
      const { entries } = body as { entries: { id: string; lines: { amount: number }[] }[] };
      for (const { id, lines } of entries) {
        books.push(id);
        posted.push(id);
        inBooks += lines[0]?.amount ?? 0;
      }
      return { posted: entries.length, known: 0, refused: [] };
    },
  };
  TestBed.configureTestingModule({
    providers: [
      ListPosting,
      PayoutTaking,
      {
        provide: ApiService,
        useValue: { ask: (name: string, asked: { body?: unknown }) => of(told[name]?.(asked)) },
      },
      {
        provide: BooksReader,
        useValue: {
          client: signal({ id: 'client' }),
          chart: signal(CHART),
          books: signal({
            currency: 'USD',
            fiscalYearStart: 1,
            lockedThrough: null,
            today: '2026-11-26',
          }),
          changed: () => undefined,
        },
      },
      { provide: ClientRoutes, useValue: { routes: signal(routesOf(items)) } },
    ],
  });
  const one = TestBed.inject(PayoutTaking);
  await one.ask();
  return { one, posted };
};

const TOLD = { state: 'told', through: '2026-10-10', lines: LINES };

describe('a marketplace’s statement on its way into the books', () => {
  it('says that the marketplace did not answer, and is asked again', async () => {
    const { one } = await taking([{ state: 'silent' }, TOLD]);
    expect([one.silent(), one.told()]).toEqual([true, null]);
    await one.ask();
    expect([one.silent(), one.rows()]).toMatchObject([false, [{ number: null }]]);
  });

  it('is recorded by month or by payout until something is posted, and then stays so', async () => {
    const { one, posted } = await taking([TOLD]);
    one.choose('each');
    expect(one.rows().map(({ gathered }) => gathered.date)).toEqual(['2026-09-28']);
    await one.post();
    expect([posted, one.settled(), one.ready()]).toEqual([['2026-09-20-sale'], 'each', []]);
    one.choose('monthly');
    expect(one.recording()).toBe('each');
  });

  it('explains the balance of the account that holds, before and after it is posted', async () => {
    const { one } = await taking([TOLD]);
    expect(one.explained()).toMatchObject({
      held: 50_00,
      unposted: 138_00,
      untaken: 88_00,
      rest: 0,
      inBooks: 0,
    });
    await one.post();
    expect(one.explained()).toMatchObject({
      unposted: 50_00,
      untakenOn: ['2026-09-28'],
      rest: 0,
      inBooks: 88_00,
    });
  });

  it('posts nothing while a purpose has no account, and names it', async () => {
    const { one, posted } = await taking([TOLD], ITEMS.slice(0, 1));
    expect(one.missing()).toEqual(['sale', 'sellingFee']);
    await one.post();
    expect(posted).toEqual([]);
  });
});
