import {
  CAPTIONS,
  eachNode,
  KINDS,
  levelOf,
  parentIdOf,
  accountOf,
  type Chart,
  type ChartNode,
  type KindCode,
  type Minor,
} from '@iunctus/core';

/** One account as a row of a table; texts as they are, amounts in minor units. */
export interface ChartRow {
  readonly number: string;
  readonly name: string;
  readonly level: number;
  readonly parent: string;
  readonly role: 'heading' | 'posting';
  /** The element of the kind: asset, liability … */
  readonly element: string;
  readonly kind: string;
  readonly landing: string;
  readonly shortLabel: string;
  readonly guidance: string;
  readonly notes: string;
  readonly retiredOn: string;
  /** `null` where no balances are wanted. */
  readonly amount: Minor | null;
}

/** What an account comes to with all below it, as a person reads it for its kind. */
export type AmountOf = (node: ChartNode) => Minor;

const captionOf = (kind: KindCode): string => {
  const { caption } = KINDS[kind];
  return caption === null ? '' : CAPTIONS[caption].name;
};

const rowOf = (chart: Chart, node: ChartNode, amountOf: AmountOf | null): ChartRow => {
  const { account } = node;
  const parentId = parentIdOf(chart, account.id);
  const parent = parentId === null ? undefined : accountOf(chart, parentId);
  return {
    number: account.number ?? '',
    name: account.name,
    level: levelOf(chart, account.id),
    parent: parent?.number ?? parent?.name ?? '',
    role: account.role,
    element: KINDS[account.kind].element,
    kind: KINDS[account.kind].name,
    landing: captionOf(account.kind),
    shortLabel: account.shortLabel,
    guidance: account.guidance,
    notes: account.notes,
    retiredOn: account.retiredOn ?? '',
    amount: amountOf === null ? null : amountOf(node),
  };
};

/** A chart as rows, parents before their accounts, in chart order; with amounts where `amountOf` gives them. */
export const chartTable = (chart: Chart, amountOf: AmountOf | null): readonly ChartRow[] =>
  [...eachNode(chart.roots)].map((node) => rowOf(chart, node, amountOf));
