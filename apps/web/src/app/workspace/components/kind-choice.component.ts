import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { KIND_CODES, KINDS, type Element, type KindCode } from '@iunctus/core';
import { ElementMarkComponent } from '../../shared/components/element-mark.component';
import { PickComponent } from '../../shared/components/pick.component';
import { ELEMENT_WORDS, landingWords } from '../../shared/words/statement-words';
import { terms } from '../../shared/words/terms';

/** Every kind in the words of the client; found by its standard name, too. */
const allOptions = computed(() =>
  KIND_CODES.map((value) => {
    const { name, element, sentence } = KINDS[value];
    const landing = landingWords(value);
    const also = `${name} ${landing} ${sentence} ${ELEMENT_WORDS[element]}`;
    return { value, words: terms().kinds[value], also, element, landing, sentence };
  }),
);

/** Choosing a kind by typing part of its name; each says where it leads and what belongs there. */
@Component({
  selector: 'iu-kind-choice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ElementMarkComponent, PickComponent],
  template: `
    <iu-pick
      plain
      [options]="options()"
      [picked]="kind()"
      label="Kind"
      i18n-label
      [inputId]="inputId()"
      noneFound="No kind is called that."
      i18n-noneFound
      (chosen)="chosen.emit($event)"
    >
      <ng-template let-choice>
        <div class="kind-choice">
          <iu-element-mark [element]="choice.element" />
          <div>
            <strong>{{ choice.words }}</strong>
            <div class="landing">{{ choice.landing }}</div>
            <div class="sentence">{{ choice.sentence }}</div>
          </div>
        </div>
      </ng-template>
    </iu-pick>
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
    .kind-choice {
      display: grid;
      grid-template-columns: 14px 1fr;
      align-items: baseline;
      gap: 4px;
      white-space: normal;
    }
    .landing,
    .sentence {
      color: var(--ink-2);
      font-size: 12px;
    }
  `,
})
export class KindChoiceComponent {
  readonly kind = input.required<KindCode>();
  /** Kinds of this element come first. */
  readonly near = input<Element | null>(null);
  readonly inputId = input<string>();
  readonly chosen = output<KindCode>();

  protected readonly options = computed(() => {
    const near = this.near();
    const own = allOptions().filter(({ element }) => element === near);
    return [...own, ...allOptions().filter(({ element }) => element !== near)];
  });
}
