import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ConfigError, readConfig } from '../src/config/config';

const GOOD = { DATABASE_URL: 'postgres://a:b@c/d', SECRET: 's'.repeat(32) };
const complaint = (change: Record<string, string>): string => {
  try {
    readConfig({ ...GOOD, ...change });
    return '';
  } catch (error) {
    if (error instanceof ConfigError) return error.message;
    throw error;
  }
};

describe('the settings of the server', () => {
  it('are few that must be, and the rest has a usual value', () => {
    expect(readConfig(GOOD)).toMatchObject({ HOST: '127.0.0.1', PORT: 0, DEMO: false, WORKERS: 2 });
  });

  it('count as missing when they are empty', () => {
    expect(readConfig({ ...GOOD, PORT: '', PUBLIC_ADDRESS: '' }).PORT).toBe(0);
    expect(complaint({ SECRET: '' })).toContain('SECRET is missing');
  });

  it.each([
    ['DATABASE_URL', 'mysql://x', 'begins with postgres://'],
    ['SECRET', 'short', 'at least 32'],
    ['PORT', '70000', 'at most 65535'],
    ['PORT', 'eighty', 'whole number'],
    ['DEMO', 'true', 'yes or no'],
    ['PUBLIC_ADDRESS', 'books.example', 'https://'],
    ['PUBLIC_ADDRESS', 'https://books.example/app', 'without a path'],
    ['HOST', '0.0.0.0', 'PUBLIC_ADDRESS is needed'],
    ['SESSION_IDLE_MINUTES', '0', 'at least 5'],
    ['TRUSTED_PROXY', 'banana', 'addresses of proxies'],
  ])('say of %s=%s what is wrong', (name, value, words) => {
    expect(complaint({ [name]: value })).toContain(words);
  });

  it.each(['1', 'loopback', '10.0.0.0/8, loopback', '::1', 'fd00::/8'])(
    'take %s for a proxy',
    (proxy) => {
      expect(complaint({ TRUSTED_PROXY: proxy })).toBe('');
    },
  );

  it('say everything that is wrong at once', () => {
    const said = complaint({ PORT: 'x', DEMO: 'x' });
    expect([said.includes('PORT'), said.includes('DEMO')]).toEqual([true, true]);
  });

  it('are each in the README’s table', () => {
    const readme = readFileSync(join(__dirname, '../../../README.md'), 'utf8');
    for (const name of Object.keys(
      readConfig({
        ...GOOD,
        APPLICATION_DATABASE_URL: 'postgres://x',
        PUBLIC_ADDRESS: 'https://x',
        TRUSTED_PROXY: '1',
        LOG_FILE: 'x',
        ADDRESS_FILE: 'x',
      }),
    ))
      expect(readme).toContain(`\`${name}\``);
  });
});
