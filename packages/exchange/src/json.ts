import { mergedAccounts, recordsOf, splitsOf, type Chart } from '@iunctus/core';

/** The version of the file's shape; it grows when a reader would have to know. */
export const JSON_VERSION = 1;

/** A whole chart as JSON: settings, accounts in order, merges, splits, and whatever history is given. */
export const writeJson = (
  chart: Chart,
  { client, revision, history }: { client: string; revision: number; history: readonly object[] },
): string => {
  const whole = {
    format: 'iunctus-chart',
    version: JSON_VERSION,
    client,
    revision,
    settings: chart.settings,
    accounts: recordsOf(chart),
    merged: mergedAccounts(chart),
    splits: splitsOf(chart),
    history,
  };
  return `${JSON.stringify(whole, null, 2)}\n`;
};
