import { afterNextRender, Directive, ElementRef, inject } from '@angular/core';

/** Puts the keyboard on the element once it is drawn. */
@Directive({ selector: '[iuFocusFirst]' })
export class FocusFirstDirective {
  constructor() {
    const { nativeElement } = inject<ElementRef<HTMLElement>>(ElementRef);
    afterNextRender(() => nativeElement.focus());
  }
}
