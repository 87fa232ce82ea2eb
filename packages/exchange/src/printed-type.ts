import { createRequire } from 'node:module';
import roboto from 'pdfmake/fonts/Roboto.js';

const require = createRequire(import.meta.url);

/** A range of characters, and the face in which the application's own type draws them. */
interface Cut {
  readonly font: string;
  readonly ranges: readonly (readonly [number, number])[];
}

// As the type's own package lists them (unicode.json), cut for the web: one file for each part of the script.
const LATIN: Cut['ranges'] = [
  [0x00, 0xff],
  [0x131, 0x131],
  [0x152, 0x153],
  [0x2bb, 0x2bc],
  [0x2c6, 0x2c6],
  [0x2da, 0x2da],
  [0x2dc, 0x2dc],
  [0x2000, 0x206f],
  [0x20ac, 0x20ac],
  [0x2122, 0x2122],
  [0x2212, 0x2212],
];
const LATIN_EXTENDED: Cut['ranges'] = [
  [0x100, 0x2ba],
  [0x2bd, 0x2c5],
  [0x2c7, 0x2cc],
  [0x2ce, 0x2d7],
  [0x2dd, 0x2ff],
  [0x1e00, 0x1e9f],
  [0x1ef2, 0x1eff],
  [0x20a0, 0x20c0],
];

const cutsOf = (type: string): readonly Cut[] => [
  { font: type, ranges: LATIN },
  { font: `${type} extended`, ranges: LATIN_EXTENDED },
];

/** What the application's own type does not draw: Greek and Cyrillic, among others. */
const ELSE = 'Roboto';

const file = (name: string, cut: string, weight: number): string =>
  require.resolve(`@fontsource/${name}/files/${name}-${cut}-${weight}-normal.woff`);

const faces = (name: string, cut: string) => ({
  normal: file(name, cut, 400),
  bold: file(name, cut, 600),
});

/** The type in which files are printed, as the library for them wants it. */
export const PRINTED_FONTS = {
  ...roboto,
  Text: faces('public-sans', 'latin'),
  'Text extended': faces('public-sans', 'latin-ext'),
  Title: faces('newsreader', 'latin'),
  'Title extended': faces('newsreader', 'latin-ext'),
};

/** Whether a file is one of the type's; no other is read for printing. */
export const isPrintedFont = (path: string): boolean => /\.(ttf|woff)$/.test(path);

/** A piece of a text that one font draws. */
export interface Run {
  readonly text: string;
  readonly font: string;
}

/** A text as pieces, each with the font that draws it: the application's own wherever it can. */
export const inType = (text: string, type: 'Text' | 'Title' = 'Text'): Run[] => {
  const cuts = cutsOf(type);
  const runs: { text: string; font: string }[] = [];
  for (const character of text) {
    const code = character.codePointAt(0) ?? 0;
    const holds = ({ ranges }: Cut): boolean =>
      ranges.some(([first, last]) => code >= first && code <= last);
    const font = cuts.find(holds)?.font ?? ELSE;
    const last = runs.at(-1);
    if (last?.font === font) last.text += character;
    else runs.push({ text: character, font });
  }
  return runs.length === 0 ? [{ text: '', font: type }] : runs;
};
