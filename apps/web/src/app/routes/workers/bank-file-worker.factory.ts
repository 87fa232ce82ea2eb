/** A worker that reads the files of banks. Stands alone so that tests can put another in its place. */
export const createBankFileWorker = (): Worker =>
  new Worker(new URL('./bank-file.worker', import.meta.url), { type: 'module' });
