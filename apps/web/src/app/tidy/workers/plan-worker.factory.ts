/** A worker that finds the whole way to another chart's shape. Stands alone so that tests can put another in its place. */
export const createPlanWorker = (): Worker =>
  new Worker(new URL('./plan.worker', import.meta.url), { type: 'module' });
