import { createBenchComputer } from '../app/bench/workers/bench-computer';
import type { BenchMessage, BenchResult } from '../app/bench/workers/bench-messages';

type Listener = (event: MessageEvent<BenchResult>) => void;

/** The worker's work done at once, in the page. */
export const createBenchWorker = () => {
  const compute = createBenchComputer();
  const listeners: Listener[] = [];
  return {
    addEventListener: (_type: string, listener: Listener) => listeners.push(listener),
    postMessage: (message: BenchMessage) => {
      const data = compute(message);
      for (const listener of listeners) listener({ data } as MessageEvent<BenchResult>);
    },
    terminate: () => undefined,
  };
};
