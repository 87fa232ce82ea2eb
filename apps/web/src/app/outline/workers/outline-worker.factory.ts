/** A worker that understands outlines. Stands alone so that tests can put another in its place. */
export const createOutlineWorker = (): Worker =>
  new Worker(new URL('./outline.worker', import.meta.url), { type: 'module' });
