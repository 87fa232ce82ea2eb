import { randomUUID } from 'node:crypto';
import { hashPassword } from '../src/access/passwords';
import { clientNamed, MAREN, PASSWORD, serveDemo, type Running } from './harness';

describe('access', () => {
  let server: Running;
  beforeAll(async () => {
    server = await serveDemo();
  });
  afterAll(() => server.stop());

  const strangerIn = async () => {
    const [practiceId, userId] = [randomUUID(), randomUUID()];
    const email = `${userId}@elsewhere.example`;
    await server.pool.query('INSERT INTO practice (id, name) VALUES ($1, $2)', [
      practiceId,
      'Elsewhere',
    ]);
    await server.pool.query(
      'INSERT INTO app_user (id, practice_id, email, name, password_hash, role) VALUES ($1, $2, $3, $4, $5, $6)',
      [userId, practiceId, email, 'A. Stranger', await hashPassword(PASSWORD), 'administrator'],
    );
    return server.signedIn(email);
  };

  describe('signing in', () => {
    it('opens a session kept in a cookie that scripts and other sites do not get', async () => {
      const request = { email: MAREN.toUpperCase(), password: PASSWORD };
      const answer = await server.anybody().ask('POST', '/sign-in', request);
      expect(answer.body).toMatchObject({
        user: { name: 'Maren Oake' },
        practice: { name: 'Quill Row Bookkeeping' },
      });
      expect(answer.headers.get('set-cookie')).toMatch(/HttpOnly.*SameSite=Strict/);
    });

    it.each([
      [MAREN, 'wrong'],
      ['nobody@quillrow.example', PASSWORD],
    ])('refuses %s with %s in the same words', async (email, password) => {
      const answer = await server.anybody().ask('POST', '/sign-in', { email, password });
      expect([answer.status, answer.body]).toEqual([401, { code: 'wrongSignIn' }]);
    });

    it('keeps no password and no token in the clear', async () => {
      await server.signedIn(MAREN);
      const { rows } = await server.pool.query(
        'SELECT password_hash FROM app_user WHERE email = $1',
        [MAREN],
      );
      expect(rows[0].password_hash).toMatch(/^scrypt:/);
      const sessions = await server.pool.query('SELECT token_hash FROM session');
      expect(sessions.rows.every(({ token_hash }) => token_hash.length === 32)).toBe(true);
    });
  });

  it('ends with signing out', async () => {
    const maren = await server.signedIn(MAREN);
    expect((await maren.ask('GET', '/session')).body).toMatchObject({ user: { email: MAREN } });
    await maren.ask('POST', '/sign-out', {});
    expect((await maren.ask('GET', '/session')).body).toBeNull();
    expect((await maren.ask('GET', '/clients')).status).toBe(401);
  });

  it.each([
    ['GET', '/clients'],
    ['POST', '/clients'],
    ['GET', `/clients/${randomUUID()}/bench`],
    ['PUT', `/clients/${randomUUID()}/proposal`],
    ['POST', `/clients/${randomUUID()}/revisions`],
    ['GET', `/clients/${randomUUID()}/balances`],
    ['GET', '/nowhere'],
  ])('is asked for at %s %s', async (method, path) => {
    const answer = await server.anybody().ask(method, path, method === 'GET' ? undefined : {});
    expect([answer.status, answer.body]).toEqual([401, { code: 'notSignedIn' }]);
  });

  it('shows another practice nothing: its clients are not found', async () => {
    const { id } = await clientNamed(await server.signedIn(MAREN), 'Kestrel Lane Cider Works');
    const stranger = await strangerIn();
    expect((await stranger.ask('GET', '/clients')).body).toEqual([]);
    const proposal = { version: 0, baseRevision: 0, steps: [], conflicts: [] };
    const answers = await Promise.all([
      stranger.ask('GET', `/clients/${id}`),
      stranger.ask('GET', `/clients/${id}/bench`),
      stranger.ask('GET', `/clients/${id}/balances?first=2026-07&last=2026-10`),
      stranger.ask('GET', `/clients/${id}/revisions`),
      stranger.ask('GET', `/clients/${id}/revisions/1/undo`),
      stranger.ask('POST', `/clients/${id}/chart`, {}),
      stranger.ask('PUT', `/clients/${id}/proposal`, proposal),
      stranger.ask('POST', `/clients/${id}/revisions`, { version: 1 }),
    ]);
    expect(answers.map(({ status }) => status)).toEqual(answers.map(() => 404));
  });
});
