import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Element } from '@iunctus/core';

/** The mark of an element: a shape and a colour, so that colour is never the only sign. */
@Component({
  selector: 'iu-element-mark',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 9 9" width="9" height="9" aria-hidden="true">
      @switch (element()) {
        @case ('asset') {
          <rect width="9" height="9" fill="var(--asset)" />
        }
        @case ('liability') {
          <rect
            x="1"
            y="1"
            width="7"
            height="7"
            fill="none"
            stroke="var(--liability)"
            stroke-width="2"
          />
        }
        @case ('equity') {
          <path d="M4.5 0 9 4.5 4.5 9 0 4.5z" fill="var(--equity)" />
        }
        @case ('revenue') {
          <path d="M4.5 0 9 9H0z" fill="var(--revenue)" />
        }
        @case ('expense') {
          <path d="M0 0h9L4.5 9z" fill="var(--expense)" />
        }
        @default {
          <circle
            cx="4.5"
            cy="4.5"
            r="3.5"
            fill="none"
            stroke="var(--memorandum)"
            stroke-width="1.6"
          />
        }
      }
    </svg>
  `,
  styles: ':host { display: inline-flex; flex: none; }',
})
export class ElementMarkComponent {
  readonly element = input.required<Element>();
}
