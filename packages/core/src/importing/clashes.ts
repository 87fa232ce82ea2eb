/**
 * What holds for all numbers of a list that stand for other accounts in the chart: the chart's accounts
 * keep them, the list's new accounts take them, or the list takes the place of the chart.
 */
export const CLASH_RULES = ['chart', 'list', 'replace'] as const;
export type ClashRule = (typeof CLASH_RULES)[number];
