import { MAREN, PASSWORD, serveDemo, TOBIAS, type Caller, type Running } from './harness';
import type { InvitedAnswer, SessionAnswer, SessionsAnswer, StaffAnswer } from '@iunctus/contract';

const WANTED = 'a sentence of five words';

describe('the people of a practice', () => {
  let server: Running;
  let maren: Caller;
  beforeEach(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
  });
  afterEach(() => server.stop());

  const staff = async () => (await maren.ask<StaffAnswer>('GET', '/staff')).body;
  const idOf = async (email: string) =>
    (await staff()).find((person) => person.email === email)?.id ?? '';
  const invite = (change: object = {}) =>
    maren.ask<InvitedAnswer>('POST', '/staff', {
      name: 'Ilse Varga',
      email: 'Ilse@Quillrow.example',
      role: 'reviewer',
      clientId: null,
      ...change,
    });
  const takeUp = (token: string, wanted = WANTED) =>
    server.anybody().ask<SessionAnswer>('POST', '/welcome', { token, wanted });
  const signIn = (email: string, password: string) =>
    server.anybody().ask('POST', '/sign-in', { email, password });

  it('are invited, set a password once, and are in', async () => {
    const { body: invited } = await invite();
    expect((await signIn('ilse@quillrow.example', '')).status).toBe(400);
    const look = await server.anybody().ask('POST', '/welcome/look', { token: invited.token });
    expect(look.body).toEqual({
      name: 'Ilse Varga',
      email: 'ilse@quillrow.example',
      practice: 'Quill Row Bookkeeping',
    });
    const taken = await takeUp(invited.token);
    expect(taken.body.user).toMatchObject({ name: 'Ilse Varga', role: 'reviewer' });
    expect(taken.headers.get('set-cookie')).toContain('HttpOnly');
    expect((await signIn('ilse@quillrow.example', WANTED)).status).toBe(200);
    expect((await takeUp(invited.token)).status).toBe(404);
  });

  it('are not let in by an invitation that is over, or by a newer one’s former', async () => {
    const { body: first } = await invite();
    const { body: second } = await maren.ask<InvitedAnswer>('POST', `/staff/${first.id}/reset`, {});
    expect((await takeUp(first.token)).status).toBe(404);
    await server.pool.query(`UPDATE invitation SET expires_at = now() - interval '1 minute'`);
    expect((await takeUp(second.token)).status).toBe(404);
  });

  it('bear each an e-mail address of their own, free again once they have left', async () => {
    await invite();
    expect((await invite()).body).toEqual({ code: 'emailTaken' });
    await maren.ask('DELETE', `/staff/${await idOf('ilse@quillrow.example')}`);
    expect((await invite()).status).toBe(200);
  });

  it('may do from their next request on what their role says', async () => {
    const tobias = await server.signedIn(TOBIAS);
    const standing = { role: 'reviewer', clientId: null };
    await maren.ask('PUT', `/staff/${await idOf(TOBIAS)}`, standing);
    expect((await tobias.ask('POST', '/clients', {})).body).toEqual({ code: 'notAllowed' });
    expect((await tobias.ask('GET', '/clients')).status).toBe(200);
  });

  it('sign in no more once they are let go, and stay the authors of what they did', async () => {
    const tobias = await server.signedIn(TOBIAS);
    await maren.ask('DELETE', `/staff/${await idOf(TOBIAS)}`);
    expect((await tobias.ask('GET', '/clients')).status).toBe(401);
    expect((await signIn(TOBIAS, PASSWORD)).status).toBe(401);
    const { rows } = await server.pool.query(
      `SELECT DISTINCT app_user.name FROM revision JOIN app_user ON app_user.id = revision.author_id`,
    );
    expect(rows).toContainEqual({ name: 'Tobias Fenn' });
  });

  it('never leave the practice without an administrator, even when two go at once', async () => {
    const own = await idOf(MAREN);
    expect((await maren.ask('DELETE', `/staff/${own}`)).body).toEqual({
      code: 'lastAdministrator',
    });
    const [other] = [await idOf(TOBIAS)];
    await maren.ask('PUT', `/staff/${other}`, { role: 'administrator', clientId: null });
    const tobias = await server.signedIn(TOBIAS);
    const answers = await Promise.all([
      maren.ask('PUT', `/staff/${own}`, { role: 'reviewer', clientId: null }),
      tobias.ask('PUT', `/staff/${other}`, { role: 'reviewer', clientId: null }),
    ]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 422]);
  });

  it('are let in anew by a reset, which ends their sessions', async () => {
    const tobias = await server.signedIn(TOBIAS);
    const { body } = await maren.ask<InvitedAnswer>(
      'POST',
      `/staff/${await idOf(TOBIAS)}/reset`,
      {},
    );
    expect((await tobias.ask('GET', '/clients')).status).toBe(401);
    expect((await signIn(TOBIAS, PASSWORD)).status).toBe(401);
    await takeUp(body.token);
    expect((await signIn(TOBIAS, PASSWORD)).status).toBe(401);
    expect((await signIn(TOBIAS, WANTED)).status).toBe(200);
  });

  it('do not reset their own, which would leave nobody to hand the link to', async () => {
    const answer = await maren.ask('POST', `/staff/${await idOf(MAREN)}/reset`, {});
    expect(answer.status).toBe(400);
    expect((await maren.ask('GET', '/clients')).status).toBe(200);
  });

  it('set another password by the one that they have; other sessions end, this one goes on', async () => {
    const elsewhere = await server.signedIn(MAREN);
    const change = (current: string) => maren.ask('PUT', '/password', { current, wanted: WANTED });
    expect((await change('not mine')).body).toMatchObject({ issues: [{ field: 'current' }] });
    expect((await change(PASSWORD)).status).toBe(200);
    expect((await elsewhere.ask('GET', '/clients')).status).toBe(401);
    expect((await maren.ask('GET', '/clients')).status).toBe(200);
  });

  it('see where they are signed in, and end a session of their own, nobody else’s', async () => {
    const elsewhere = await server.signedIn(MAREN);
    const { body } = await maren.ask<SessionsAnswer>('GET', '/sessions');
    expect(body.map(({ here }) => here).sort()).toEqual([false, true]);
    const other = body.find(({ here }) => !here)?.id ?? '';
    const tobias = await server.signedIn(TOBIAS);
    expect((await tobias.ask('DELETE', `/sessions/${other}`)).status).toBe(404);
    expect((await maren.ask('DELETE', `/sessions/${other}`)).status).toBe(200);
    expect((await elsewhere.ask('GET', '/clients')).status).toBe(401);
  });

  it.each([
    ['a password that is too short', { wanted: 'short' }],
    ['no token', { token: 'x' }],
  ])('get no password with %s', async (_what, change) => {
    const { body } = await invite();
    const request = { token: body.token, wanted: WANTED, ...change };
    expect((await server.anybody().ask('POST', '/welcome', request)).status).toBe(400);
  });

  it.each([
    ['a bookkeeper bound to a client', { role: 'bookkeeper', clientId: 'own' }],
    ['an onlooker bound to none', { role: 'onlooker', clientId: null }],
    ['an address that is none', { email: 'ilse' }],
  ])('are not invited as %s', async (_what, change) => {
    const [client] = (await maren.ask<{ id: string }[]>('GET', '/clients')).body;
    const clientId = 'clientId' in change && change.clientId === 'own' ? client?.id : null;
    expect((await invite({ ...change, clientId })).status).toBe(400);
  });
});
