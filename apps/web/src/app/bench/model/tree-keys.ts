import type { TreeAction } from '../../workspace/model/tree-action';

const PLAIN: Readonly<Record<string, TreeAction>> = {
  ArrowDown: { type: 'step', rows: 1 },
  ArrowUp: { type: 'step', rows: -1 },
  PageDown: { type: 'step', rows: 20 },
  PageUp: { type: 'step', rows: -20 },
  Home: { type: 'edge', last: false },
  End: { type: 'edge', last: true },
  ArrowRight: { type: 'open' },
  ArrowLeft: { type: 'close' },
  Enter: { type: 'edit' },
  Delete: { type: 'remove' },
  Escape: { type: 'letGo' },
  Tab: { type: 'toStatement' },
  d: { type: 'duplicate' },
  x: { type: 'mark', rows: 1 },
  n: { type: 'add', as: 'sibling' },
  h: { type: 'addAbove' },
  m: { type: 'sheet', sheet: 'move' },
  g: { type: 'sheet', sheet: 'merge' },
  p: { type: 'sheet', sheet: 'split' },
  ' ': { type: 'sheet', sheet: 'account' },
  '?': { type: 'sheet', sheet: 'keys' },
  '/': { type: 'filter' },
  s: { type: 'statement' },
  o: { type: 'outline' },
  l: { type: 'register' },
};

const WITH_SHIFT: Readonly<Record<string, TreeAction>> = {
  ArrowDown: { type: 'mark', rows: 1 },
  ArrowUp: { type: 'mark', rows: -1 },
  n: { type: 'add', as: 'child' },
  s: { type: 'otherSheet' },
  Delete: { type: 'restore' },
  '?': { type: 'sheet', sheet: 'keys' },
  '/': { type: 'filter' },
};

const WITH_ALT: Readonly<Record<string, TreeAction>> = {
  ArrowUp: { type: 'move', direction: 'up' },
  ArrowDown: { type: 'move', direction: 'down' },
  ArrowRight: { type: 'move', direction: 'deeper' },
  ArrowLeft: { type: 'move', direction: 'shallower' },
};

/** What a key asks for, or `null` when it is not the tree's. */
export const actionOfKey = (event: KeyboardEvent): TreeAction | null => {
  if (event.ctrlKey || event.metaKey) return null;
  const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
  if (event.altKey) return WITH_ALT[key] ?? null;
  if (event.shiftKey) return WITH_SHIFT[key] ?? null;
  if (/^[1-9]$/.test(key)) return { type: 'depth', depth: Number(key) };
  return PLAIN[key] ?? null;
};
