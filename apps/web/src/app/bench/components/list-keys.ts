import type { AutoComplete } from 'primeng/autocomplete';

const takeFocused = (list: AutoComplete, event: KeyboardEvent): void => {
  const option: unknown = list.visibleOptions()[list.focusedOptionIndex()];
  if (option !== undefined) list.onOptionSelect(event, option, false);
  list.hide();
  event.stopPropagation();
};

const handleKey = (list: AutoComplete, event: KeyboardEvent): void => {
  if (event.key === 'Tab' && list.overlayVisible) takeFocused(list, event);
  else if (event.key === 'ArrowDown' && !list.overlayVisible) {
    const { value } = event.target as HTMLInputElement;
    list.search(event, value, 'dropdown');
    event.preventDefault();
  }
};

/**
 * What the library's list lacks for a row that is filled by keyboard: the down arrow opens the
 * closed list, and Tab takes the marked choice and goes on to the next field instead of back.
 * Listens ahead of the library's own handlers.
 */
export const watchListKeys = (host: HTMLElement, list: () => AutoComplete): void => {
  host.addEventListener('keydown', (event) => handleKey(list(), event), { capture: true });
};
