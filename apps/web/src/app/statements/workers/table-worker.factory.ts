/** A worker that computes statements with their columns. Stands alone so that tests can put another in its place. */
export const createTableWorker = (): Worker =>
  new Worker(new URL('./table.worker', import.meta.url), { type: 'module' });
