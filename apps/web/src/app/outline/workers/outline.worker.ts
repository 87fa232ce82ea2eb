/// <reference lib="webworker" />
import { chartFrom, planOutline } from '@iunctus/core';
import type { OutlineAnswer, OutlineQuestion } from './outline-messages';

/** The n-th line keeps its account's id from one question to the next. */
const ids: string[] = [];
const newId = (index: number): string => (ids[index] ??= crypto.randomUUID());

addEventListener('message', ({ data }: MessageEvent<OutlineQuestion>) => {
  const { serial, settings, accounts, merged, text, under } = data;
  const chart = chartFrom(accounts, { settings, merged });
  const answer: OutlineAnswer = { serial, plan: planOutline(chart, text, { under, newId }) };
  postMessage(answer);
});
