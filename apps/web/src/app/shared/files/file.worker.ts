/// <reference lib="webworker" />
import { readFile } from '@iunctus/exchange/reading';

addEventListener('message', ({ data }: MessageEvent<Uint8Array>) => {
  void readFile(data).then((reading) => postMessage(reading));
});
