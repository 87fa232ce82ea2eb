import { XMLParser } from 'fast-xml-parser';
import type { Unzipped } from 'fflate';

/** By how much a text is indented for each step that its cell is. */
const STEP = '    ';
/** Deeper than any chart is; a file may say anything. */
const DEEPEST = 50;

const parser = new XMLParser({
  ignoreAttributes: false,
  attributeNamePrefix: '',
  removeNSPrefix: true,
  processEntities: false,
  isArray: (name) => ['xf', 'sheet', 'Relationship'].includes(name),
});

type Parsed = Readonly<Record<string, unknown>>;

const under = (parent: unknown, ...names: readonly string[]): unknown =>
  names.reduce<unknown>(
    (at, name) => (typeof at === 'object' && at !== null ? (at as Parsed)[name] : undefined),
    parent,
  );

const listUnder = (parent: unknown, ...names: readonly string[]): readonly unknown[] => {
  const found = under(parent, ...names);
  return Array.isArray(found) ? (found as readonly unknown[]) : [];
};

const textUnder = (parent: unknown, name: string): string => {
  const found = under(parent, name);
  return typeof found === 'string' || typeof found === 'number' ? String(found) : '';
};

const partOf = (files: Unzipped, name: string): unknown => {
  const part = files[name];
  return part === undefined ? null : parser.parse(new TextDecoder().decode(part));
};

/** How far each cell style indents. */
const indentsOfStyles = (files: Unzipped): readonly number[] =>
  listUnder(partOf(files, 'xl/styles.xml'), 'styleSheet', 'cellXfs', 'xf').map((style) => {
    const indent = Number(under(style, 'alignment', 'indent') ?? 0);
    return Number.isInteger(indent) && indent > 0 ? Math.min(indent, DEEPEST) : 0;
  });

/** The parts of the sheets by name. */
const partsOfSheets = (files: Unzipped): ReadonlyMap<string, string> => {
  const relations = listUnder(
    partOf(files, 'xl/_rels/workbook.xml.rels'),
    'Relationships',
    'Relationship',
  );
  const targets = new Map(relations.map((one) => [textUnder(one, 'Id'), textUnder(one, 'Target')]));
  return new Map(
    listUnder(partOf(files, 'xl/workbook.xml'), 'workbook', 'sheets', 'sheet').map((sheet) => {
      const target = targets.get(textUnder(sheet, 'id')) ?? '';
      return [textUnder(sheet, 'name'), target.startsWith('/') ? target.slice(1) : `xl/${target}`];
    }),
  );
};

const columnOf = (letters: string): number =>
  [...letters].reduce((so, letter) => so * 26 + letter.charCodeAt(0) - 64, 0) - 1;

const CELL = /<(?:\w+:)?c\s([^>]*)>/g;
const PLACE = /\br="([A-Z]{1,3})(\d{1,7})"/;
const STYLE = /\bs="(\d{1,6})"/;

/** The indents of a sheet's cells, by line from 1 and column from 0. */
const indentsIn = (
  part: Uint8Array | undefined,
  styles: readonly number[],
): ReadonlyMap<number, ReadonlyMap<number, number>> => {
  const rows = new Map<number, Map<number, number>>();
  if (part === undefined) return rows;
  for (const [, attributes = ''] of new TextDecoder().decode(part).matchAll(CELL)) {
    const indent = styles[Number(STYLE.exec(attributes)?.[1] ?? -1)] ?? 0;
    const place = indent === 0 ? null : PLACE.exec(attributes);
    if (place === null) continue;
    const line = Number(place[2]);
    const row = rows.get(line) ?? new Map<number, number>();
    rows.set(line, row.set(columnOf(place[1] ?? ''), indent));
  }
  return rows;
};

/**
 * Finds cells that are indented by their style, which their text does not say. Gives a function that
 * puts the indent in front of a sheet's texts, as blanks. Source: ISO/IEC 29500-1, 18.8.1 (alignment),
 * from memory.
 */
export const indenterOf = (
  files: Unzipped,
): ((sheet: string, cells: readonly (readonly string[])[]) => readonly (readonly string[])[]) => {
  const styles = indentsOfStyles(files);
  if (!styles.some((indent) => indent > 0)) return (_sheet, cells) => cells;
  const parts = partsOfSheets(files);
  return (sheet, cells) => {
    const rows = indentsIn(files[parts.get(sheet) ?? ''], styles);
    return cells.map((row, at) => {
      const indents = rows.get(at + 1);
      if (indents === undefined) return row;
      return row.map((text, column) =>
        text === '' ? text : `${STEP.repeat(indents.get(column) ?? 0)}${text}`,
      );
    });
  };
};
