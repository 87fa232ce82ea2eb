import type pg from 'pg';
import { perform } from '../endpoints/perform';
import { layLanes, type Lanes, type Runner } from './lanes';

/** Work in this thread, on this pool. */
export const runnerHere =
  (pool: pg.Pool): Runner =>
  (raw) =>
    perform({ pool }, raw);

/** Lanes without threads: all work is done here. */
export const lanesHere = (pool: pg.Pool): Lanes => {
  const here = runnerHere(pool);
  const close = (): Promise<void> => Promise.resolve();
  return layLanes({ here, quick: here, long: here, atOnce: 4, seconds: 600, close });
};
