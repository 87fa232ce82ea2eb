/// <reference lib="webworker" />
import { createStatementComputer } from './statement-computer';
import type { StatementMessage } from './statement-messages';

const compute = createStatementComputer();

addEventListener('message', ({ data }: MessageEvent<StatementMessage>) => {
  postMessage(compute(data));
});
