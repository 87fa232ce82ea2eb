import type { AutoComplete } from 'primeng/autocomplete';

/** What a list that is filled by keyboard needs of the field around it. */
export interface ListField {
  list(): AutoComplete;
  /** Takes the best match for what was typed; false when nothing was typed or nothing matches. */
  takeBest(typed: string): boolean;
}

const takeFocused = (list: AutoComplete, event: KeyboardEvent): void => {
  const option: unknown = list.visibleOptions()[list.focusedOptionIndex()];
  if (option !== undefined) list.onOptionSelect(event, option, false);
};

const leave = (field: ListField, event: KeyboardEvent): void => {
  const list = field.list();
  const { value } = event.target as HTMLInputElement;
  if (list.overlayVisible) takeFocused(list, event);
  else if (!field.takeBest(value)) return;
  clearTimeout(list.searchTimeout as number | undefined);
  list.hide();
  event.stopPropagation();
  if (event.key === 'Enter') event.preventDefault();
};

const handleKey = (field: ListField, event: KeyboardEvent): void => {
  const list = field.list();
  if (event.key === 'Tab' || (event.key === 'Enter' && !list.overlayVisible)) leave(field, event);
  else if (event.key === 'ArrowDown' && !list.overlayVisible) {
    const { value } = event.target as HTMLInputElement;
    list.search(event, value, 'dropdown');
    event.preventDefault();
  }
};

/**
 * What the library's list lacks for a row that is filled by keyboard: the down arrow opens the
 * closed list; Tab takes the marked choice and goes on to the next field instead of back; Tab and
 * Enter take the best match also when the list has had no time to open. Listens ahead of the
 * library's own handlers.
 */
export const watchListKeys = (host: HTMLElement, field: ListField): void => {
  host.addEventListener('keydown', (event) => handleKey(field, event), { capture: true });
};
