import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { parse } from 'csv-parse/sync';
import { KIND_CODES, type KindCode } from '@iunctus/core';

/** What the kind of a row is said to be. */
export interface Label {
  /** Whether the row only groups others. */
  readonly heading: boolean;
  /** The kinds that are right, the best first; for a heading perhaps none. */
  readonly kinds: readonly KindCode[];
  /** What a heading groups, where only the element or a kind is said. */
  readonly words: readonly string[];
  /** The name of the line that this one repeats; empty for none. */
  readonly duplicateOf: string;
}

/** A list as a former bookkeeper might have left it, and what is right of each row. */
export interface LabelledList {
  readonly name: string;
  readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
  /** By line. */
  readonly labels: ReadonlyMap<number, Label>;
}

const LABELS = ['kind', 'also', 'duplicate_of'] as const;
const KNOWN = new Set<string>(KIND_CODES);

const labelOf = (row: Readonly<Record<string, string>>): Label => {
  const said = [row['kind'] ?? '', ...(row['also'] ?? '').split('|')].filter((one) => one !== '');
  const words = said.map((one) => one.replace(/^heading:/, ''));
  return {
    heading: (row['kind'] ?? '').startsWith('heading:'),
    kinds: words.filter((one): one is KindCode => KNOWN.has(one)),
    words,
    duplicateOf: row['duplicate_of'] ?? '',
  };
};

/** A labelled list from its text: the labels apart from what the list itself says. */
const labelledList = (name: string, text: string): LabelledList => {
  const table: string[][] = parse(text, { bom: true, relax_column_count: true });
  const [head = [], ...body] = table;
  const own = head.flatMap((title, column) =>
    (LABELS as readonly string[]).includes(title) ? [] : [column],
  );
  // A column that holds nothing is none that the list has.
  const full = own.filter((column) => body.some((cells) => (cells[column] ?? '').trim() !== ''));
  const rows = table.map((cells, index) => ({
    line: index + 1,
    cells: full.map((column) => cells[column] ?? ''),
  }));
  const labels = body.map((cells, index): [number, Label] => [
    index + 2,
    labelOf(Object.fromEntries(head.map((title, column) => [title, cells[column] ?? '']))),
  ]);
  return { name, rows, labels: new Map(labels) };
};

/** All labelled lists of a folder, by name. */
export const labelledLists = async (folder: string): Promise<readonly LabelledList[]> => {
  const names = (await readdir(folder)).filter((name) => name.endsWith('.csv')).sort();
  return Promise.all(
    names.map(async (name) => labelledList(name, await readFile(join(folder, name), 'utf8'))),
  );
};
