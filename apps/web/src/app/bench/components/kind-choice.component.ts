import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { FormsModule } from '@angular/forms';
import { KIND_CODES, KINDS, nameKey, type Element, type KindCode } from '@iunctus/core';
import { watchListKeys } from './list-keys';
import { AutoComplete, type AutoCompleteCompleteEvent } from 'primeng/autocomplete';
import { ElementMarkComponent } from '../../shared/components/element-mark.component';
import { ELEMENT_WORDS, landingWords } from '../../shared/words/statement-words';

interface Choice {
  readonly code: KindCode;
  readonly name: string;
  readonly element: Element;
  readonly landing: string;
  readonly sentence: string;
  readonly key: string;
}

const CHOICES: readonly Choice[] = KIND_CODES.map((code) => {
  const { name, element, sentence } = KINDS[code];
  const landing = landingWords(code);
  const key = nameKey(`${name} ${landing} ${sentence} ${ELEMENT_WORDS[element]}`);
  return { code, name, element, landing, sentence, key };
});

const choiceOf = (code: KindCode): Choice | null =>
  CHOICES.find((choice) => choice.code === code) ?? null;

/** Choosing a kind by typing part of its name; each says where it leads and what belongs there. */
@Component({
  selector: 'iu-kind-choice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, AutoComplete, ElementMarkComponent],
  template: `
    <p-autocomplete
      #list
      [ngModel]="value()"
      (ngModelChange)="take($event)"
      [suggestions]="found()"
      (completeMethod)="search($event)"
      optionLabel="name"
      dataKey="code"
      [autoOptionFocus]="true"
      [forceSelection]="true"
      [delay]="0"
      [minQueryLength]="0"
      ariaLabel="Kind"
      [inputId]="inputId()"
      appendTo="body"
      scrollHeight="320px"
      emptyMessage="No kind is called that."
    >
      <ng-template #item let-choice>
        <div class="kind-choice">
          <iu-element-mark [element]="choice.element" />
          <div>
            <div class="head">
              <strong>{{ choice.name }}</strong>
            </div>
            <div class="landing">{{ choice.landing }}</div>
            <div class="sentence">{{ choice.sentence }}</div>
          </div>
        </div>
      </ng-template>
    </p-autocomplete>
  `,
  styleUrl: './choice.css',
})
export class KindChoiceComponent {
  readonly kind = input.required<KindCode>();
  /** Kinds of this element come first. */
  readonly near = input<Element | null>(null);
  readonly inputId = input<string>();
  readonly chosen = output<KindCode>();

  protected readonly found = signal<Choice[]>([]);
  protected readonly value = signal<Choice | null>(null);
  private readonly ordered = computed(() => {
    const near = this.near();
    const own = CHOICES.filter(({ element }) => element === near);
    return [...own, ...CHOICES.filter(({ element }) => element !== near)];
  });

  private readonly list = viewChild.required<AutoComplete>('list');

  constructor() {
    watchListKeys(inject<ElementRef<HTMLElement>>(ElementRef).nativeElement, {
      list: () => this.list(),
      takeBest: (typed) => this.takeBest(typed),
    });
    effect(() => this.value.set(choiceOf(this.kind())));
  }

  protected search({ query }: AutoCompleteCompleteEvent): void {
    const untouched = query === this.value()?.name;
    this.found.set(untouched ? [...this.ordered()] : this.matching(query));
  }

  private matching(query: string): Choice[] {
    const words = nameKey(query).split(' ');
    const fitting = this.ordered().filter(({ key }) => words.every((word) => key.includes(word)));
    const begins = ({ name }: Choice): number => (nameKey(name).startsWith(nameKey(query)) ? 0 : 1);
    return fitting.sort((a, b) => begins(a) - begins(b));
  }

  private takeBest(typed: string): boolean {
    if (typed.trim() === '' || typed === this.value()?.name) return false;
    const [best] = this.matching(typed);
    if (best !== undefined) this.take(best);
    return best !== undefined;
  }

  protected take(choice: Choice | string | null): void {
    if (choice === null || typeof choice === 'string') return;
    this.value.set(choice);
    this.chosen.emit(choice.code);
  }
}
