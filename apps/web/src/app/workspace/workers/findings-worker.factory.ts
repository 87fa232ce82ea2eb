/** A worker that looks a chart through. Stands alone so that tests can put another in its place. */
export const createFindingsWorker = (): Worker =>
  new Worker(new URL('./findings.worker', import.meta.url), { type: 'module' });
