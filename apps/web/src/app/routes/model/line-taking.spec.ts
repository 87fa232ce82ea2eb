import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { aChart } from '@iunctus/core/testing';
import { routesOf, type DatedLine, type RouteContent } from '@iunctus/core';
import { of } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { BooksReader } from '../../workspace/model/books-reader';
import { ClientRoutes } from '../../workspace/model/client-routes';
import { ListPosting } from '../../workspace/model/list-posting';
import { LineTaking } from './line-taking';

const CHART = aChart('1010 Bank [bank]\n4010 Sales\n6000 Costs:\n  6010 Rent\n  6020 Fuel');
const RENT: RouteContent = {
  type: 'rule',
  place: 1,
  how: 'contains',
  words: 'hollow lane',
  sign: null,
  least: null,
  most: null,
  source: null,
  accountId: '6010',
  taxCodeId: null,
};
const line = (id: string, text: string, amount = -9_00): DatedLine => ({
  id,
  date: '2026-10-05',
  text,
  amount,
  source: 'bank',
});
const LINES = [line('a', 'Hollow Lane rent'), line('b', 'Fernhill fuel'), line('c', 'Hollow Lane')];

interface Posted {
  readonly entries: readonly { readonly id: string; readonly lines: readonly object[] }[];
}

const taking = async () => {
  const books: string[] = ['c'];
  const posted: Posted[] = [];
  const changed: string[][] = [];
  const answers: Readonly<Record<string, (asked: { body?: unknown }) => unknown>> = {
    linesSetAside: () => [],
    knownEntries: () => books.map((id, at) => ({ id, number: at + 1 })),
    postList: ({ body }) => {
      const { entries } = body as Posted;
      posted.push({ entries });
      books.push(...entries.map(({ id }) => id));
      return { posted: entries.length, known: 0, refused: [] };
    },
  };
  TestBed.configureTestingModule({
    providers: [
      LineTaking,
      ListPosting,
      {
        provide: ApiService,
        useValue: {
          ask: (name: string, asked: { body?: unknown }) => of(answers[name]?.(asked) ?? {}),
        },
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
          changed: (accounts: string[]) => changed.push(accounts),
        },
      },
      {
        provide: ClientRoutes,
        useValue: { routes: signal(routesOf([{ id: 'rent', content: RENT }])) },
      },
    ],
  });
  const one = TestBed.inject(LineTaking);
  await one.take('1010', LINES);
  const states = () => one.rows().map(({ state }) => state);
  return { one, posted, changed, states };
};

describe('lines on their way into the books', () => {
  it('are ready by a rule, open without one, and posted when the books have them', async () => {
    const { states } = await taking();
    expect(states()).toEqual(['ready', 'open', 'posted']);
  });

  it('go where they are sent by hand, and back to the rules', async () => {
    const { one, states } = await taking();
    const [, fuel] = one.rows();
    if (fuel === undefined) throw new Error('no line');
    one.send(fuel, '6020');
    expect([states()[1], one.rows()[1]?.byHand]).toEqual(['ready', true]);
    one.send(fuel, null);
    expect(states()[1]).toBe('open');
  });

  it('say what keeps them from being posted', async () => {
    const { one } = await taking();
    const [rent] = one.rows();
    if (rent === undefined) throw new Error('no line');
    one.send(rent, '6000');
    expect(one.rows()[0]).toMatchObject({
      state: 'refused',
      faults: [{ line: 1, fault: { code: 'heading' } }],
    });
  });

  it('are posted under their own ids, those that are chosen, and the amounts are told to be others', async () => {
    const { one, posted, changed, states } = await taking();
    const [, fuel] = one.rows();
    if (fuel === undefined) throw new Error('no line');
    one.send(fuel, '6020');
    one.choose(fuel);
    await one.post();
    expect(posted.map(({ entries }) => entries.map(({ id }) => id))).toEqual([['a']]);
    expect(changed).toEqual([['1010', '6010']]);
    expect(one.outcome()).toEqual({ posted: 1, refused: 0 });
    expect(states()).toEqual(['posted', 'ready', 'posted']);
  });
});
