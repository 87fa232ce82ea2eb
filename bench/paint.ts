// From a key to the next painted frame on the bench, at 5,000 accounts, in Chromium.
// Baseline: the same keys on a chart of 500 accounts, in turn with it.
import type { KeyInput, Page } from 'puppeteer-core';
import { openBrowser } from '../e2e/support/browser';
import { addChart, EMAIL, openDatabase, PASSWORD } from './support/database';
import { largeChart } from './support/large-chart';
import { compare, median, say } from './support/report';
import { serveBuilt } from './support/served';

const ROUNDS = 50;
const FRAME = 16;

/** What is done, and which of its keys is timed: the last one. */
const DEEDS: readonly {
  readonly name: string;
  readonly keys: readonly (KeyInput | 'Control+z')[];
}[] = [
  { name: 'an arrow', keys: ['ArrowDown'] },
  { name: 'a branch closed and opened', keys: ['ArrowLeft', 'ArrowRight'] },
  { name: 'a letter of the filter', keys: ['/', 'Backspace', 'Escape', '/', '1'] },
  { name: 'the row opened for its name', keys: ['Escape', 'Escape', 'ArrowDown', 'Enter'] },
  { name: 'another name kept', keys: ['Enter', 'x', 'Enter'] },
  { name: 'that taken back', keys: ['Control+z'] },
];

interface Painted {
  readonly times: number[];
  longTasks: number;
}

const open = async (page: Page, address: string, clientId: string): Promise<void> => {
  await page.setViewport({ width: 1280, height: 800 });
  await page.goto(`${address}/clients/${clientId}/chart`);
  await page.waitForFunction(() => document.querySelectorAll('.row .number').length > 20);
  await page.evaluate(() => {
    const painted: Painted = { times: [], longTasks: 0 };
    Object.assign(window, { painted });
    addEventListener(
      'keydown',
      ({ timeStamp }) => {
        requestAnimationFrame(() => {
          const { port1, port2 } = new MessageChannel();
          port1.onmessage = () => painted.times.push(performance.now() - timeStamp);
          port2.postMessage(null);
        });
      },
      { capture: true },
    );
    new PerformanceObserver((list) => (painted.longTasks += list.getEntries().length)).observe({
      type: 'longtask',
    });
  });
  await page.focus('[role=treegrid]');
};

const paintedOn = (page: Page): Promise<Painted> =>
  page.evaluate(() => (window as unknown as { painted: Painted }).painted);

const press = async (page: Page, key: KeyInput | 'Control+z'): Promise<number> => {
  const before = (await paintedOn(page)).times.length;
  if (key === 'Control+z') {
    await page.keyboard.down('Control');
    await page.keyboard.press('z');
    await page.keyboard.up('Control');
  } else await page.keyboard.press(key);
  await page.waitForFunction(
    (count) => (window as unknown as { painted: Painted }).painted.times.length > count,
    { polling: 5 },
    before,
  );
  return (await paintedOn(page)).times.at(-1) ?? Number.NaN;
};

const deed = async (page: Page, keys: (typeof DEEDS)[number]['keys']): Promise<number> => {
  // A page behind another one is drawn once a second.
  await page.bringToFront();
  let last = Number.NaN;
  for (const key of keys) last = await press(page, key);
  return last;
};

const p95 = (figures: readonly number[]): number =>
  [...figures].sort((a, b) => a - b)[Math.floor(figures.length * 0.95)] ?? Number.NaN;

const database = await openDatabase();
const small = await addChart(database, 'Five hundred accounts', largeChart(500));
const large = await addChart(database, 'Five thousand accounts', largeChart(5000));
const server = await serveBuilt(database);
const browser = await openBrowser();
const [first, second] = [await browser.newPage(), await browser.newPage()];
await first.goto(server.address);
await first.waitForSelector('input[type=email]');
await first.type('input[type=email]', EMAIL);
await first.type('input[type=password]', PASSWORD);
await first.keyboard.press('Enter');
await first.waitForSelector('table');
for (const page of [first, second]) await page.emulateFocusedPage(true);
await open(first, server.address, small.clientId);
await open(second, server.address, large.clientId);

for (const { name, keys } of DEEDS) {
  const [few, many]: [number[], number[]] = [[], []];
  for (let round = 0; round < ROUNDS; round += 1) {
    few.push(await deed(first, keys));
    many.push(await deed(second, keys));
  }
  compare({
    what: `key to paint, ${name}, 5,000 accounts against 500`,
    value: median(many),
    baseline: median(few),
    unit: 'ms',
    aim: { atMost: 1.5 },
  });
  say(
    `         at 5,000: median ${median(many).toFixed(1)} ms (aim ${FRAME}), p95 ${p95(many).toFixed(1)} ms (aim 50)`,
  );
}
say(`         tasks over 50 ms at 5,000 accounts: ${(await paintedOn(second)).longTasks} (aim 0)`);

await browser.close();
server.stop();
await database.pool.end();
