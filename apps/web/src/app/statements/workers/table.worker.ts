/// <reference lib="webworker" />
import { createTableComputer } from './table-computer';
import type { TableMessage } from './table-messages';

const compute = createTableComputer();

addEventListener('message', ({ data }: MessageEvent<TableMessage>) => {
  const result = compute(data);
  if (result !== null) postMessage(result);
});
