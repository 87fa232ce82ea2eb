/** Most lines that a list of effects shows. */
const SHOWN = 8;

/** The first lines of a list, and how many more there are. */
export const shortList = (lines: readonly string[]): readonly string[] =>
  lines.length <= SHOWN + 1
    ? lines
    : [...lines.slice(0, SHOWN), $localize`and ${lines.length - SHOWN} changes more`];

/** Names in one line, `most` of them, and how many there are besides: “Town, Valley and 3 more”. */
export const namesLine = (names: readonly string[], most: number): string =>
  names.length <= most
    ? names.join(', ')
    : $localize`${names.slice(0, most).join(', ')} and ${names.length - most} more`;
