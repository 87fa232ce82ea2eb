import { inject, Injectable } from '@angular/core';
import { DraftRequest } from '@iunctus/contract';
import { firstValueFrom } from 'rxjs';
import * as v from 'valibot';
import { ApiService } from '../../shared/api/api.service';
import { KeptByWindow } from '../../shared/keeping/kept-by-window';

const Kept = v.strictObject({ draftId: v.string(), draft: DraftRequest });
export type KeptDraft = v.InferOutput<typeof Kept>;

/** Entries that are being typed and not with the server yet. */
@Injectable({ providedIn: 'root' })
export class KeptDrafts extends KeptByWindow<KeptDraft> {
  private readonly api = inject(ApiService);
  /** Whether something of a closed window is still here alone, so that nothing may be forgotten. */
  private hasStrays = false;

  constructor() {
    super('entry', Kept);
  }

  /**
   * What this browser keeps of a draft; everything else that it keeps goes to the server, where it is found among the
   * drafts. `null` where there is nothing of that draft.
   */
  async take(clientId: string, draftId: string | null): Promise<KeptDraft | null> {
    const all = await this.of(clientId);
    const strays = all.filter((kept) => kept.draftId !== draftId);
    const handedIn = await Promise.all(strays.map((stray) => this.handIn(clientId, stray)));
    this.hasStrays = handedIn.includes(false);
    const own = all.find((kept) => kept.draftId === draftId) ?? null;
    if (own === null && strays.length > 0) this.forget(clientId);
    return own;
  }

  /** A draft that went on elsewhere meanwhile is with the server already. */
  private handIn(clientId: string, { draftId, draft }: KeptDraft): Promise<boolean> {
    return firstValueFrom(this.api.ask('keepDraft', { clientId, draftId, body: draft })).then(
      () => true,
      (error: unknown) => (error as { status?: number }).status === 409,
    );
  }

  override forget(clientId: string): void {
    if (!this.hasStrays) super.forget(clientId);
  }
}
