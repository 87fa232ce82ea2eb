/** A worker that computes roll-up, statements and impact. Stands alone so that tests can put another in its place. */
export const createStatementWorker = (): Worker =>
  new Worker(new URL('./statement.worker', import.meta.url), { type: 'module' });
