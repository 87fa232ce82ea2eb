import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** One of a few things that stand beside one another. */
export interface OneOf<V> {
  readonly value: V;
  readonly words: string;
  /** How many there are of it. */
  readonly count?: number;
  /** Whether these are to be looked at. */
  readonly urgent?: boolean;
}

/** Choosing one of a few things that are all in sight. */
@Component({
  selector: 'iu-one-of',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (option of options(); track option.value) {
      <button
        type="button"
        [attr.aria-pressed]="chosen() === option.value"
        (click)="choose.emit(option.value)"
      >
        {{ option.words }}
        @if (option.count !== undefined) {
          <b [class.urgent]="option.urgent">{{ option.count }}</b>
        }
      </button>
    }
  `,
  styles: `
    b {
      margin-left: 3px;
    }
    .urgent {
      color: var(--amber-ink);
    }
  `,
  host: { class: 'segments', role: 'group', '[attr.aria-label]': 'label()' },
})
export class OneOfComponent<V> {
  readonly options = input.required<readonly OneOf<V>[]>();
  readonly chosen = input.required<V | null>();
  readonly label = input.required<string>();
  readonly choose = output<V>();
}
