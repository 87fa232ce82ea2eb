import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { freshDatabase, serve, type Running } from './harness';

describe('the files of the interface', () => {
  let web: string;
  let server: Running;
  beforeAll(async () => {
    web = await mkdtemp(join(tmpdir(), 'web-'));
    const script = 'console.log("chart")';
    await writeFile(join(web, 'index.html'), '<title>Iunctus</title>');
    await writeFile(join(web, 'main-AB12.js'), script);
    await writeFile(join(web, 'main-AB12.js.br'), brotliCompressSync(script));
    await writeFile(join(web, 'main-AB12.js.gz'), gzipSync(script));
    server = await serve(await freshDatabase(), { web });
  });
  afterAll(async () => {
    await server.stop();
    await rm(web, { recursive: true });
  });

  const get = (path: string, encodings = 'gzip, deflate, br') =>
    fetch(`${server.base.replace(/\/api$/, '')}${path}`, {
      headers: { 'accept-encoding': encodings },
    });

  it('come as the build packed them, by what the browser takes, and are kept for good', async () => {
    const packed = await get('/main-AB12.js');
    expect(await packed.text()).toBe('console.log("chart")');
    expect(packed.headers.get('content-encoding')).toBe('br');
    expect(packed.headers.get('cache-control')).toContain('immutable');
    expect((await get('/main-AB12.js', 'gzip')).headers.get('content-encoding')).toBe('gzip');
    expect((await get('/main-AB12.js', 'identity')).headers.get('content-encoding')).toBeNull();
  });

  it('are not there where there is none: no page in place of a script', async () => {
    const missing = await get('/main-OLD.js');
    expect([missing.status, await missing.json()]).toEqual([404, { code: 'notFound' }]);
  });

  it('are the one page for every place of the application', async () => {
    const place = await get('/clients/123/chart');
    expect([place.status, await place.text()]).toEqual([200, '<title>Iunctus</title>']);
    expect(place.headers.get('cache-control')).toBe('no-cache');
  });
});
