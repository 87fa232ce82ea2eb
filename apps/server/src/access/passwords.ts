import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { problem } from '../problems/problem';

/** Cost of a guess: about 64 MiB and a tenth of a second. Source: OWASP Password Storage Cheat Sheet (from memory). */
const COST = { N: 2 ** 16, r: 8, p: 1, maxmem: 128 * 2 ** 20 };
const LENGTH = 32;

/** So many are derived at once, of the four threads that files and packing need as well; so many more wait. */
const AT_ONCE = 2;
const WAITING = 40;

let running = 0;
const waiting: (() => void)[] = [];

/** Derives keys in turn, so that a flood of sign-ins leaves threads and memory for everybody else. */
const inTurn = async <T>(work: () => Promise<T>): Promise<T> => {
  if (running >= AT_ONCE) {
    if (waiting.length >= WAITING) return problem({ code: 'busy', seconds: 3 });
    await new Promise<void>((resolve) => waiting.push(resolve));
  } else running += 1;
  try {
    return await work();
  } finally {
    const next = waiting.shift();
    if (next === undefined) running -= 1;
    else next();
  }
};

const derive = (password: string, salt: Buffer): Promise<Buffer> =>
  inTurn(
    () =>
      new Promise<Buffer>((resolve, reject) => {
        scrypt(password.normalize('NFKC'), salt, LENGTH, COST, (error, key) =>
          error === null ? resolve(key) : reject(error),
        );
      }),
  );

/** A salted hash of a password, as it is stored. */
export const hashPassword = async (password: string): Promise<string> => {
  const salt = randomBytes(16);
  return `scrypt:${salt.toString('base64')}:${(await derive(password, salt)).toString('base64')}`;
};

/** Whether the password is the one that was hashed. Compares in constant time. Refuses with `busy` when too many are asked about at once. */
export const passwordFits = async (password: string, stored: string): Promise<boolean> => {
  const [, salt = '', key = ''] = stored.split(':');
  const expected = Buffer.from(key, 'base64');
  const given = await derive(password, Buffer.from(salt, 'base64'));
  return expected.length === given.length && timingSafeEqual(expected, given);
};

/** Spent where nobody is known, so that they take as long to refuse as somebody who is. */
export const NOBODYS_HASH = `scrypt:${randomBytes(16).toString('base64')}:${randomBytes(LENGTH).toString('base64')}`;
