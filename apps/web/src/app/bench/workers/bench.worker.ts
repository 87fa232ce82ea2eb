/// <reference lib="webworker" />
import { createBenchComputer } from './bench-computer';
import type { BenchMessage } from './bench-messages';

const compute = createBenchComputer();

addEventListener('message', ({ data }: MessageEvent<BenchMessage>) => {
  postMessage(compute(data));
});
