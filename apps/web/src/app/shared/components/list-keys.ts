import type { AutoComplete } from 'primeng/autocomplete';

/**
 * Lists that are worked by keyboard come and go at once: one that is still fading out when the next is asked for may
 * never be shown again.
 */
export const AT_ONCE = { disabled: true } as const;

/** What a list that is filled by keyboard needs of the field around it. */
export interface ListField {
  list(): AutoComplete;
  /** Takes what the arrows marked; the library's own way where nothing is said. */
  takeMarked?(option: unknown): void;
  /** Takes the best match for what was typed; false when nothing was typed or nothing matches. */
  takeBest(typed: string): boolean;
  /** Whether Tab takes it too; Enter always does. */
  readonly tabTakes: boolean;
  /** Whether Escape only closes the open list, and leaves what is around it for the next time. */
  escapeCloses(): boolean;
}

const takeMarked = (field: ListField, event: KeyboardEvent): boolean => {
  const list = field.list();
  const options = list.visibleOptions() as readonly unknown[];
  const option = options[list.focusedOptionIndex()];
  if (option === undefined) return false;
  if (field.takeMarked === undefined) list.onOptionSelect(event, option, false);
  else field.takeMarked(option);
  return true;
};

const putAway = (list: AutoComplete): void => {
  clearTimeout(list.searchTimeout as number | undefined);
  list.hide();
};

/**
 * What the library's list lacks for a row that is filled by keyboard: the down arrow opens the
 * closed list; Tab goes on to the next field instead of back; Tab and Enter take what the arrows
 * marked or else the best match for what was typed, however far the list has come by then.
 * Listens ahead of the library's own handlers.
 */
export const watchListKeys = (host: HTMLElement, field: ListField): void => {
  let marked = false;

  const take = (event: KeyboardEvent): void => {
    const list = field.list();
    const { value } = event.target as HTMLInputElement;
    const taken = marked && list.overlayVisible ? takeMarked(field, event) : field.takeBest(value);
    if (!taken && !list.overlayVisible) return;
    putAway(list);
    // Ctrl Enter goes on to the page, which it tells to end what the field is part of.
    if (event.ctrlKey || event.metaKey) return;
    event.stopPropagation();
    if (event.key === 'Enter') event.preventDefault();
  };

  const close = (event: KeyboardEvent): void => {
    putAway(field.list());
    event.stopPropagation();
  };

  const open = (event: KeyboardEvent): void => {
    const { value } = event.target as HTMLInputElement;
    field.list().search(event, value, 'dropdown');
    event.preventDefault();
  };

  host.addEventListener('input', () => (marked = false), { capture: true });
  host.addEventListener(
    'keydown',
    (event) => {
      if (event.key === 'Enter' || (event.key === 'Tab' && field.tabTakes)) take(event);
      else if (event.key === 'Escape' && field.escapeCloses() && field.list().overlayVisible)
        close(event);
      else if (event.key === 'ArrowDown' && !field.list().overlayVisible) open(event);
      else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') marked = true;
    },
    { capture: true },
  );
};
