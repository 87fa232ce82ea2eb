import type { Chart } from '../chart/chart';
import { accountsById } from '../chart/queries';
import type { Element } from '../kinds/element';
import { elementOf, type KindCode } from '../kinds/kinds';
import { ListJudge } from '../matching/learned/judge-list';
import { nameKey } from '../text/name-key';
import type { ImportEntry } from './entry';
import type { KindRequest } from './import-kinds';
import { saidRows } from './said-rows';
import type { ElementOfEntry } from './element-of-entry';
import { unplacedRow } from './tree-row';

/** From this share on a row is clearly of an element: a title above it says more of it than a dash in its name. */
const CLEAR = { path: 0.8, sections: 0.97 } as const;

/** What rows are for certain: by the user's word, by what the practice was taught, or as accounts of the chart. */
const settledKinds = (
  chart: Chart,
  entries: readonly ImportEntry[],
  { mended, taught }: Pick<KindRequest, 'mended' | 'taught'>,
): ReadonlyMap<number, KindCode> => {
  const known = new Map(
    [...accountsById(chart).values()].map(({ name, kind }) => [nameKey(name), kind]),
  );
  return new Map(
    entries.flatMap(({ line, name }, at): [number, KindCode][] => {
      const key = nameKey(name);
      const kind = mended.get(line)?.kind ?? taught?.get(key) ?? known.get(key);
      return kind === undefined ? [] : [[at, kind]];
    }),
  );
};

/** What is known of kinds, and what will place the rows. */
interface ElementsRequest extends Pick<KindRequest, 'mended' | 'taught' | 'learned' | 'sides'> {
  readonly source: keyof typeof CLEAR;
}

/**
 * Of which element each row of a list clearly is as its whole name reads, before any of them has a place: what the
 * user, the practice or the chart says it is, else what the list judged without a tree speaks for.
 */
export const elementsByName = (
  chart: Chart,
  entries: readonly ImportEntry[],
  { source, ...request }: ElementsRequest,
): ElementOfEntry => {
  const settled = settledKinds(chart, entries, request);
  const { learned } = request;
  const rows = saidRows(
    entries.map((entry) => unplacedRow(entry)),
    new Map(),
    request.sides,
  );
  const judge = new ListJudge(
    rows.map((said) => ({ said, parent: null })),
    { settled, ...(learned === undefined ? {} : { learned }) },
  );
  const clear = new Map<ImportEntry, Element>();
  entries.forEach((entry, at) => {
    const kind = settled.get(at);
    const [element] =
      kind === undefined
        ? ([...judge.elements(at)].find(([, share]) => Math.exp(share) >= CLEAR[source]) ?? [])
        : [elementOf(kind)];
    if (element !== undefined) clear.set(entry, element);
  });
  return (entry) => clear.get(entry) ?? null;
};
