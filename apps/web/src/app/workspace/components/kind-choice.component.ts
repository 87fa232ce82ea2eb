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
import { KIND_CODES, KINDS, findKey, type Element, type KindCode } from '@iunctus/core';
import { AutoComplete } from 'primeng/autocomplete';
import { ElementMarkComponent } from '../../shared/components/element-mark.component';
import { ELEMENT_WORDS, landingWords } from '../../shared/words/statement-words';
import { ChoiceBase } from '../../shared/components/choice-base';

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
  const key = findKey(`${name} ${landing} ${sentence} ${ELEMENT_WORDS[element]}`);
  return { code, name, element, landing, sentence, key };
});

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
      [motionOptions]="atOnce"
      [minQueryLength]="0"
      i18n-ariaLabel
      ariaLabel="Kind"
      [inputId]="inputId()"
      appendTo="body"
      scrollHeight="320px"
      i18n-emptyMessage
      emptyMessage="No kind is called that."
    >
      <ng-template #item let-choice>
        <div class="kind-choice">
          <iu-element-mark [element]="choice.element" />
          <div>
            <strong>{{ choice.name }}</strong>
            <div class="landing">{{ choice.landing }}</div>
            <div class="sentence">{{ choice.sentence }}</div>
          </div>
        </div>
      </ng-template>
    </p-autocomplete>
  `,
  styleUrl: '../../shared/components/choice.css',
})
export class KindChoiceComponent extends ChoiceBase<Choice> {
  readonly kind = input.required<KindCode>();
  /** Kinds of this element come first. */
  readonly near = input<Element | null>(null);
  readonly inputId = input<string>();
  readonly chosen = output<KindCode>();

  protected readonly autoComplete = viewChild.required<AutoComplete>('list');
  private readonly ordered = computed(() => {
    const near = this.near();
    const own = CHOICES.filter(({ element }) => element === near);
    return [...own, ...CHOICES.filter(({ element }) => element !== near)];
  });

  constructor() {
    super();
    effect(() => {
      const kind = this.kind();
      this.value.set(CHOICES.find(({ code }) => code === kind) ?? null);
    });
  }

  protected titleOf({ name }: Choice): string {
    return name;
  }

  protected matching(query: string): Choice[] {
    const words = findKey(query).split(' ');
    const fitting = this.ordered().filter(({ key }) => words.every((word) => key.includes(word)));
    const begins = ({ name }: Choice): number => (findKey(name).startsWith(findKey(query)) ? 0 : 1);
    return fitting.sort((a, b) => begins(a) - begins(b));
  }

  protected tell({ code }: Choice): void {
    this.chosen.emit(code);
  }
}
