import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import type { AxeResults, RunOptions } from 'axe-core';
import type { Page } from 'puppeteer-core';
import { isStill } from './stillness';

const AXE = readFileSync(
  createRequire(join(process.cwd(), 'package.json')).resolve('axe-core/axe.min.js'),
  'utf8',
);

/** WCAG 2.2 at levels A and AA, and what axe holds for good practice of landmarks, headings and names. */
const OPTIONS: RunOptions = {
  runOnly: {
    type: 'tag',
    values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'],
  },
  resultTypes: ['violations'],
};

/** What axe finds wrong on the page as it is shown now, an entry for each rule and element. */
export const offendersOn = async (page: Page): Promise<readonly string[]> => {
  await isStill(page);
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(AXE);
  const found = await page.evaluate(
    (options) =>
      (window as unknown as { axe: { run(o: RunOptions): Promise<AxeResults> } }).axe.run(options),
    OPTIONS,
  );
  return found.violations.flatMap(({ id, nodes }) =>
    nodes.map(({ target, failureSummary }) => {
      const why = failureSummary?.split('\n').slice(1, 2).join('').trim() ?? '';
      return `${id}: ${target.join(' ')} ${why}`;
    }),
  );
};
