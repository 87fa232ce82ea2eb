/// <reference lib="webworker" />
import { ImportComputer } from './import-computer';
import type { ImportQuestionMessage } from './import-messages';

const computer = new ImportComputer(
  (answer) => postMessage(answer),
  () => crypto.randomUUID(),
);

addEventListener('message', ({ data }: MessageEvent<ImportQuestionMessage>) => {
  void computer.take(data);
});
