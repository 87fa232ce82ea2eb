import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { formatAmount, subtract, type Minor, type RowKey } from '@iunctus/core';
import type { KeyFigure } from '../model/front-figure';

/** Figures in a row, each with what it was a year before; one opens what it is made of. */
@Component({
  selector: 'iu-key-figures',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (figure of figures(); track figure.key) {
      <button type="button" (click)="chosen.emit(figure.key)">
        <span class="words">{{ figure.words }}</span>
        <strong [attr.data-key]="figure.key">{{ amount(figure.amount) }}</strong>
        <small>{{ change(figure) }}</small>
      </button>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 10px;
    }
    button {
      display: grid;
      flex: 1;
      gap: 1px;
      min-width: 150px;
      padding: 10px 14px;
      border: 1px solid var(--rule);
      border-radius: 3px;
      background: var(--sheet);
      color: var(--ink);
      font: inherit;
      text-align: left;
      cursor: pointer;
    }
    button:hover {
      background: var(--plum-wash);
    }
    .words,
    small {
      color: var(--ink-2);
      font-size: 12px;
    }
    strong {
      font: 600 21px/1.2 var(--serif);
      font-variant-numeric: tabular-nums;
    }
  `,
})
export class KeyFiguresComponent {
  readonly figures = input.required<readonly KeyFigure[]>();
  readonly currency = input.required<string>();
  readonly chosen = output<RowKey>();

  protected amount(amount: Minor): string {
    return formatAmount(amount, { currency: this.currency(), zero: '–' });
  }

  protected change({ amount, before }: KeyFigure): string {
    const by = formatAmount(subtract(amount, before), {
      currency: this.currency(),
      negatives: 'sign',
      zero: '±0',
    });
    return $localize`${by}:difference: on a year before`;
  }
}
