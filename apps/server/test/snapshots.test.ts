import { onSnapshotOf, type Source } from '../src/database/transaction';
import { exactlyOne } from '../src/database/query';
import { MAREN, serveDemo, type Running } from './harness';

describe('reads that have to agree', () => {
  let server: Running;
  beforeAll(async () => {
    server = await serveDemo();
    await server.signedIn(MAREN);
  });
  afterAll(() => server.stop());

  const clients = (source: Source): Promise<number> =>
    onSnapshotOf(source, async (on) => {
      const { all } = await exactlyOne<{ all: number }>(on, {
        text: 'SELECT count(*)::int AS all FROM client',
        values: [],
      });
      return all;
    });
  const addClient = () =>
    server.pool.query(`
      INSERT INTO client (id, practice_id, name, legal_form, industry, country, currency, fiscal_year_start)
      SELECT gen_random_uuid(), practice_id, name || ' again ' || gen_random_uuid(), legal_form, industry, country, currency, fiscal_year_start
      FROM client LIMIT 1`);

  it('are of one moment, also where one reads within another what somebody changed meanwhile', async () => {
    const [before, within] = await onSnapshotOf(server.pool, async (on) => {
      const count = await clients(on);
      await addClient();
      return [count, await clients(on)];
    });
    expect(within).toBe(before);
    expect(await clients(server.pool)).toBe(before + 1);
  });

  it('change nothing', async () => {
    const changing = onSnapshotOf(server.pool, (on) => on.query('DELETE FROM session'));
    await expect(changing).rejects.toThrow('read-only transaction');
  });
});
