/// <reference lib="webworker" />
import { createFindingsComputer } from './findings-computer';
import type { FindingsMessage } from './findings-messages';
import { readSpelling } from './read-spelling';

const computer = createFindingsComputer();
let country: string | null = null;

const tell = (message: Parameters<typeof computer.tell>[0]): void => {
  const result = computer.tell(message);
  if (result !== null) postMessage(result);
};

/** Looks one month after the other through, so that what the page says meanwhile is heard in between. */
const goOn = (): void => {
  if (!computer.isBehind()) return;
  tell({ type: 'nextMonth' });
  setTimeout(goOn);
};

const spellAs = async (of: string): Promise<void> => {
  country = of;
  tell({ type: 'spellingComes' });
  try {
    const spelling = await readSpelling(of);
    if (country === of) tell({ type: 'spelling', spelling });
  } catch {
    // Without a dictionary all else is found as before; the next time that the client is told, it is asked for anew.
    if (country !== of) return;
    country = null;
    tell({ type: 'spelling', spelling: null });
  }
};

addEventListener('message', ({ data }: MessageEvent<FindingsMessage>) => {
  const wasBehind = computer.isBehind();
  // Before the client: an answer to it without the dictionary is not the whole.
  if (data.type === 'client' && data.filer.country !== country) void spellAs(data.filer.country);
  tell(data);
  if (!wasBehind) goOn();
});
