/// <reference lib="webworker" />
import { chartFrom, crosswalkTo } from '@iunctus/core';
import type { NumbersAnswer, NumbersRequest } from './numbers-messages';

addEventListener('message', ({ data }: MessageEvent<NumbersRequest>) => {
  const { purpose, serial, accounts, settings, plan, movable, keep } = data;
  const chosen = movable === null ? null : new Set(movable);
  const chart = chartFrom(accounts, { settings });
  const answer: NumbersAnswer = {
    purpose,
    serial,
    crosswalk: crosswalkTo(chart, { plan, movable: chosen, keep }),
  };
  postMessage(answer);
});
