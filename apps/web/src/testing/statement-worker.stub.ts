import { createStatementComputer } from '../app/workspace/workers/statement-computer';
import type {
  StatementMessage,
  StatementResult,
} from '../app/workspace/workers/statement-messages';

type Listener = (event: MessageEvent<StatementResult>) => void;

/** The worker's work done at once, in the page. */
export const createStatementWorker = () => {
  const compute = createStatementComputer();
  const listeners: Listener[] = [];
  return {
    addEventListener: (_type: string, listener: Listener) => listeners.push(listener),
    postMessage: (message: StatementMessage) => {
      const data = compute(message);
      for (const listener of listeners) listener({ data } as MessageEvent<StatementResult>);
    },
    terminate: () => undefined,
  };
};
