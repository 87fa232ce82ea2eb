/** Most lines that a list of effects shows. */
const SHOWN = 8;

/** The first lines of a list, and how many more there are. */
export const shortList = (lines: readonly string[]): readonly string[] =>
  lines.length <= SHOWN + 1
    ? lines
    : [...lines.slice(0, SHOWN), `and ${lines.length - SHOWN} changes more`];
