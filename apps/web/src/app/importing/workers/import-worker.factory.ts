/** A worker that reads files and lines them up. Stands alone so that tests can put another in its place. */
export const createImportWorker = (): Worker =>
  new Worker(new URL('./import.worker', import.meta.url), { type: 'module' });
