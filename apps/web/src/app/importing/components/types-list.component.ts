import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { KINDS, type ImportRow, type KindCode } from '@iunctus/core';
import { KindChoiceComponent } from '../../workspace/components/kind-choice.component';
import { ELEMENT_WORDS } from '../../shared/words/statement-words';
import { ImportDraft } from '../model/import-draft';

interface ListedType {
  readonly text: string;
  readonly count: number;
  /** The kind that most rows of the type have. */
  readonly kind: KindCode;
  readonly words: string;
}

const commonest = (kinds: ReadonlyMap<KindCode, number>): KindCode =>
  [...kinds].reduce((a, b) => (b[1] > a[1] ? b : a))[0];

const wordsFor = (kinds: ReadonlyMap<KindCode, number>): string => {
  if (kinds.size === 1) return $localize`one kind`;
  const elements = new Set([...kinds.keys()].map((kind) => ELEMENT_WORDS[KINDS[kind].element]));
  return $localize`${kinds.size} kinds of ${[...elements].join(', ').toLowerCase()}, by name and place`;
};

/** What the types of the list, in its own words, are taken for; one choice goes for all of a type. */
@Component({
  selector: 'iu-types-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [KindChoiceComponent],
  template: `
    <p i18n class="muted">
      What the list calls a type, and the kind that stands for it here. A choice goes for every line
      of that type.
    </p>
    <ul>
      @for (type of types(); track type.text) {
        <li>
          <span
            ><strong>{{ type.text }}</strong>
            <span i18n class="muted"
              >{{ type.count }} {type.count, plural, =1 {line} other {lines}}</span
            >
          </span>
          <iu-kind-choice [kind]="type.kind" (chosen)="draft.chooseType(type.text, $event)" />
          <span class="muted">{{ type.words }}</span>
        </li>
      }
    </ul>
  `,
  styles: `
    li > span:first-child {
      display: flex;
      justify-content: space-between;
      gap: 12px;
    }
  `,
  styleUrl: './part-list.css',
})
export class TypesListComponent {
  protected readonly draft = inject(ImportDraft);
  readonly rows = input.required<readonly ImportRow[]>();

  protected readonly types = computed<readonly ListedType[]>(() => {
    const kinds = new Map<string, Map<KindCode, number>>();
    for (const { entry, kind, made } of this.rows()) {
      if (entry.type === null || kind === null || made) continue;
      const counts = kinds.get(entry.type) ?? new Map<KindCode, number>();
      kinds.set(entry.type, counts.set(kind.kind, (counts.get(kind.kind) ?? 0) + 1));
    }
    return [...kinds].map(([text, counts]) => ({
      text,
      count: [...counts.values()].reduce((sum, count) => sum + count, 0),
      kind: commonest(counts),
      words: wordsFor(counts),
    }));
  });
}
