import { NgTemplateOutlet } from '@angular/common';
import {
  afterNextRender,
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  contentChild,
  effect,
  ElementRef,
  inject,
  Injector,
  input,
  output,
  signal,
  TemplateRef,
  viewChild,
} from '@angular/core';
import { FormsModule } from '@angular/forms';
import { findKey, holder } from '@iunctus/core';
import { AutoComplete, type AutoCompleteCompleteEvent } from 'primeng/autocomplete';
import { AT_ONCE, watchListKeys } from './list-keys';

/** One of the things that can be picked. */
export interface PickOption<V extends string = string> {
  readonly value: V;
  readonly words: string;
  /** What else finds it. */
  readonly also?: string;
}

/** An option as it compares with what is typed: by its words, and by all that finds it. */
interface Keyed<V extends string> {
  readonly option: PickOption<V>;
  readonly title: string;
  readonly key: string;
}

/** Most choices that the list shows at once. */
const SHOWN = 60;

/**
 * Picking one of many by typing part of what it is called, accents or none. A template inside shows each option in its
 * own way; else there are its words.
 */
@Component({
  selector: 'iu-pick',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AutoComplete, FormsModule, NgTemplateOutlet],
  template: `
    @if (labelled()) {
      <span>{{ label() }}</span>
    }
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
      [dropdown]="!plain()"
      dropdownAriaLabel="All of {{ label() }}"
      i18n-dropdownAriaLabel
      [pt]="button"
      [delay]="0"
      [motionOptions]="atOnce"
      [minQueryLength]="0"
      [ariaLabel]="label()"
      [placeholder]="placeholder()"
      [inputId]="inputId()"
      (onFocus)="$any($event.target).select()"
      (onBlur)="left.emit()"
      appendTo="body"
      scrollHeight="320px"
      [emptyMessage]="noneFound()"
    >
      <ng-template #item let-choice>
        <ng-container
          [ngTemplateOutlet]="shown() ?? words"
          [ngTemplateOutletContext]="{ $implicit: choice }"
        />
      </ng-template>
    </p-autocomplete>
    @if (wrong() !== '') {
      <small class="error">{{ wrong() }}</small>
    }
    <ng-template #words let-choice>{{ choice.words }}</ng-template>
  `,
  styleUrl: './pick.component.css',
  host: { '[class.field]': 'labelled()', '[class.plain]': 'plain()' },
})
export class PickComponent<V extends string = string> {
  readonly options = input.required<readonly PickOption<V>[]>();
  /** The value picked; one that is not among the options stands for none. */
  readonly picked = input.required<V | null | undefined>();
  readonly label = input.required<string>();
  /** Whether the label stands above it, and not only for those who hear it. */
  readonly labelled = input(false, { transform: booleanAttribute });
  /** Without a button for the mouse; Escape leaves what is around, too. */
  readonly plain = input(false, { transform: booleanAttribute });
  readonly placeholder = input('');
  /** What is wrong with what is picked; empty when nothing is. */
  readonly wrong = input('');
  readonly noneFound = input($localize`Nothing here is called that.`);
  readonly inputId = input<string>();
  readonly chosen = output<V>();
  readonly left = output();

  protected readonly atOnce = AT_ONCE;
  /** The keyboard opens the list from the field; the button is the mouse's. */
  protected readonly button = { dropdown: { tabindex: -1 } };
  protected readonly found = signal<PickOption<V>[]>([]);
  protected readonly value = signal<PickOption<V> | null>(null);
  protected readonly shown = contentChild(TemplateRef);
  private readonly list = viewChild.required<AutoComplete>('list');
  private readonly injector = inject(Injector);
  /** Made when somebody types: thousands of accounts are only shown most of the time. */
  private readonly keyed = computed<readonly Keyed<V>[]>(() =>
    this.options().map((option) => {
      const title = findKey(option.words);
      return { option, title, key: `${title} ${findKey(option.also ?? '')}` };
    }),
  );

  constructor() {
    effect(() => {
      const picked = this.picked();
      this.value.set(this.options().find(({ value }) => value === picked) ?? null);
    });
    watchListKeys(inject<ElementRef<HTMLElement>>(ElementRef).nativeElement, {
      list: () => this.list(),
      // The options are those that this gave to the list.
      takeMarked: (option) => this.take(option as PickOption<V>),
      takeBest: (typed) => this.takeBest(typed),
      tabTakes: true,
      escapeCloses: () => !this.plain(),
    });
  }

  protected search({ query }: AutoCompleteCompleteEvent): void {
    const typed = !this.isShown(query);
    this.found.set(this.matching(typed ? query : '').slice(0, SHOWN));
    if (typed) this.markBest();
  }

  protected take(choice: PickOption<V> | string | null): void {
    if (choice === null || typeof choice === 'string') return;
    this.value.set(choice);
    // What the list does not hold when it closes would be struck out of the field.
    this.found.set([choice]);
    this.chosen.emit(choice.value);
  }

  /** The choices that fit, those whose words begin with what was typed before the others; all of them for nothing. */
  private matching(query: string): readonly PickOption<V>[] {
    const key = findKey(query);
    if (key === '') return this.options();
    const holds = holder(query);
    const begins = ({ title }: Keyed<V>): number => (title.startsWith(key) ? 0 : 1);
    return this.keyed()
      .filter((one) => holds(one.key))
      .sort((a, b) => begins(a) - begins(b))
      .map(({ option }) => option);
  }

  /** The list would mark the present choice; what is typed asks for the best match. */
  private markBest(): void {
    afterNextRender(() => this.list().focusedOptionIndex.set(0), { injector: this.injector });
  }

  private takeBest(typed: string): boolean {
    if (typed.trim() === '' || this.isShown(typed)) return false;
    const [best] = this.matching(typed);
    if (best !== undefined) this.take(best);
    return best !== undefined;
  }

  private isShown(text: string): boolean {
    return this.value()?.words === text;
  }
}
