// Opening a chart in the browser: from the click on the client to the first rows drawn.
// Baseline: a chart of 50 accounts. Also counts what the bench draws for 5,000.
import type { Page } from 'puppeteer-core';
import { openBrowser } from '../e2e/support/browser';
import { addChart, EMAIL, openDatabase, PASSWORD } from './support/database';
import { largeChart } from './support/large-chart';
import { compare, median, say } from './support/report';
import { serveBuilt } from './support/served';

const ROUNDS = 9;

const database = await openDatabase();
const clients = {
  small: await addChart(database, 'Fifty accounts', largeChart(50)),
  large: await addChart(database, 'Five thousand accounts', largeChart(5000)),
};

const server = await serveBuilt(database);
const { address } = server;

const browser = await openBrowser();
const page = await browser.newPage();
await page.goto(address);
await page.waitForSelector('input[type=email]');
await page.type('input[type=email]', EMAIL);
await page.type('input[type=password]', PASSWORD);
await page.keyboard.press('Enter');
await page.waitForSelector('table');

/** Milliseconds from the click in the list of clients to rows with their numbers on the screen. */
const openTime = async (name: string): Promise<number> => {
  await page.goto(`${address}/clients`);
  await page.waitForSelector('table td a');
  return page.evaluate(
    (wanted) =>
      new Promise<number>((resolve) => {
        const link = [...document.querySelectorAll<HTMLElement>('td a')].find(
          (a) => a.textContent === wanted,
        );
        const started = performance.now();
        const look = (): void => {
          if (document.querySelectorAll('.row .number').length > 20)
            resolve(performance.now() - started);
          else requestAnimationFrame(look);
        };
        link?.click();
        look();
      }),
    name,
  );
};

const openTimes = async (name: string): Promise<number> => {
  await openTime(name);
  const times: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) times.push(await openTime(name));
  return median(times);
};

const nodesOn = (on: Page): Promise<number> =>
  on.evaluate(() => document.querySelectorAll('*').length);

const [small, large] = [
  await openTimes('Fifty accounts'),
  await openTimes('Five thousand accounts'),
];
compare({
  what: 'opening a chart of 5,000 accounts against one of 50',
  value: large,
  baseline: small,
  unit: 'ms',
  aim: { atMost: 3 },
});

await page.evaluate(() =>
  [...document.querySelectorAll<HTMLElement>('.segments button')]
    .find((b) => b.textContent?.trim() === 'All')
    ?.click(),
);
await page.waitForFunction(
  () => Number(document.querySelector('[role=treegrid]')?.getAttribute('aria-rowcount')) > 5000,
);
const nodes = await nodesOn(page);
compare({
  what: 'elements in the page with 5,000 accounts all open, against the 3,000 allowed',
  value: nodes,
  baseline: 3000,
  unit: 'elements',
  aim: { atMost: 1 },
});

const wire = await page.evaluate(async (id) => {
  const response = await fetch(`/api/clients/${id}/bench`);
  const text = await response.text();
  return {
    plain: text.length,
    entry: performance
      .getEntriesByType('resource')
      .filter(({ name }) => name.endsWith('/bench'))
      .at(-1)
      ?.toJSON() as { encodedBodySize: number },
  };
}, clients.large.clientId);
say(
  `         on the wire for 5,000 accounts: ${(wire.entry.encodedBodySize / 1024).toFixed(0)} KiB of ${(wire.plain / 1024).toFixed(0)} KiB`,
);

await browser.close();
server.stop();
await database.pool.end();
