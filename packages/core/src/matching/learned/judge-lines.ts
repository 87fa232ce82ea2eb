import type { Element } from '../../kinds/element';
import type { KindCode } from '../../kinds/kinds';
import type { Guess } from '../infer-kind';
import { ListJudge, type JudgeRequest } from './judge-list';

/** A line of a tree of names, as somebody types or has it. */
export interface NamedLine {
  readonly name: string;
  readonly number: string | null;
  /** The place of the line above it; `null` for none. */
  readonly parent: number | null;
  /** `null` where it is to be found. */
  readonly kind: KindCode | null;
}

/** Names above a line are followed so far up. */
const FOLLOWED = 3;

const namesAbove = (lines: readonly NamedLine[], at: number): readonly string[] => {
  const above: string[] = [];
  let up = lines[at]?.parent ?? null;
  for (; up !== null && above.length < FOLLOWED; up = lines[up]?.parent ?? null)
    above.push(lines[up]?.name ?? '');
  return above;
};

/**
 * Judges the lines of a tree together, those whose kind is known speaking for the others. Gives for a place, and
 * the element where it is known, the kinds that the line may be, the likeliest first, at most three.
 */
export const judgeLines = (
  lines: readonly NamedLine[],
  { ranged, learned }: Pick<JudgeRequest, 'ranged' | 'learned'> = {},
): ((at: number, element: Element | null) => readonly Guess[]) => {
  const leads = new Set(lines.flatMap(({ parent }) => parent ?? []));
  const rows = lines.map(({ name, number, parent }, at) => ({
    said: {
      ...{ name, number, above: namesAbove(lines, at), type: '', balance: 0 },
      leads: leads.has(at),
    },
    parent,
  }));
  const settled = new Map(
    lines.flatMap(({ kind }, at): [number, KindCode][] => (kind === null ? [] : [[at, kind]])),
  );
  const judge = new ListJudge(rows, {
    settled,
    bare: true,
    ...(ranged === undefined ? {} : { ranged }),
    ...(learned === undefined ? {} : { learned }),
  });
  return (at, element) => judge.guesses(at, element);
};
