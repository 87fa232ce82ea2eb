/// <reference lib="webworker" />
import { createFindingsComputer } from './findings-computer';
import type { FindingsMessage } from './findings-messages';

const compute = createFindingsComputer();

addEventListener('message', ({ data }: MessageEvent<FindingsMessage>) => {
  const result = compute(data);
  if (result !== null) postMessage(result);
});
