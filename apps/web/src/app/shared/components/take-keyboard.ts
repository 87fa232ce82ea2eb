/** Puts the keyboard on what the selector finds in a host, unless something is typed elsewhere at the moment. */
export const takeKeyboard = (host: HTMLElement, selector: string): void => {
  const active = document.activeElement;
  const isElsewhere = active?.matches('input, textarea') === true && !host.contains(active);
  if (!isElsewhere) host.querySelector<HTMLElement>(selector)?.focus();
};
