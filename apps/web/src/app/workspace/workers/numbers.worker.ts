/// <reference lib="webworker" />
import { chartOf, crosswalkTo } from '@iunctus/core';
import type { NumbersAnswer, NumbersRequest } from './numbers-messages';

addEventListener('message', ({ data }: MessageEvent<NumbersRequest>) => {
  const { purpose, serial, plan, movable, keep } = data;
  const chosen = movable === null ? null : new Set(movable);
  const answer: NumbersAnswer = {
    purpose,
    serial,
    crosswalk: crosswalkTo(chartOf(data.chart), { plan, movable: chosen, keep }),
  };
  postMessage(answer);
});
