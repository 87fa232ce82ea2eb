/// <reference lib="webworker" />
import { chartOf, crosswalkTo, findingsOf, lookAt, type Chart } from '@iunctus/core';
import type { NumbersAnswer, NumbersRequest } from './numbers-messages';

const answerTo = (request: NumbersRequest, chart: Chart): NumbersAnswer => {
  const { purpose, serial, plan, movable, keep } = request;
  if (purpose === 'check') {
    const findings = findingsOf('numberMisfit', lookAt(chart, { plan }));
    return { purpose, serial, findings };
  }
  const chosen = movable === null ? null : new Set(movable);
  return { purpose, serial, crosswalk: crosswalkTo(chart, { plan, movable: chosen, keep }) };
};

addEventListener('message', ({ data }: MessageEvent<NumbersRequest>) =>
  postMessage(answerTo(data, chartOf(data.chart))),
);
