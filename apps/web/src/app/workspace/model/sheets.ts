import { Injectable, signal } from '@angular/core';
import type { MoveTarget } from '@iunctus/core';

/** The sheets that slide over the statement. */
export type SheetName =
  'account' | 'move' | 'merge' | 'split' | 'dimensions' | 'many' | 'review' | 'keys';

/** Which sheet is open. */
@Injectable()
export class Sheets {
  readonly open = signal<SheetName | null>(null);

  /** Where the sheet of moves is to begin, after a drop that is asked about. */
  readonly moveTo = signal<MoveTarget | null>(null);

  show(name: SheetName): void {
    this.moveTo.set(null);
    this.open.set(name);
  }

  /** Asks about a move before it is made. */
  askMove(target: MoveTarget): void {
    this.moveTo.set(target);
    this.open.set('move');
  }

  close(): void {
    this.open.set(null);
  }
}
