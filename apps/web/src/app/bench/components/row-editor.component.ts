import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  Injector,
  input,
  linkedSignal,
  output,
  viewChild,
} from '@angular/core';
import {
  childrenOf,
  kindAcross,
  eachNode,
  KINDS,
  lastBeforeContra,
  nodeOf,
  NUMBER_LIMIT,
  suggestNumber,
  TEXT_LIMITS,
  type AccountId,
  type Chart,
  type KindCode,
} from '@iunctus/core';
import { altChoice } from '../../shared/components/alt-choice';
import { withInferredKind, type Draft } from '../model/draft';
import { KindJudge } from '../model/kind-judge';
import { AccountChoiceComponent } from '../../workspace/components/account-choice.component';
import { KindChoiceComponent } from '../../workspace/components/kind-choice.component';

/** A row while it is edited or added: number, name, kind and parent. */
@Component({
  selector: 'iu-row-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AccountChoiceComponent, KindChoiceComponent],
  template: `
    <input
      class="number"
      i18n-aria-label
      aria-label="Number"
      autocomplete="off"
      [attr.maxlength]="limits.number"
      [value]="draft().number"
      (input)="edit({ number: typed($event) }); numberTyped = true"
    />
    <input
      #name
      class="name"
      i18n-aria-label
      aria-label="Name"
      autocomplete="off"
      dir="auto"
      [attr.maxlength]="limits.name"
      [placeholder]="draft().adding ? newName : ''"
      [value]="draft().name"
      (input)="nameTyped(typed($event))"
    />
    <iu-account-choice
      i18n-label
      label="Under"
      [chart]="chart()"
      [accountId]="draft().parentId"
      [except]="ownBranch()"
      (chosen)="chooseParent($event)"
    />
    <iu-kind-choice [kind]="draft().kind" [near]="element()" (chosen)="chooseKind($event)" />
  `,
  styleUrl: './row-editor.component.css',
  host: {
    '(keydown)': 'onKey($event)',
  },
})
export class RowEditorComponent {
  protected readonly newName = $localize`Name of the new account`;
  readonly start = input.required<Draft>();
  readonly chart = input.required<Chart>();
  readonly changed = output<Draft>();
  readonly accepted = output<Draft>();
  readonly left = output();

  protected readonly draft = linkedSignal(() => this.start());
  protected readonly element = computed(() => KINDS[this.draft().kind].element);
  protected readonly ownBranch = computed(() => {
    const node = nodeOf(this.chart(), this.draft().id);
    const nodes = node === undefined ? [] : [...eachNode([node])];
    return new Set(nodes.map(({ account }) => account.id));
  });
  protected readonly limits = { number: NUMBER_LIMIT, name: TEXT_LIMITS.name };
  protected numberTyped = false;
  private kindChosen = false;
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly judge = inject(KindJudge);
  private readonly name = viewChild.required<ElementRef<HTMLInputElement>>('name');

  constructor() {
    void this.judge.fetch();
    // Ahead of the lists of choices, which keep Tab to themselves.
    this.host.addEventListener('keydown', (event) => this.stayWithin(event), { capture: true });
    afterNextRender(
      () => {
        const { nativeElement } = this.name();
        nativeElement.focus();
        nativeElement.select();
      },
      { injector: inject(Injector) },
    );
  }

  protected typed(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected edit(change: Partial<Draft>): void {
    this.draft.update((draft) => ({ ...draft, ...change }));
    this.changed.emit(this.draft());
  }

  /** A new account's name says its kind, until a kind is chosen. */
  protected nameTyped(name: string): void {
    const draft = { ...this.draft(), name };
    const open = draft.adding !== null && !this.kindChosen;
    if (!open) return this.edit({ name });
    const { parentId, number, adding } = draft;
    const usual = this.start().kind;
    const { element } = KINDS[usual];
    const asked = {
      ...{ name, element, parentId, afterId: adding?.afterId ?? null },
      number: number === '' ? null : number,
    };
    this.edit(withInferredKind(draft, usual, this.judge.guesses(this.chart(), asked)));
  }

  protected chooseKind(kind: KindCode): void {
    this.kindChosen = true;
    this.edit({ kind, inferred: null, others: [] });
  }

  protected chooseParent(parentId: AccountId | null): void {
    const { adding, id } = this.draft();
    // Under a parent of another element it takes a kind of that one; the strip says what this moves.
    const kind = kindAcross(this.chart(), this.draft().kind, parentId);
    const siblings = childrenOf(this.chart(), parentId).filter(({ account }) => account.id !== id);
    const afterId = lastBeforeContra(siblings);
    const number = suggestNumber(this.chart(), {
      parentId,
      afterId,
      kind,
    });
    const renumbered = !this.numberTyped && number.ok ? { number: number.number } : {};
    this.edit({
      parentId,
      kind,
      ...renumbered,
      ...(adding === null ? {} : { adding: { afterId, number } }),
    });
  }

  protected onKey(event: KeyboardEvent): void {
    event.stopPropagation();
    const other = this.draft().others[altChoice(event) ?? -1];
    if (other !== undefined) {
      event.preventDefault();
      this.chooseKind(other);
    } else if (event.key === 'Escape') {
      event.preventDefault();
      this.left.emit();
    } else if (event.key === 'Enter' && !event.defaultPrevented) {
      event.preventDefault();
      this.accepted.emit(this.draft());
    }
  }

  /** Tab goes round the fields of the row, until it is kept or left. */
  private stayWithin(event: KeyboardEvent): void {
    if (event.key !== 'Tab') return;
    const fields = [...this.host.querySelectorAll<HTMLElement>('input')];
    const [from, to] = event.shiftKey ? [fields[0], fields.at(-1)] : [fields.at(-1), fields[0]];
    if (event.target !== from) return;
    event.preventDefault();
    // Once the list of the field that is left has taken what was typed.
    queueMicrotask(() => to?.focus());
  }
}
