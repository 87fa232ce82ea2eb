/// <reference lib="webworker" />
import { createPlanComputer } from './plan-computer';
import type { PlanMessage } from './plan-messages';

const compute = createPlanComputer(() => crypto.randomUUID());

addEventListener('message', ({ data }: MessageEvent<PlanMessage>) => postMessage(compute(data)));
