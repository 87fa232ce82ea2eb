import { inject, InjectionToken, type Signal } from '@angular/core';
import type * as v from 'valibot';
import { Keepsakes } from './keepsakes.service';
import { OpenWindows } from './open-windows.service';
import { Unsaved } from './unsaved.service';

/** Whose things are kept: the id of whoever is signed in, empty for nobody. */
export const KEEPER = new InjectionToken<Signal<string>>('whose things are kept');

/**
 * One sort of thing that is not with the server yet, kept in this browser by user, client and window. What a window
 * left behind when it was closed is taken over by the next that opens the client.
 */
export class KeptByWindow<T> {
  private readonly keepsakes = inject(Keepsakes);
  private readonly windows = inject(OpenWindows);
  private readonly unsaved = inject(Unsaved);
  private readonly keeper = inject(KEEPER);
  /** Keys of other windows' things that were taken over and not settled yet. */
  private takenOver: readonly string[] = [];

  /** `sort` is part of the key; what is read must fit the schema. Needs an injection context. */
  constructor(
    private readonly sort: string,
    private readonly schema: v.GenericSchema<unknown, T>,
  ) {}

  /** What was kept for a client: this window's own first, then what closed windows left. */
  async of(clientId: string): Promise<readonly T[]> {
    const prefix = this.prefixOf(clientId);
    const found = await this.keepsakes.under(prefix, this.schema);
    if (found.length === 0) return [];
    const own = prefix + (await this.windows.own);
    const open = await this.windows.others();
    const free = found
      .filter(({ key }) => key === own || !open.has(key.slice(prefix.length)))
      .sort((a, b) => Number(b.key === own) - Number(a.key === own));
    this.takenOver = free.map(({ key }) => key).filter((key) => key !== own);
    return free.map(({ value }) => value);
  }

  /** Keeps this window's thing in place of what it kept before. */
  keep(clientId: string, value: T): void {
    const prefix = this.prefixOf(clientId);
    this.unsaved.note(prefix, 'here');
    void this.windows.own
      .then((own) => this.keepsakes.put(prefix + own, value))
      .catch(() => this.unsaved.note(prefix, 'pageOnly'));
  }

  /** Forgets this window's thing and those that it took over. */
  forget(clientId: string): void {
    const prefix = this.prefixOf(clientId);
    this.unsaved.note(prefix, null);
    const taken = this.takenOver.filter((key) => key.startsWith(prefix));
    this.takenOver = [];
    void this.windows.own.then((own) =>
      Promise.all([prefix + own, ...taken].map((key) => this.keepsakes.remove(key))),
    );
  }

  private prefixOf(clientId: string): string {
    return `${this.keeper()}/${clientId}/${this.sort}/`;
  }
}
