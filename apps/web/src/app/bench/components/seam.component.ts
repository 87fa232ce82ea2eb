import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { SeamCurve } from '../model/seam-curves';

/** Width of the seam between chart and statement, in pixels. */
export const SEAM_WIDTH = 78;

/** The drawn joins between accounts and statement lines. */
@Component({
  selector: 'iu-seam',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg aria-hidden="true" [attr.width]="width" height="100%">
      @for (curve of curves(); track curve.key) {
        <path
          [attr.d]="curve.path"
          [class.selected]="curve.selected"
          [class.changed]="curve.changed"
          [class.beyond]="curve.beyond"
        />
        @if (curve.selected) {
          <circle cx="2.5" [attr.cy]="curve.y1" r="3.5" [class.changed]="curve.changed" />
          <circle
            [attr.cx]="width - 2.5"
            [attr.cy]="curve.y2"
            r="3.5"
            [class.changed]="curve.changed"
          />
        }
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
      overflow: hidden;
    }
    path {
      fill: none;
      stroke: var(--seam);
      stroke-width: 1.2;
    }
    path.changed {
      stroke: var(--amber);
    }
    path.beyond {
      stroke-dasharray: 2 3;
    }
    path.selected {
      stroke: var(--plum-ink);
      stroke-width: 2.4;
    }
    path.selected.changed {
      stroke: var(--amber);
    }
    circle {
      fill: var(--plum-ink);
    }
    circle.changed {
      fill: var(--amber);
    }
  `,
})
export class SeamComponent {
  readonly curves = input.required<readonly SeamCurve[]>();
  protected readonly width = SEAM_WIDTH;
}
