/// <reference lib="webworker" />
import { chartOf, planOutline } from '@iunctus/core';
import type { OutlineAnswer, OutlineQuestion } from './outline-messages';

/** The n-th line keeps its account's id from one question to the next. */
const ids: string[] = [];
const newId = (index: number): string => (ids[index] ??= crypto.randomUUID());

addEventListener('message', ({ data }: MessageEvent<OutlineQuestion>) => {
  const { serial, text, under } = data;
  const chart = chartOf(data.chart);
  const answer: OutlineAnswer = { serial, plan: planOutline(chart, text, { under, newId }) };
  postMessage(answer);
});
