import { Directive, ElementRef, inject, input } from '@angular/core';

/** Room between the anchor and what pops over, and to the edge of the window, in pixels. */
const GAP = 4;
const EDGE = 8;

/**
 * A panel that pops over the page below a button, which opens it by `popovertarget`. It takes the keyboard, and
 * closes on Esc, on a click elsewhere, and when the keyboard leaves it.
 */
@Directive({
  selector: '[iuPopover]',
  exportAs: 'iuPopover',
  host: {
    popover: 'auto',
    class: 'popover',
    '(toggle)': 'onToggle($event)',
    '(focusout)': 'onLeave($event)',
  },
})
export class PopoverDirective {
  private readonly panel = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  /** The button below which it opens. */
  readonly iuPopover = input.required<HTMLElement>();

  hide(): void {
    this.panel.hidePopover();
  }

  protected onToggle(event: Event): void {
    if ((event as ToggleEvent).newState !== 'open') return;
    this.place();
    this.panel.querySelector<HTMLElement>('[aria-current], button, a, input')?.focus();
  }

  protected onLeave({ relatedTarget }: FocusEvent): void {
    const within = relatedTarget instanceof Node && this.panel.contains(relatedTarget);
    // A click on the button closes it by itself; the focus that a closed window loses is no leaving.
    if (within || relatedTarget === null || relatedTarget === this.iuPopover()) return;
    this.hide();
  }

  private place(): void {
    const { left, right, bottom } = this.iuPopover().getBoundingClientRect();
    const { offsetWidth } = this.panel;
    const fits = left + offsetWidth + EDGE <= innerWidth;
    const at = fits ? left : Math.max(EDGE, Math.min(right, innerWidth - EDGE) - offsetWidth);
    this.panel.style.left = `${at}px`;
    this.panel.style.top = `${bottom + GAP}px`;
  }
}
