import type { WorkEndpoint } from '../endpoints/call';
import { failedOutcome, type Outcome, type Raw } from '../endpoints/perform';
import { problem } from '../problems/problem';
import { FairQueue } from './fair-queue';

/** What may take long runs beside what people wait for, each in threads of its own. */
type Lane = 'quick' | 'long';

/** Work whose size is the user's: a whole chart, or more. All other work is small and done at once. */
const LANE_OF: Readonly<Partial<Record<WorkEndpoint, Lane>>> = {
  bench: 'quick',
  overview: 'quick',
  figures: 'quick',
  findAccounts: 'quick',
  tidyCheck: 'quick',
  postedWords: 'quick',
  openItems: 'quick',
  keepOpenItems: 'quick',
  balances: 'quick',
  monthly: 'quick',
  monthlyByValue: 'quick',
  keepLayout: 'quick',
  saveProposal: 'quick',
  postings: 'quick',
  splits: 'quick',
  review: 'quick',
  revisions: 'quick',
  setOrigin: 'quick',
  keptVersion: 'quick',
  adopt: 'long',
  undo: 'long',
  restore: 'long',
  revisionChart: 'long',
  exportChart: 'long',
  keptCharts: 'long',
  keepChart: 'long',
  sendReturn: 'long',
};

/** Work on one chart that would only wait for one another's lock. */
const EXCLUSIVE: readonly WorkEndpoint[] = ['adopt', 'keepChart'];

/** Runs work somewhere: in a thread, or here. Rejects when `signal` says that it took too long. */
export type Runner = (raw: Raw, signal: AbortSignal) => Promise<Outcome>;

/** Where work is done. */
export interface Lanes {
  run(raw: Raw): Promise<Outcome>;
  close(): Promise<void>;
}

/** How the lanes are laid: who runs what, how many at once, and for how long. */
export interface LanePlan {
  readonly here: Runner;
  readonly quick: Runner;
  readonly long: Runner;
  readonly atOnce: number;
  readonly seconds: number;
  close(): Promise<void>;
}

/** Most pieces of work that one person may have waiting in a lane. */
const WAITING = 100;

const within = async (run: Runner, raw: Raw, seconds: number): Promise<Outcome> => {
  const signal = AbortSignal.timeout(seconds * 1000);
  try {
    return await run(raw, signal);
  } catch (error) {
    if (signal.aborted) return problem({ code: 'tookTooLong' });
    throw error;
  }
};

/** Lanes by a plan. Work that fails, takes too long or finds no room is answered in words. */
export const layLanes = (plan: LanePlan): Lanes => {
  const limits = { atOnce: plan.atOnce, waiting: WAITING };
  const queues = { quick: new FairQueue(limits), long: new FairQueue(limits) };
  const inLane = (lane: Lane, raw: Raw): Promise<Outcome> => {
    const exclusive = EXCLUSIVE.includes(raw.name) ? (raw.params['clientId'] ?? null) : null;
    return queues[lane].run({ owner: raw.viewer.userId, exclusive }, () =>
      within(plan[lane], raw, plan.seconds),
    );
  };
  return {
    async run(raw) {
      const lane = LANE_OF[raw.name];
      try {
        return await (lane === undefined
          ? within(plan.here, raw, plan.seconds)
          : inLane(lane, raw));
      } catch (error) {
        return failedOutcome(error, raw.requestId);
      }
    },
    close: () => plan.close(),
  };
};
