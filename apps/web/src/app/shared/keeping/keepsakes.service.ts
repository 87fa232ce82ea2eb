import { Injectable } from '@angular/core';
import { del, entries, set } from 'idb-keyval';
import * as v from 'valibot';

/** Something that this browser keeps. */
export interface Keepsake<T> {
  readonly key: string;
  readonly value: T;
}

const PREFIX = 'iunctus:';

/** Texts up to so many characters are written at once, so that they outlast even a page that is closed meanwhile. */
const WRITTEN_AT_ONCE = 200_000;

/**
 * What was typed and is not with the server yet, kept in this browser: short things in its local storage, long ones
 * and files in its database. Keys begin with the user, so that nobody finds another's.
 */
@Injectable({ providedIn: 'root' })
export class Keepsakes {
  /** Writes to the database one after the other, so that the newest stays. */
  private turn: Promise<unknown> = Promise.resolve();
  /** Keys of which the database holds nothing, so that typing does not ask it letter by letter. */
  private readonly shortOnly = new Set<string>();

  /** Keeps a value. Rejects where the browser has no room or keeps nothing. */
  put(key: string, value: unknown): Promise<void> {
    const text = holdsBytes(value) ? null : JSON.stringify(value);
    if (text === null || text.length > WRITTEN_AT_ONCE) return this.putLong(key, value);
    try {
      localStorage.setItem(PREFIX + key, text);
    } catch {
      return this.putLong(key, value);
    }
    if (this.shortOnly.has(key)) return Promise.resolve();
    this.shortOnly.add(key);
    return this.inTurn(() => del(PREFIX + key)).catch(() => undefined);
  }

  private putLong(key: string, value: unknown): Promise<void> {
    localStorage.removeItem(PREFIX + key);
    this.shortOnly.delete(key);
    return this.inTurn(() => set(PREFIX + key, value));
  }

  /** Forgets a value. */
  async remove(key: string): Promise<void> {
    localStorage.removeItem(PREFIX + key);
    await this.inTurn(() => del(PREFIX + key)).catch(() => undefined);
  }

  /** Everything whose key begins so and that reads by the schema; what an older version wrote otherwise is left out. */
  async under<T>(
    prefix: string,
    schema: v.GenericSchema<unknown, T>,
  ): Promise<readonly Keepsake<T>[]> {
    return (await this.all(prefix)).flatMap(([key, value]) => {
      const read = v.safeParse(schema, value);
      return read.success ? [{ key, value: read.output }] : [];
    });
  }

  /** The keys of everything whose key begins so. */
  async keys(prefix: string): Promise<readonly string[]> {
    return (await this.all(prefix)).map(([key]) => key);
  }

  private async all(prefix: string): Promise<readonly (readonly [string, unknown])[]> {
    const short = Object.keys(localStorage)
      .filter((key) => key.startsWith(PREFIX + prefix))
      .map((key) => [key, parsed(localStorage.getItem(key))] as const);
    const long = await this.inTurn(() => entries()).catch(() => []);
    return [...short, ...long.map(([key, value]) => [key as string, value as unknown] as const)]
      .filter(([key]) => key.startsWith(PREFIX + prefix))
      .map(([key, value]) => [key.slice(PREFIX.length), value] as const);
  }

  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    const next = this.turn.then(work, work);
    this.turn = next.catch(() => undefined);
    return next;
  }
}

const holdsBytes = (value: unknown): boolean =>
  typeof value === 'object' &&
  value !== null &&
  Object.values(value).some((part) => part instanceof Uint8Array);

const parsed = (text: string | null): unknown => {
  try {
    return JSON.parse(text ?? 'null');
  } catch {
    return null;
  }
};
