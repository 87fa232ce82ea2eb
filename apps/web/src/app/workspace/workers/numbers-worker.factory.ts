/** A worker that renumbers. Stands alone so that tests can put another in its place. */
export const createNumbersWorker = (): Worker =>
  new Worker(new URL('./numbers.worker', import.meta.url), { type: 'module' });
