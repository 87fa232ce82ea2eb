import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { QuoteAnswer } from '@iunctus/contract';
import { formatAmount } from '@iunctus/core';
import { of } from 'rxjs';
import { ApiService } from '../../shared/api/api.service';
import { BooksReader } from '../../workspace/model/books-reader';
import { HoldingComponent } from './holding.component';

const shown = async (answers: readonly QuoteAnswer[], units = '12') => {
  const left = [...answers];
  const asked: unknown[] = [];
  TestBed.configureTestingModule({
    providers: [
      {
        provide: ApiService,
        useValue: {
          ask: (_name: string, question: unknown) => {
            asked.push(question);
            return of(left.shift());
          },
        },
      },
      {
        provide: BooksReader,
        useValue: {
          currency: signal('USD'),
          amount: (amount: number) => formatAmount(amount, { currency: 'USD' }),
        },
      },
    ],
  });
  const fixture = TestBed.createComponent(HoldingComponent);
  fixture.componentRef.setInput('security', { symbol: 'QUIN', units, quoteSource: '' });
  fixture.componentRef.setInput('cost', 400_00);
  fixture.componentRef.setInput('on', '2026-10-31');
  await fixture.whenStable();
  const host = fixture.nativeElement as HTMLElement;
  return {
    asked,
    words: () =>
      [...host.querySelectorAll('p, p > *')]
        .filter(({ children }) => children.length === 0)
        .map(({ textContent }) => textContent.replace(/\s+/g, ' ').trim())
        .join(' '),
    again: async () => {
      host.querySelector('button')?.click();
      await fixture.whenStable();
    },
  };
};

const QUOTED = { state: 'quoted', day: '2026-10-30', price: 34_50, isDelayed: false } as const;

describe('what an investment account holds', () => {
  it('is worth its units at the price of the day, beside what it cost', async () => {
    const { words, asked } = await shown([QUOTED]);
    expect(words()).toBe(
      '12 units of QUIN at 34.50 of 30 Oct 2026 worth 414.00 they cost 400.00: +14.00 not realised',
    );
    expect(asked).toEqual([{ symbol: 'QUIN', query: { date: '2026-10-31', currency: 'USD' } }]);
  });

  it('says that the price is a day late', async () => {
    const { words } = await shown([{ ...QUOTED, isDelayed: true }]);
    expect(words()).toContain('the source is a day late');
  });

  it('offers to ask again where the source does not answer', async () => {
    const { words, again } = await shown([{ state: 'silent' }, QUOTED]);
    expect(words()).toContain('does not answer at the moment');
    await again();
    expect(words()).toContain('worth 414.00');
  });

  it('says what the source does not list, and that units are lacking', async () => {
    expect((await shown([{ state: 'unlisted' }])).words()).toContain('does not list QUIN');
    TestBed.resetTestingModule();
    expect((await shown([QUOTED], '')).words()).toContain('how many units are held');
  });
});
