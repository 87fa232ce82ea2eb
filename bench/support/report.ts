/** The middle one of several figures. */
export const median = (figures: readonly number[]): number => {
  const sorted = [...figures].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? Number.NaN;
};

const figure = (value: number): string =>
  value >= 100 ? value.toFixed(0) : value >= 1 ? value.toFixed(2) : value.toPrecision(3);

/** Prints a line of the report. */
export const say = (line: string): void => void process.stdout.write(`${line}\n`);

/** Prints a ratio against its aim, and whether it is reached. */
export const compare = (asked: {
  readonly what: string;
  readonly value: number;
  readonly baseline: number;
  readonly unit: string;
  readonly aim: { readonly atMost: number } | { readonly atLeast: number };
}): void => {
  const { what, value, baseline, unit, aim } = asked;
  const ratio = 'atMost' in aim ? value / baseline : baseline / value;
  const reached = 'atMost' in aim ? ratio <= aim.atMost : ratio >= aim.atLeast;
  const wanted = 'atMost' in aim ? `at most ${aim.atMost}` : `at least ${aim.atLeast}`;
  say(
    `${reached ? 'reached' : 'MISSED '}  ${what}: ratio ${figure(ratio)} (${wanted}); ${figure(value)} ${unit} against ${figure(baseline)} ${unit}`,
  );
};
