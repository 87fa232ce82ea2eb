import { Injectable, signal } from '@angular/core';

/** The sheets that slide over the statement. */
export type SheetName =
  'account' | 'move' | 'merge' | 'split' | 'dimensions' | 'many' | 'review' | 'keys';

/** Which sheet is open. */
@Injectable()
export class Sheets {
  readonly open = signal<SheetName | null>(null);

  show(name: SheetName): void {
    this.open.set(name);
  }

  close(): void {
    this.open.set(null);
  }
}
