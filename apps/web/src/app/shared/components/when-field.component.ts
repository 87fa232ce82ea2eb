import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  input,
  linkedSignal,
  output,
  signal,
} from '@angular/core';
import { addDays, addMonths, readDate, readMonth, type DateOrder } from '@iunctus/core';
import { today } from '../dates/today';
import { unreadWhen, writtenWhen } from '../words/period-words';

/**
 * A day or a month, typed as people type it and written in the order of the country; the arrow keys go to the day or
 * month before and after. What is typed counts as soon as it reads as one, and is written out on leaving.
 */
@Component({
  selector: 'iu-when-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (labelled()) {
      <span>{{ label() }}</span>
    }
    <input
      class="text"
      autocomplete="off"
      spellcheck="false"
      maxlength="30"
      [attr.aria-label]="label()"
      [attr.aria-invalid]="wrong() ? true : null"
      [attr.aria-describedby]="wrong() ? noteId : null"
      [placeholder]="placeholder()"
      [value]="text()"
      (input)="type($any($event.target).value)"
      (blur)="leave()"
      (keydown.arrowup)="$event.preventDefault(); step(1)"
      (keydown.arrowdown)="$event.preventDefault(); step(-1)"
    />
    @if (wrong()) {
      <small class="error" role="alert" [id]="noteId">{{ note() }}</small>
    }
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
    input {
      width: 100%;
    }
    :host(.field) {
      display: grid;
    }
    .error {
      color: var(--bad);
      font-weight: 600;
    }
  `,
  host: { '[class.field]': 'labelled()' },
})
export class WhenFieldComponent {
  private static count = 0;

  readonly unit = input.required<'day' | 'month'>();
  readonly order = input.required<DateOrder>();
  /** `YYYY-MM-DD` or `YYYY-MM`; empty for none. */
  readonly value = input.required<string>();
  readonly label = input.required<string>();
  /** Whether the label stands above it, and not only for those who hear it. */
  readonly labelled = input(false, { transform: booleanAttribute });
  readonly placeholder = input('');
  /** Another day or month, an empty text for none, or `null` where what is typed cannot be read. */
  readonly changed = output<string | null>();

  protected readonly noteId = `when-note-${WhenFieldComponent.count++}`;
  private readonly known = linkedSignal(() => this.value());
  private readonly typed = signal<string | null>(null);
  /** What was told last; nothing yet. */
  private told: string | null | undefined;
  protected readonly left = signal(false);
  protected readonly text = computed(
    () => this.typed() ?? (this.known() === '' ? '' : writtenWhen(this.known(), this.order())),
  );
  protected readonly wrong = computed(() => {
    const typed = this.typed();
    return this.left() && typed !== null && typed.trim() !== '' && this.read(typed) === null;
  });
  protected readonly note = computed(() => unreadWhen(this.unit(), this.order()));

  protected type(text: string): void {
    this.typed.set(text);
    this.left.set(false);
    this.tell(text.trim() === '' ? '' : this.read(text));
  }

  protected leave(): void {
    const typed = this.typed();
    this.left.set(true);
    if (typed === null) return;
    if (typed.trim() === '' || this.read(typed) !== null) this.typed.set(null);
  }

  protected step(by: 1 | -1): void {
    const from = this.known();
    this.typed.set(null);
    if (this.unit() === 'day') this.tell(from === '' ? today() : addDays(from, by));
    else this.tell(from === '' ? today().slice(0, 7) : addMonths(from, by));
  }

  private tell(when: string | null): void {
    if (when === this.told) return;
    this.told = when;
    if (when !== null) this.known.set(when);
    this.changed.emit(when);
  }

  private read(text: string): string | null {
    const reading = { order: this.order(), today: today() };
    return this.unit() === 'day' ? readDate(text, reading) : readMonth(text, reading);
  }
}
