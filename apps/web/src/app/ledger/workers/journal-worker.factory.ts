/** A worker that reads lists of entries. Stands alone so that tests can put another in its place. */
export const createJournalWorker = (): Worker =>
  new Worker(new URL('./journal.worker', import.meta.url), { type: 'module' });
