import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { SETTING_TEXT_LIMIT } from '@iunctus/core';
import { InputText } from 'primeng/inputtext';

/** Texts by name, as a setting that is several short texts keeps them. */
export type Texts = Readonly<Record<string, string>>;

/** A setting of several short texts: a bank's details, a security. */
@Component({
  selector: 'iu-texts-setting',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [InputText],
  template: `
    @for (one of fields(); track one.field) {
      <label class="field" [class.wide]="one.wide">
        <span>{{ one.words }}</span>
        <input
          pInputText
          autocomplete="off"
          [value]="texts()[one.field] ?? ''"
          [attr.maxlength]="limit"
          (change)="change(one.field, $event)"
        />
      </label>
    }
    <ng-content />
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 10px;
    }
    .wide {
      grid-column: 1 / -1;
    }
  `,
})
export class TextsSettingComponent {
  readonly fields =
    input.required<
      readonly { readonly field: string; readonly words: string; readonly wide?: boolean }[]
    >();
  readonly texts = input.required<Texts>();
  /** All texts; `null` when every one was emptied. */
  readonly changed = output<Texts | null>();
  protected readonly limit = SETTING_TEXT_LIMIT;

  protected change(field: string, typed: Event): void {
    const value = (typed.target as HTMLInputElement).value.trim();
    const texts = { ...this.texts(), [field]: value };
    this.changed.emit(Object.values(texts).every((text) => text === '') ? null : texts);
  }
}
