import { A11yModule } from '@angular/cdk/a11y';
import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { Sheets } from '../../workspace/model/sheets';

/** A sheet that slides over the statement side; Esc puts it away. */
@Component({
  selector: 'iu-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [A11yModule],
  template: `
    <section
      cdkTrapFocus
      cdkTrapFocusAutoCapture
      role="dialog"
      [attr.aria-label]="heading()"
      (keydown)="onKey($event)"
    >
      <header>
        <h2>{{ heading() }}</h2>
        <button i18n class="button quiet small" type="button" (click)="sheets.close()">
          Close <kbd>Esc</kbd>
        </button>
      </header>
      <div class="content"><ng-content /></div>
    </section>
  `,
  styles: `
    :host {
      position: absolute;
      z-index: 10;
      inset: 8px 18px 0 auto;
      width: 440px;
      animation: slide 140ms ease-out;
    }
    @media screen and (max-width: 700px) {
      :host {
        inset: 0;
        width: auto;
      }
    }
    @keyframes slide {
      from {
        transform: translateX(24px);
        opacity: 0;
      }
    }
    @media (prefers-reduced-motion: reduce) {
      :host {
        animation: none;
      }
    }
    section {
      display: flex;
      flex-direction: column;
      height: 100%;
      border: 1px solid var(--rule);
      border-bottom: 0;
      border-radius: 3px 3px 0 0;
      background: var(--sheet);
      box-shadow: var(--lift-2);
    }
    header {
      display: flex;
      align-items: center;
      justify-content: space-between;
      gap: 12px;
      padding: 14px 12px 10px 20px;
      border-bottom: 1px solid var(--rule);
    }
    h2 {
      overflow: hidden;
      font-size: 18px;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
    .content {
      flex: 1;
      overflow: auto;
      padding: 16px 20px 24px;
    }
  `,
})
export class SheetComponent {
  protected readonly sheets = inject(Sheets);
  readonly heading = input.required<string>();

  protected onKey(event: KeyboardEvent): void {
    if (event.key !== 'Escape') return;
    event.stopPropagation();
    this.sheets.close();
  }
}
