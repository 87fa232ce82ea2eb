/// <reference lib="webworker" />
import { JournalComputer } from './journal-computer';
import type { JournalQuestion } from './journal-messages';

const computer = new JournalComputer((answer) => postMessage(answer));

addEventListener('message', ({ data }: MessageEvent<JournalQuestion>) => {
  void computer.take(data);
});
