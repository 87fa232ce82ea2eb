import { createHash } from 'node:crypto';
import { change, maybeOne } from '../database/query';
import type { Transaction } from '../database/transaction';

/** Whom a try to sign in is counted against, how many are free, and the longest wait after that, in seconds. */
interface Counted {
  readonly key: Buffer;
  readonly free: number;
  readonly longest: number;
}

const keyOf = (...parts: readonly string[]): Buffer =>
  createHash('sha256').update(parts.join('\n')).digest();

/**
 * An account from one address has few tries; an address, and an account from anywhere, some more: so that
 * somebody who guesses at one account does not easily keep its owner out.
 */
const countedFor = (email: string, address: string): readonly Counted[] => [
  { key: keyOf('account at address', email, address), free: 5, longest: 900 },
  { key: keyOf('address', address), free: 40, longest: 900 },
  { key: keyOf('account', email), free: 60, longest: 300 },
];

/** Counts a try, unless one must wait; the wait doubles with each try that is not free. Gives the seconds to wait, 0 for none. */
const count = async (on: Transaction, { key, free, longest }: Counted): Promise<number> => {
  const row = await maybeOne<{ wait: number }>(on, {
    text: `
      INSERT INTO sign_in_try AS known (key, failures, last_at, wait_until)
      VALUES ($1, 1, clock_timestamp(), clock_timestamp())
      ON CONFLICT (key) DO UPDATE SET
        failures = CASE WHEN known.last_at < clock_timestamp() - interval '1 day' THEN 1
                        ELSE least(known.failures + 1, 1000) END,
        last_at = clock_timestamp(),
        wait_until = CASE
          WHEN known.last_at < clock_timestamp() - interval '1 day' OR known.failures + 1 < $2
            THEN clock_timestamp()
          ELSE clock_timestamp() + make_interval(secs => least(2 ^ least(known.failures + 1 - $2, 30), $3))
        END
      WHERE known.wait_until <= clock_timestamp()
      RETURNING 0 AS wait`,
    values: [key, free, longest],
  });
  if (row !== undefined) return 0;
  const waiting = await maybeOne<{ wait: number }>(on, {
    text: `
      SELECT ceil(extract(epoch FROM wait_until - clock_timestamp()))::int AS wait
      FROM sign_in_try WHERE key = $1`,
    values: [key],
  });
  return Math.max(1, waiting?.wait ?? 1);
};

/** Counts a try to sign in before it is looked at. Gives the seconds to wait first; 0 when it may be looked at. */
export const countTry = async (
  on: Transaction,
  email: string,
  address: string,
): Promise<number> => {
  await change(on, {
    text: `DELETE FROM sign_in_try WHERE last_at < now() - interval '2 days'`,
  });
  for (const counted of countedFor(email, address)) {
    const wait = await count(on, counted);
    if (wait > 0) return wait;
  }
  return 0;
};

/** A try that was right: the account is free again, and the address has one try less against it. */
export const forgiveTry = async (
  on: Transaction,
  email: string,
  address: string,
): Promise<void> => {
  const [pair, anywhere, account] = countedFor(email, address);
  // In the order in which tries are counted, so that two of them never wait for each other.
  const forget = 'DELETE FROM sign_in_try WHERE key = $1';
  await change(on, { text: forget, values: [pair?.key] });
  await change(on, {
    text: 'UPDATE sign_in_try SET failures = greatest(failures - 1, 1), wait_until = now() WHERE key = $1',
    values: [anywhere?.key],
  });
  await change(on, { text: forget, values: [account?.key] });
};
