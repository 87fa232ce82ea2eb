import { countChanges } from '@iunctus/core';
import { draws, randomChart, runDraws } from '@iunctus/core/testing';
import fc from 'fast-check';
import type pg from 'pg';
import { freshDatabase } from './harness';

describe('the count of changes', () => {
  let pool: pg.Pool;
  beforeAll(async () => {
    pool = await freshDatabase();
  });
  afterAll(() => pool.end());

  const counted = async (steps: readonly object[]): Promise<number> => {
    const { rows } = await pool.query<{ changes: number }>('SELECT changes_in($1) AS changes', [
      JSON.stringify(steps),
    ]);
    return rows[0]?.changes ?? -1;
  };

  it('in the database is that of the core, whatever is proposed', async () => {
    await fc.assert(
      fc.asyncProperty(randomChart(25), draws(40), fc.nat(3), async (chart, recipes, lists) => {
        const operations = runDraws(chart, recipes, 'new').map(({ operation }) => operation);
        const steps = [
          ...operations.map((operation) => ({ operations: [operation] })),
          ...Array.from({ length: lists }, () => ({ operations: [], opening: {} })),
        ];
        expect(await counted(steps)).toBe(countChanges(steps));
      }),
      { numRuns: 120 },
    );
  });

  it('of an empty proposal is none', async () => {
    expect(await counted([])).toBe(0);
  });
});
