import type { AccountId, Direction, KindCode, Refusal } from '@iunctus/core';
import type { SheetName } from './sheets';

/** What an account's row is to hold. */
export interface Wanted {
  readonly number?: string;
  readonly name?: string;
  readonly kind?: KindCode;
  readonly parentId?: AccountId | null;
}

/** What a key on the tree asks for. */
export type TreeAction =
  | { readonly type: 'step'; readonly rows: number }
  | { readonly type: 'edge'; readonly last: boolean }
  | { readonly type: 'open' | 'close' | 'edit' | 'remove' | 'duplicate' }
  | { readonly type: 'addAbove' | 'restore' | 'swapNumbers' }
  /** Edits the account at the cursor, begun with what was wanted and why it cannot be so. */
  | { readonly type: 'amend'; readonly wanted: Wanted; readonly refusal: Refusal }
  | { readonly type: 'mark'; readonly rows: number }
  | { readonly type: 'letGo' }
  | { readonly type: 'add'; readonly as: 'sibling' | 'child' | 'main' }
  | { readonly type: 'move'; readonly direction: Direction }
  | { readonly type: 'sheet'; readonly sheet: Exclude<SheetName, 'review'> }
  | {
      readonly type: 'filter' | 'statement' | 'otherSheet' | 'toStatement' | 'outline' | 'register';
    }
  | { readonly type: 'depth'; readonly depth: number };
