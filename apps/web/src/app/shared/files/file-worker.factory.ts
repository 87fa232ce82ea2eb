/** A worker that reads the tables of a file. Stands alone so that tests can put another in its place. */
export const createFileWorker = (): Worker =>
  new Worker(new URL('./file.worker', import.meta.url), { type: 'module' });
