import { Injectable } from '@angular/core';
import { SaveProposalRequest } from '@iunctus/contract';
import { KeptByWindow } from '../../shared/keeping/kept-by-window';

/** Proposals that are not with the server yet. */
@Injectable({ providedIn: 'root' })
export class KeptProposals extends KeptByWindow<SaveProposalRequest> {
  constructor() {
    super('proposal', SaveProposalRequest);
  }
}
