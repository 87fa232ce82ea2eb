import type { Direction } from '@iunctus/core';
import type { SheetName } from './sheets';

/** What a key on the tree asks for. */
export type TreeAction =
  | { readonly type: 'step'; readonly rows: number }
  | { readonly type: 'edge'; readonly last: boolean }
  | { readonly type: 'open' | 'close' | 'edit' | 'remove' | 'duplicate' }
  | { readonly type: 'mark'; readonly rows: number }
  | { readonly type: 'letGo' }
  | { readonly type: 'add'; readonly as: 'sibling' | 'child' | 'main' }
  | { readonly type: 'move'; readonly direction: Direction }
  | { readonly type: 'sheet'; readonly sheet: Exclude<SheetName, 'review'> }
  | { readonly type: 'filter' | 'statement' | 'outline' }
  | { readonly type: 'depth'; readonly depth: number };
