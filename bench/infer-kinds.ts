// How often the kind of a published account name is inferred at once, and within three guesses.
import { elementOf, inferKinds, isOrWas } from '@iunctus/core';
import { HELD_OUT, PUBLISHED_NAMES } from '@iunctus/core/testing';
import { say } from './support/report';

const shareOf = (sources: typeof PUBLISHED_NAMES, within: number, underParent = false): string => {
  const names = sources.flatMap((source) => source.names);
  const right = names.filter(([name, ...kinds]) =>
    inferKinds(underParent ? { name, element: elementOf(kinds[0] ?? 'memorandum') } : { name })
      .slice(0, within)
      .some(({ kind }) => isOrWas(kind, kinds)),
  );
  return `${((100 * right.length) / names.length).toFixed(1)} % of ${names.length}`;
};

const held = PUBLISHED_NAMES.filter(({ source }) => source === HELD_OUT);
say(
  `kinds of published names, by name and element above: at once ${shareOf(PUBLISHED_NAMES, 1, true)} (aim 95 %), within three ${shareOf(PUBLISHED_NAMES, 3, true)} (aim 99 %)`,
);
say(
  `          by name alone: at once ${shareOf(PUBLISHED_NAMES, 1)}, within three ${shareOf(PUBLISHED_NAMES, 3)}`,
);
say(`         of a source held out: at once ${shareOf(held, 1)}, within three ${shareOf(held, 3)}`);
