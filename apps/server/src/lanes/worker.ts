import { workerData } from 'piscina';
import { createPool, type PoolLimits } from '../database/pool';
import { perform, type Outcome, type Raw } from '../endpoints/perform';

/** What a worker needs to reach the database. */
export interface WorkerStart {
  readonly databaseUrl: string;
  readonly limits: PoolLimits;
}

const { databaseUrl, limits } = workerData as WorkerStart;
const pool = createPool(databaseUrl, () => undefined, limits);

/** One piece of work, in this thread and on its own connections. */
export default (raw: Raw): Promise<Outcome> => perform({ pool }, raw);
