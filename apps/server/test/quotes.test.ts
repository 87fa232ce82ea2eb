import { quoteOf } from '../src/simulated/quotes';

const today = '2026-11-26';
const asked = (symbol: string, date: string, { currency = 'USD', chance = 0.5 } = {}) =>
  quoteOf(symbol, { date, currency }, { today, chance });
const ask = (...question: Parameters<typeof asked>) => {
  const answer = asked(...question);
  if (answer.state !== 'quoted') throw new Error(answer.state);
  return answer;
};

describe('the simulated source of quotes', () => {
  it('gives the same price for a day, whoever asks, and others for other days and symbols', () => {
    expect(ask('QUIN', '2026-10-14')).toEqual(ask('QUIN', '2026-10-14'));
    expect(ask('QUIN', '2026-10-15').price).not.toBe(ask('QUIN', '2026-10-14').price);
    expect(ask('TERN', '2026-10-14').price).not.toBe(ask('QUIN', '2026-10-14').price);
    expect(ask('QUIN', '2026-10-14').price).toBeGreaterThan(0);
  });

  it('holds Friday’s price over the weekend', () => {
    expect(ask('QUIN', '2026-10-18')).toMatchObject({ day: '2026-10-16', isDelayed: false });
  });

  it('is a day late, and says so', () => {
    expect(ask('QUIN', today)).toMatchObject({ day: '2026-11-25', isDelayed: true });
    expect(ask('QUIN', '2030-01-01')).toMatchObject({ day: '2026-11-25', isDelayed: true });
    expect(ask('QUIN', '2026-11-25').isDelayed).toBe(false);
  });

  it('quotes in the minor units of the currency that is asked for', () => {
    const [dollars, yen] = [
      ask('QUIN', '2026-10-14'),
      ask('QUIN', '2026-10-14', { currency: 'JPY' }),
    ];
    expect(yen.price).toBe(Math.round(dollars.price / 100));
  });

  it('now and then has no answer, and knows not every symbol', () => {
    expect(() => ask('QUIN', '2026-10-14', { chance: 0.1 })).toThrow('silent');
    expect(() => ask('XQUIN', '2026-10-14')).toThrow('unlisted');
    expect(() => ask('not a symbol', '2026-10-14')).toThrow('unlisted');
  });
});
