import type { KindLessonsAnswer } from '@iunctus/contract';
import { randomUUID } from 'node:crypto';
import { MAREN, serveDemo, TOBIAS, type Caller, type Running } from './harness';

describe('what the practice was taught of kinds', () => {
  let server: Running;
  let maren: Caller;
  beforeAll(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
  });
  afterAll(() => server.stop());

  const teach = (name: string, kind: string) => maren.ask('PUT', '/kind-lessons', { name, kind });
  const known = async (who: Caller) =>
    (await who.ask<KindLessonsAnswer>('GET', '/kind-lessons')).body;

  it('is known to everybody of the practice, the newest first', async () => {
    await teach('Kiln firings sold', 'services');
    await teach('Clay in the cellar', 'inventory');
    const lessons = await known(await server.signedIn(TOBIAS));
    expect(lessons.map(({ name, kind }) => [name, kind])).toEqual([
      ['Clay in the cellar', 'inventory'],
      ['Kiln firings sold', 'services'],
    ]);
  });

  it('is kept once for a name, however it is written, as it was said last', async () => {
    await teach('KILN  firings sold', 'otherOperatingRevenue');
    const lessons = await known(maren);
    expect(lessons).toHaveLength(2);
    expect(lessons[0]).toMatchObject({ kind: 'otherOperatingRevenue' });
  });

  it('can be taken back, once', async () => {
    const [lesson] = await known(maren);
    const forget = () => maren.ask('DELETE', `/kind-lessons/${lesson?.id}`);
    expect((await forget()).status).toBe(200);
    expect(await known(maren)).toHaveLength(1);
    expect((await forget()).status).toBe(404);
    expect((await maren.ask('DELETE', `/kind-lessons/${randomUUID()}`)).status).toBe(404);
  });

  it('names an account and a kind that there is', async () => {
    expect((await teach(' ', 'services')).status).toBe(400);
    expect((await teach('Glaze', 'wings')).status).toBe(400);
    expect((await server.anybody().ask('GET', '/kind-lessons')).status).toBe(401);
  });
});
