import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { formatAmount, type Minor } from '@iunctus/core';
import {
  PictureComponent,
  type PicturePoint,
  type PictureSeries,
  type PictureSort,
} from '../../shared/components/picture.component';

/** A picture under its title, what it says in a sentence, and its figures, each of which opens what it is made of. */
@Component({
  selector: 'iu-front-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PictureComponent],
  template: `
    <h2>{{ title() }}</h2>
    @if (says(); as says) {
      <p class="muted">{{ says }}</p>
    }
    @if (isEmpty()) {
      <p i18n class="muted empty">Nothing was posted in these months.</p>
    } @else {
      <iu-picture
        [label]="title()"
        [sort]="sort()"
        [series]="series()"
        [labels]="labels()"
        [currency]="currency()"
        (chosen)="chosen.emit($event)"
      />
      <details>
        <summary i18n>Figures</summary>
        <div class="scroll">
          <table>
            <thead>
              <tr>
                <th scope="col">{{ currency() }}</th>
                @for (label of labels(); track $index) {
                  <th scope="col" class="amount">{{ label }}</th>
                }
              </tr>
            </thead>
            <tbody>
              @for (one of series(); track $index; let series = $index) {
                <tr>
                  <th scope="row">{{ one.name }}</th>
                  @for (amount of one.amounts; track $index) {
                    <td class="amount">
                      <button
                        type="button"
                        class="figure"
                        (click)="chosen.emit({ series, at: $index })"
                      >
                        {{ words(amount) }}
                      </button>
                    </td>
                  }
                </tr>
              }
            </tbody>
          </table>
        </div>
      </details>
    }
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
      padding: 14px 18px 12px;
      border: 1px solid var(--rule);
      border-radius: 3px;
      background: var(--sheet);
      box-shadow: var(--lift);
    }
    h2 {
      font-size: 16px;
    }
    p {
      margin: 2px 0 0;
    }
    .empty {
      padding: 30px 0;
    }
    summary {
      color: var(--ink-2);
      font-size: 12px;
      cursor: pointer;
    }
    .scroll {
      overflow-x: auto;
    }
    table {
      border-spacing: 0;
      font-size: 12px;
      font-variant-numeric: tabular-nums;
    }
    th,
    td {
      padding: 2px 6px;
      white-space: nowrap;
    }
    th[scope='row'] {
      position: sticky;
      left: 0;
      background: var(--sheet);
      font-weight: 400;
      text-align: left;
    }
    .amount {
      text-align: right;
    }
    .figure {
      padding: 0;
      border: 0;
      background: none;
      color: inherit;
      font: inherit;
      cursor: pointer;
    }
    .figure:hover {
      text-decoration: underline;
    }
  `,
})
export class FrontCardComponent {
  readonly title = input.required<string>();
  /** What it says in a sentence; empty for nothing. */
  readonly says = input('');
  readonly sort = input.required<PictureSort>();
  readonly series = input.required<readonly PictureSeries[]>();
  readonly labels = input.required<readonly string[]>();
  readonly currency = input.required<string>();
  readonly chosen = output<PicturePoint>();

  protected readonly isEmpty = computed(() =>
    this.series().every(({ amounts }) => amounts.every((amount) => amount === 0)),
  );

  protected words(amount: Minor): string {
    return formatAmount(amount, { currency: this.currency(), zero: '–' });
  }
}
