import { createFindingsComputer } from '../app/workspace/workers/findings-computer';
import type { FindingsMessage, FindingsResult } from '../app/workspace/workers/findings-messages';

type Listener = (event: MessageEvent<FindingsResult>) => void;

/** The worker's work done at once, in the page; without a dictionary. */
export const createFindingsWorker = () => {
  const computer = createFindingsComputer();
  const listeners: Listener[] = [];
  return {
    addEventListener: (_type: string, listener: Listener) => listeners.push(listener),
    postMessage: (message: FindingsMessage) => {
      const data = computer.tell(message);
      if (data === null) return;
      for (const listener of listeners) listener({ data } as MessageEvent<FindingsResult>);
    },
    terminate: () => undefined,
  };
};
