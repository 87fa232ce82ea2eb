/** What takes back and brings back what was done. */
export interface Undoing {
  undo(): void;
  redo(): void;
}

const typing = ({ target }: KeyboardEvent): boolean =>
  target instanceof HTMLElement && target.matches('input, textarea');

/** Ctrl Z takes back, Ctrl Shift Z brings back; while a text is typed both are the field's own. */
export const onUndoKey = (event: KeyboardEvent, undoing: Undoing): void => {
  const control = event.ctrlKey || event.metaKey;
  if (!control || event.key.toLowerCase() !== 'z' || typing(event)) return;
  event.preventDefault();
  if (event.shiftKey) undoing.redo();
  else undoing.undo();
};
