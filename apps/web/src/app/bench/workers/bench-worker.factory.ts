/** A worker that computes roll-up, statements and impact. Stands alone so that tests can put another in its place. */
export const createBenchWorker = (): Worker =>
  new Worker(new URL('./bench.worker', import.meta.url), { type: 'module' });
