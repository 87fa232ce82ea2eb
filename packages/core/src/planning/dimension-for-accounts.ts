import type { AccountId } from '../chart/account';
import type { Chart, ChartNode } from '../chart/chart';
import { nodeOf } from '../chart/queries';
import {
  DIMENSION_NAME_LIMIT,
  type Dimension,
  type DimensionUse,
  type DimensionValue,
} from '../dimensions/dimension';
import { wordsOf } from '../matching/words';
import type { Operation } from '../operations/operation';
import { nameKey } from '../text/name-key';

/** What new things are made with. */
export interface NewIds {
  newId(): string;
}

const MARKS = /^[\s:;,–—-]+|[\s:;,–—-]+$/gu;

/**
 * What a sub-account's name says beside what the name above it says: “Eights” of “Repairs – Eights” below “Boat repairs”;
 * all of it where nothing else is left.
 */
export const toldApart = (name: string, above: string): string => {
  const known = new Set(wordsOf(above));
  const own = name
    .split(/\s+/)
    .filter((part) => {
      const words = wordsOf(part);
      return words.length === 0 || !words.every((word) => known.has(word));
    })
    .join(' ')
    .replace(MARKS, '');
  return own === '' ? name : own.charAt(0).toUpperCase() + own.slice(1);
};

const valueNamed = (dimension: Dimension, name: string): DimensionValue | undefined =>
  dimension.values.find((value) => nameKey(value.name) === nameKey(name));

/** A dimension that tells apart what the names say, or one of the chart that has most of them, with the others added. */
const dimensionFor = (chart: Chart, names: readonly string[], { newId }: NewIds): Dimension => {
  const known = chart.settings.dimensions.find((one) =>
    names.every((name) => valueNamed(one, name) !== undefined),
  );
  if (known !== undefined) return known;
  const taken = new Set(chart.settings.dimensions.map(({ name }) => nameKey(name)));
  const joined = names.join(' / ').slice(0, DIMENSION_NAME_LIMIT).trim();
  const free = (name: string, count: number): string => {
    const next = count === 1 ? name : `${name.slice(0, DIMENSION_NAME_LIMIT - 3)} ${count}`;
    return taken.has(nameKey(next)) ? free(name, count + 1) : next;
  };
  return {
    id: newId(),
    name: free(joined, 1),
    values: names.map((name) => ({ id: newId(), name })),
  };
};

const without = (uses: readonly DimensionUse[] | undefined, id: string): readonly DimensionUse[] =>
  (uses ?? []).filter(({ dimensionId }) => dimensionId !== id);

const usesOf = (
  node: ChartNode,
  use: DimensionUse,
): Extract<Operation, { type: 'changeSetting' }> => ({
  type: 'changeSetting',
  id: node.account.id,
  setting: 'dimensions',
  value: [...without(node.account.settings.dimensions, use.dimensionId), use],
});

const below = (parent: ChartNode, dimension: Dimension): readonly Operation[] =>
  parent.children.flatMap((child): readonly Operation[] => {
    const value = valueNamed(dimension, toldApart(child.account.name, parent.account.name));
    if (value === undefined || child.account.kind !== parent.account.kind) return [];
    return [
      usesOf(child, { dimensionId: dimension.id, valueId: value.id, demanded: false }),
      { type: 'merge', id: child.account.id, into: parent.account.id, acrossKinds: false },
    ];
  });

/**
 * Tells apart by a dimension what sub-accounts of the same names below several accounts tell apart: each of them is merged
 * into the account above it, and remembers the value that its postings stand for. What is posted from now on has to carry
 * one. No total moves, and each value comes to what its sub-accounts came to.
 * @param parents accounts with sub-accounts of the same names and of their own kind; none for others
 */
export const dimensionForAccounts = (
  chart: Chart,
  parents: readonly AccountId[],
  ids: NewIds,
): readonly Operation[] => {
  const nodes = parents.flatMap((id) => nodeOf(chart, id) ?? []);
  const [first] = nodes;
  if (first === undefined) return [];
  const dimension = dimensionFor(
    chart,
    first.children.map(({ account }) => toldApart(account.name, first.account.name)),
    ids,
  );
  const isThere = chart.settings.dimensions.includes(dimension);
  const afterId = chart.settings.dimensions.at(-1)?.id ?? null;
  const made: readonly Operation[] = isThere
    ? []
    : [{ type: 'setDimension', id: dimension.id, dimension, afterId }];
  const each = nodes.flatMap((node): readonly Operation[] => [
    ...(node.account.role === 'heading'
      ? [{ type: 'changeRole', id: node.account.id, role: 'posting' } as const]
      : []),
    ...below(node, dimension),
    usesOf(node, { dimensionId: dimension.id, valueId: null, demanded: true }),
  ]);
  return [...made, ...each];
};
