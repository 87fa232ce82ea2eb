import type { ClientAnswer } from '@iunctus/contract';
import { clientsCalled, stepTo } from './found-places';

const client = (id: string, name: string, putAwayAt: string | null = null): ClientAnswer =>
  ({ id, name, putAwayAt }) as ClientAnswer;

const CLIENTS = [
  client('1', 'Old Orchard Cider Works'),
  client('2', 'Cider & Perry Society'),
  client('3', 'Café Zoë', '2026-02-01T10:00:00Z'),
];
const found = (typed: string) => clientsCalled(CLIENTS, typed).map(({ title }) => title);

describe('clients that are looked for', () => {
  it('are those in whose names words begin with what was typed, in any order', () => {
    expect(found('wor cid')).toEqual(['Old Orchard Cider Works']);
    expect(found('ider')).toEqual([]);
  });

  it('come first where the name begins with it', () => {
    expect(found('cider')).toEqual(['Cider & Perry Society', 'Old Orchard Cider Works']);
  });

  it('are found without their accents, and when they were put away, which is said', () => {
    expect(clientsCalled(CLIENTS, 'cafe zoe')).toMatchObject([
      { title: 'Café Zoë', of: 'client, put away', link: ['/clients', '3', 'chart'] },
    ]);
  });

  it('are none before anything was typed', () => {
    expect(found('  ')).toEqual([]);
  });

  it('are gone through by the arrows from the field on, to the last and back', () => {
    const stops = ['field', 'first', 'second'];
    expect(stepTo(stops, 'field', 1)).toBe('first');
    expect(stepTo(stops, 'second', 1)).toBeUndefined();
    expect(stepTo(stops, 'first', -1)).toBe('field');
    expect(stepTo(stops, 'elsewhere', 1)).toBeUndefined();
  });
});
