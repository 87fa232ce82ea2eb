import type { Element } from '../kinds/element';
import { KIND_CODES, KINDS, type KindCode } from '../kinds/kinds';
import { bandOf } from '../kinds/band';
import { nameKey } from '../text/name-key';
import { cleanName } from '../operations/checks';

/** A line of an outline as it was typed, taken apart. */
export interface OutlineEntry {
  /** From 1, as an editor counts. */
  readonly line: number;
  /** Width of the indent, in columns. */
  readonly indent: number;
  /** As typed but for its digits, which are plain; `null` when the line has none. */
  readonly number: string | null;
  readonly name: string;
  /** What begins the name and is nearly a number, like “6O10”; `null` for nothing of the sort. */
  readonly nearNumber: string | null;
  /** The kind in brackets; `null` without brackets. */
  readonly kind: KindCode | null;
  /** What stands in brackets and is no kind; `null` when all is well. */
  readonly unknownKind: string | null;
  /** Whether a colon ends the line: a heading, also without anything below. */
  readonly heading: boolean;
  /** The element that the line names instead of an account: “Assets”. */
  readonly band: Element | null;
}

/** Columns to which a tab leads. */
const TAB = 4;

const KIND_BY_WORDS: ReadonlyMap<string, KindCode> = new Map(
  KIND_CODES.flatMap((code) => [
    [code.toLowerCase(), code] as const,
    [nameKey(KINDS[code].name), code] as const,
  ]),
);

const indentOf = (white: string): number => {
  let column = 0;
  for (const character of white)
    column =
      character === '\t'
        ? (Math.floor(column / TAB) + 1) * TAB
        : column + (character === '　' ? 2 : 1);
  return column;
};

/** Number, then what sets it off: white space, or a sign with white space behind it. */
const NUMBER = /^(\d[\d.\-/]*\d|\d)(?:\s*[–—:·|)]\s+|\s+-\s+|[.)]\s+|\s+|$)/u;
const BULLET = /^[-*•·–—]\s+/u;
const BRACKETS = /\[([^\]]*)\]\s*$/u;

const kindIn = (text: string): { kind: KindCode | null; unknownKind: string | null } => {
  const words = text.trim();
  const kind = KIND_BY_WORDS.get(nameKey(words)) ?? KIND_BY_WORDS.get(words.toLowerCase()) ?? null;
  return { kind, unknownKind: kind === null && words !== '' ? words : null };
};

const splitNumber = (text: string): { number: string | null; rest: string } => {
  const quoted = /^["“](.*)["”]$/u.exec(text);
  if (quoted !== null) return { number: null, rest: quoted[1] ?? '' };
  const found = NUMBER.exec(text);
  return found === null
    ? { number: null, rest: text }
    : { number: found[1] ?? null, rest: text.slice(found[0].length) };
};

/** Mostly digits, with a letter among them. */
const NEAR_NUMBER = /^(?=(?:\D*\d){3})(?=\d)[\d.\-/]*\p{L}[\d\p{L}.\-/]*(?=\s)/u;

const entryOf = (raw: string, line: number): OutlineEntry | null => {
  const text = raw.replace(/\r$/, '');
  const white = /^[\s　]*/u.exec(text)?.[0] ?? '';
  const body = text.slice(white.length).normalize('NFKC').trim().replace(BULLET, '');
  if (body === '') return null;
  const brackets = BRACKETS.exec(body);
  const bare = brackets === null ? body : body.slice(0, brackets.index).trim();
  const heading = bare.endsWith(':');
  const { number, rest } = splitNumber(heading ? bare.slice(0, -1).trim() : bare);
  const name = cleanName(rest);
  const indent = indentOf(white);
  const band = indent === 0 && number === null && brackets === null ? bandOf(name) : null;
  const nearNumber = number === null ? (NEAR_NUMBER.exec(rest)?.[0] ?? null) : null;
  return { line, indent, number, nearNumber, name, heading, band, ...kindIn(brackets?.[1] ?? '') };
};

/**
 * Takes an outline apart: a line for each account, indented by tabs or spaces, with an optional
 * number before the name and an optional kind in brackets behind it. Bullets and empty lines are
 * passed over; digits of full width are digits; quotes keep a number that belongs to the name.
 */
export const readOutline = (text: string): readonly OutlineEntry[] =>
  text.split('\n').flatMap((raw, index) => entryOf(raw, index + 1) ?? []);
