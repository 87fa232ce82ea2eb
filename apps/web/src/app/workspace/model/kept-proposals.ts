import { inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import { SaveProposalRequest } from '@iunctus/contract';
import { sessionFeature } from '../../session/state/session.feature';
import { Keepsakes } from '../../shared/keeping/keepsakes.service';
import { OpenWindows } from '../../shared/keeping/open-windows.service';
import { Unsaved } from '../../shared/keeping/unsaved.service';

/**
 * Proposals that are not with the server yet, kept in this browser by user, client and window. What a window left
 * behind when it was closed is taken over by the next that opens the client.
 */
@Injectable({ providedIn: 'root' })
export class KeptProposals {
  private readonly keepsakes = inject(Keepsakes);
  private readonly windows = inject(OpenWindows);
  private readonly unsaved = inject(Unsaved);
  private readonly session = inject(Store).selectSignal(sessionFeature.selectSession);
  /** Keys of other windows' proposals that were taken over and are not saved yet. */
  private takenOver: readonly string[] = [];

  /** What was kept of a client's proposal: this window's own first, then what closed windows left. */
  async of(clientId: string): Promise<readonly SaveProposalRequest[]> {
    const prefix = this.prefixOf(clientId);
    const found = await this.keepsakes.under(prefix, SaveProposalRequest);
    if (found.length === 0) return [];
    const own = prefix + (await this.windows.own);
    const open = await this.windows.others();
    const free = found
      .filter(({ key }) => key === own || !open.has(key.slice(prefix.length)))
      .sort((a, b) => Number(b.key === own) - Number(a.key === own));
    this.takenOver = free.map(({ key }) => key).filter((key) => key !== own);
    return free.map(({ value }) => value);
  }

  keep(clientId: string, request: SaveProposalRequest): void {
    const prefix = this.prefixOf(clientId);
    this.unsaved.note(prefix, 'here');
    void this.windows.own
      .then((own) => this.keepsakes.put(prefix + own, request))
      .catch(() => this.unsaved.note(prefix, 'pageOnly'));
  }

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
    return `${this.session()?.user.id ?? ''}/${clientId}/proposal/`;
  }
}
