import { onUndoKey } from './undo-keys';

const pressed = (init: KeyboardEventInit, on: HTMLElement = document.body) => {
  const done: string[] = [];
  const undoing = { undo: () => void done.push('undo'), redo: () => void done.push('redo') };
  const event = new KeyboardEvent('keydown', { bubbles: true, cancelable: true, ...init });
  const hear = (heard: KeyboardEvent): void => onUndoKey(heard, undoing);
  document.addEventListener('keydown', hear);
  on.dispatchEvent(event);
  document.removeEventListener('keydown', hear);
  return { done, taken: event.defaultPrevented };
};

describe('the key that takes back', () => {
  it('takes back what was done last, and brings it back with Shift', () => {
    expect(pressed({ key: 'z', ctrlKey: true })).toEqual({ done: ['undo'], taken: true });
    expect(pressed({ key: 'Z', ctrlKey: true, shiftKey: true }).done).toEqual(['redo']);
    expect(pressed({ key: 'z', metaKey: true }).done).toEqual(['undo']);
  });

  it('is the field’s own while a text is typed', () => {
    const field = document.body.appendChild(document.createElement('input'));
    expect(pressed({ key: 'z', ctrlKey: true }, field)).toEqual({ done: [], taken: false });
    field.remove();
  });

  it('is no key without Ctrl, and no other key with it', () => {
    expect(pressed({ key: 'z' }).done).toEqual([]);
    expect(pressed({ key: 'y', ctrlKey: true }).done).toEqual([]);
  });
});
