import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  input,
  output,
  viewChild,
} from '@angular/core';
import { FormsModule } from '@angular/forms';
import { findKey } from '@iunctus/core';
import { AutoComplete } from 'primeng/autocomplete';
import { ChoiceBase } from './choice-base';

/** One of the things that can be picked. */
export interface PickOption {
  readonly value: string;
  readonly words: string;
}

interface Choice extends PickOption {
  readonly key: string;
}

/** Picking one of many by typing part of what it is called, accents or none. */
@Component({
  selector: 'iu-pick',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AutoComplete, FormsModule],
  template: `
    <p-autocomplete
      #list
      [ngModel]="value()"
      [ngModelOptions]="{ standalone: true }"
      (ngModelChange)="take($event)"
      [suggestions]="found()"
      (completeMethod)="search($event)"
      optionLabel="words"
      dataKey="value"
      [autoOptionFocus]="true"
      [forceSelection]="true"
      [completeOnFocus]="false"
      [dropdown]="true"
      dropdownAriaLabel="All of {{ label() }}"
      i18n-dropdownAriaLabel
      [pt]="button"
      [delay]="0"
      [motionOptions]="atOnce"
      [minQueryLength]="0"
      [ariaLabel]="label()"
      [placeholder]="placeholder()"
      [inputId]="inputId()"
      (onBlur)="left.emit()"
      appendTo="body"
      scrollHeight="260px"
      i18n-emptyMessage
      emptyMessage="Nothing here is called that."
    />
  `,
  styleUrls: ['./choice.css', './pick.component.css'],
})
export class PickComponent extends ChoiceBase<Choice> {
  readonly options = input.required<readonly PickOption[]>();
  /** The value picked; one that is not among the options stands for none. */
  readonly picked = input.required<string | null>();
  readonly label = input.required<string>();
  readonly placeholder = input('');
  readonly inputId = input<string>();
  readonly chosen = output<string>();
  readonly left = output();

  /** The keyboard opens the list from the field; the button is the mouse's. */
  protected readonly button = { dropdown: { tabindex: -1 } };
  protected readonly autoComplete = viewChild.required<AutoComplete>('list');
  private readonly all = computed<readonly Choice[]>(() =>
    this.options().map((option) => ({ ...option, key: findKey(option.words) })),
  );

  constructor() {
    super();
    effect(() => {
      const picked = this.picked();
      this.value.set(this.all().find(({ value }) => value === picked) ?? null);
    });
  }

  protected override escapeCloses(): boolean {
    return true;
  }

  protected titleOf({ words }: Choice): string {
    return words;
  }

  protected matching(query: string): Choice[] {
    const key = findKey(query);
    const words = key.split(' ');
    const begins = (choice: Choice): number => (choice.key.startsWith(key) ? 0 : 1);
    return this.all()
      .filter((choice) => words.every((word) => choice.key.includes(word)))
      .sort((a, b) => begins(a) - begins(b));
  }

  protected tell({ value }: Choice): void {
    this.chosen.emit(value);
  }
}
