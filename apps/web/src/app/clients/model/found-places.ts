import type { ClientAnswer } from '@iunctus/contract';
import { findKey } from '@iunctus/core';

/** Somewhere that was looked for. */
export interface Place {
  readonly id: string;
  readonly title: string;
  /** Whose or what it is. */
  readonly of: string;
  readonly link: readonly string[];
  readonly query: Readonly<Record<string, string>>;
}

/** Clients that are offered at once. */
const MOST = 6;

/** The clients in whose names words begin with all that was typed, those first whose name begins with it. */
export const clientsCalled = (
  clients: readonly ClientAnswer[],
  typed: string,
): readonly Place[] => {
  const words = findKey(typed)
    .split(' ')
    .filter((word) => word !== '');
  if (words.length === 0) return [];
  const begins = ({ name }: ClientAnswer): number =>
    findKey(name).startsWith(words.join(' ')) ? 0 : 1;
  return clients
    .filter(({ name }) => words.every((word) => ` ${findKey(name)}`.includes(` ${word}`)))
    .sort((a, b) => begins(a) - begins(b))
    .slice(0, MOST)
    .map(({ id, name, putAwayAt }) => ({
      id,
      title: name,
      of: putAwayAt === null ? $localize`client` : $localize`client, put away`,
      link: ['/clients', id, 'chart'],
      query: {},
    }));
};

/** What the keyboard goes to from where it is, so many steps on; the ends are no way through. */
export const stepTo = <T>(stops: readonly T[], from: unknown, by: number): T | undefined => {
  const at = stops.findIndex((stop) => stop === from);
  return at < 0 ? undefined : stops[at + by];
};
