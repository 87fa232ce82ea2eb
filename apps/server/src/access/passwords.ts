import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';

/** Cost of a guess: about 64 MiB and a tenth of a second. Source: OWASP Password Storage Cheat Sheet (from memory). */
const COST = { N: 2 ** 16, r: 8, p: 1, maxmem: 128 * 2 ** 20 };
const LENGTH = 32;

const derive = (password: string, salt: Buffer): Promise<Buffer> =>
  new Promise((resolve, reject) => {
    scrypt(password.normalize('NFKC'), salt, LENGTH, COST, (error, key) =>
      error === null ? resolve(key) : reject(error),
    );
  });

/** A salted hash of a password, as it is stored. */
export const hashPassword = async (password: string): Promise<string> => {
  const salt = randomBytes(16);
  return `scrypt:${salt.toString('base64')}:${(await derive(password, salt)).toString('base64')}`;
};

/** Whether the password is the one that was hashed. Compares in constant time. */
export const passwordFits = async (password: string, stored: string): Promise<boolean> => {
  const [, salt = '', key = ''] = stored.split(':');
  const expected = Buffer.from(key, 'base64');
  const given = await derive(password, Buffer.from(salt, 'base64'));
  return expected.length === given.length && timingSafeEqual(expected, given);
};
