import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** A line of text under its label. */
@Component({
  selector: 'iu-text-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="field">
      <span>{{ label() }}</span>
      <input
        class="text"
        autocomplete="off"
        dir="auto"
        [maxLength]="most()"
        [placeholder]="placeholder()"
        [value]="value()"
        (input)="changed.emit($any($event.target).value)"
      />
    </label>
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
  `,
})
export class TextFieldComponent {
  readonly label = input.required<string>();
  readonly value = input.required<string>();
  /** Characters at most. */
  readonly most = input.required<number>();
  readonly placeholder = input('');
  readonly changed = output<string>();
}
