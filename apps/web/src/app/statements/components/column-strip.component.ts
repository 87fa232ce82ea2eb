import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { readPeriod, type ColumnSpec, type PeriodContext } from '@iunctus/core';
import { FocusFirstDirective } from '../../shared/components/focus-first.directive';
import { OneOfComponent, type OneOf } from '../../shared/components/one-of.component';
import { headPeriod } from '../../shared/words/column-words';

/** Periods that show what can be typed. */
const EXAMPLES = $localize`this period · a year before · year to date · q2 · jan to mar · last 12 months · oct 2025 to now`;

/** Says what a column of a statement is: a period in words, its budget, or what is reckoned from other columns. */
@Component({
  selector: 'iu-column-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FocusFirstDirective, OneOfComponent],
  template: `
    <strong i18n>Column {{ at() + 1 }}</strong>
    <iu-one-of
      label="What it shows"
      i18n-label
      [options]="sorts()"
      [chosen]="spec().is"
      (choose)="turnInto($event)"
    />
    @if (words() !== null) {
      <label class="words">
        <span i18n class="visually-hidden">Period in words</span>
        <input
          class="text"
          autocomplete="off"
          iuFocusFirst
          maxlength="60"
          [value]="words()"
          [attr.aria-invalid]="wrong() !== null"
          [attr.aria-describedby]="meaning"
          (input)="say($any($event.target).value)"
          (keydown.enter)="closed.emit()"
        />
      </label>
      <span [id]="meaning" role="status" [class.bad]="wrong() !== null">{{ means() }}</span>
    } @else {
      @for (part of reckonedFrom(); track part.name) {
        <span class="muted">{{ part.words }}</span>
        <iu-one-of
          [label]="part.words"
          [options]="places()"
          [chosen]="part.at"
          (choose)="refer(part.name, $event)"
        />
      }
    }
    <button i18n type="button" class="button small end" (click)="removed.emit()">Take out</button>
    <button i18n type="button" class="button small" (click)="closed.emit()">Done</button>
  `,
  host: { '(keydown.escape)': 'closed.emit()' },
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 8px 12px;
      padding: 8px 18px;
      border-bottom: 1px solid var(--rule);
      background: var(--plum-wash);
    }
    .words {
      width: 230px;
    }
    .bad {
      color: var(--bad);
      font-weight: 600;
    }
    .end {
      margin-left: auto;
    }
  `,
})
export class ColumnStripComponent {
  readonly spec = input.required<ColumnSpec>();
  readonly at = input.required<number>();
  readonly context = input.required<PeriodContext>();
  /** Whether budgets can stand in the sheet. */
  readonly budgets = input.required<boolean>();
  readonly changed = output<ColumnSpec>();
  readonly removed = output();
  readonly closed = output();

  protected readonly meaning = 'column-means';
  protected readonly words = computed(() => {
    const spec = this.spec();
    return 'words' in spec ? spec.words : null;
  });
  private readonly read = computed(() => {
    const words = this.words();
    return words === null ? null : readPeriod(words, this.context());
  });
  protected readonly wrong = computed(() => {
    const read = this.read();
    return read === null || read.ok ? null : read.word;
  });
  /** What the words mean; where they mean nothing, the wrong word, and what can be said instead. */
  protected readonly means = computed(() => {
    const read = this.read();
    if (read === null) return '';
    if (read.ok) return headPeriod(read.period);
    return $localize`“${read.word}:word:” is no period. Try: ${EXAMPLES}:examples:`;
  });

  protected readonly sorts = computed<readonly OneOf<ColumnSpec['is']>[]>(() => {
    const at = this.at();
    const all: readonly (OneOf<ColumnSpec['is']> & { readonly there: boolean })[] = [
      { value: 'amounts', words: $localize`Amounts`, there: true },
      { value: 'budget', words: $localize`Budget`, there: this.budgets() },
      { value: 'difference', words: $localize`Difference`, there: at >= 2 },
      { value: 'percent', words: $localize`Per cent`, there: at >= 2 },
      { value: 'share', words: $localize`Share`, there: at >= 1 },
      { value: 'value', words: $localize`One value`, there: false },
      { value: 'restricted', words: $localize`By restriction`, there: false },
    ];
    return all.filter(({ there, value }) => there || value === this.spec().is);
  });
  protected readonly places = computed<readonly OneOf<number>[]>(() =>
    Array.from({ length: this.at() }, (_, value) => ({ value, words: String(value + 1) })),
  );
  protected readonly reckonedFrom = computed(() => {
    const spec = this.spec();
    if (spec.is === 'share') return [{ name: 'of', words: $localize`of column`, at: spec.of }];
    if ('words' in spec) return [];
    return [
      { name: 'of', words: $localize`column`, at: spec.of },
      { name: 'from', words: $localize`against column`, at: spec.from },
    ];
  });

  protected say(words: string): void {
    const spec = this.spec();
    if ('words' in spec) this.changed.emit({ ...spec, words: words.replaceAll(/[;:]/g, ' ') });
  }

  protected turnInto(is: ColumnSpec['is']): void {
    const at = this.at();
    const words = this.words() ?? 'this period';
    if (is === 'amounts' || is === 'budget') this.changed.emit({ is, words });
    else if (is === 'share') this.changed.emit({ is, of: at - 1 });
    else if (is === 'difference' || is === 'percent')
      this.changed.emit({ is, of: at - 2, from: at - 1 });
  }

  protected refer(name: string, place: number): void {
    const spec = this.spec();
    if (spec.is === 'share') this.changed.emit({ ...spec, of: place });
    else if (!('words' in spec)) this.changed.emit({ ...spec, [name]: place });
  }
}
