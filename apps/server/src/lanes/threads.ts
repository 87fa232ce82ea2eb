import type pg from 'pg';
import { Piscina } from 'piscina';
import type { Outcome } from '../endpoints/perform';
import { runnerHere } from './here';
import { layLanes, type Lanes, type Runner } from './lanes';
import type { WorkerStart } from './worker';

/** What lanes of threads are made of. */
export interface ThreadPlan {
  /** The pool for work that is done at once, in this thread. */
  readonly pool: pg.Pool;
  /** The built file of the worker. */
  readonly worker: string;
  /** What each worker needs to reach the database. */
  readonly start: WorkerStart;
  /** Threads in each lane. */
  readonly threads: number;
  /** How long one piece of work may take; then its thread ends, and what it did is rolled back. */
  readonly seconds: number;
}

const threadsFor = ({ worker, start, threads }: ThreadPlan): Piscina =>
  new Piscina({
    filename: worker,
    workerData: start,
    minThreads: 1,
    maxThreads: threads,
    concurrentTasksPerWorker: 1,
    // A thread that waits must still hear when the database closes its connections.
    atomics: 'disabled',
    idleTimeout: 120_000,
    // A thread that runs out of memory ends alone.
    resourceLimits: { maxOldGenerationSizeMb: 1536 },
  });

/** Lanes in which long work runs in threads, beside what people wait for. */
export const lanesOfThreads = (plan: ThreadPlan): Lanes => {
  const [quick, long] = [threadsFor(plan), threadsFor(plan)];
  const runIn =
    (threads: Piscina): Runner =>
    (raw, signal) =>
      threads.run(raw, { signal }) as Promise<Outcome>;
  return layLanes({
    here: runnerHere(plan.pool),
    quick: runIn(quick),
    long: runIn(long),
    atOnce: plan.threads,
    seconds: plan.seconds,
    close: async () => {
      await Promise.all([quick.destroy(), long.destroy()]);
    },
  });
};
