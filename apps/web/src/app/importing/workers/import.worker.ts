/// <reference lib="webworker" />
import type { Spelling } from '@iunctus/core';
import { readSpelling } from '../../workspace/workers/read-spelling';
import { ImportComputer } from './import-computer';
import type { ImportQuestionMessage } from './import-messages';

/** Dictionaries that were read, by country; without one all else is found. */
const spellings: Record<string, Promise<Spelling | null>> = {};

const computer = new ImportComputer(
  (answer) => postMessage(answer),
  () => crypto.randomUUID(),
  (country) => (spellings[country] ??= readSpelling(country).catch(() => null)),
);

addEventListener('message', ({ data }: MessageEvent<ImportQuestionMessage>) => {
  void computer.take(data);
});
