import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  input,
  linkedSignal,
  output,
} from '@angular/core';
import {
  formatAmount,
  LINE_SOURCES,
  readTypedAmount,
  ROUTE_LIMITS,
  type LineSource,
  type WordRule,
} from '@iunctus/core';
import { OneOfComponent, type OneOf } from '../../shared/components/one-of.component';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';
import { takeKeyboard } from '../../shared/components/take-keyboard';
import { TextFieldComponent } from '../../shared/components/text-field.component';
import { LINE_SOURCE_WORDS } from '../../shared/words/route-words';
import { AccountChoiceComponent } from '../../workspace/components/account-choice.component';
import { BooksReader } from '../../workspace/model/books-reader';
import { ClientRoutes } from '../../workspace/model/client-routes';

/** A bound of the amount as it is typed: empty for none. */
const readBound = (text: string, currency: string): number | null | undefined =>
  text.trim() === '' ? null : (readTypedAmount(text, currency) ?? undefined);

/** A rule by words, as it is typed. */
@Component({
  selector: 'iu-rule-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AccountChoiceComponent, OneOfComponent, PickComponent, TextFieldComponent],
  templateUrl: './rule-form.component.html',
  styleUrl: './rule-form.component.css',
})
export class RuleFormComponent {
  protected readonly reader = inject(BooksReader);
  protected readonly client = inject(ClientRoutes);
  readonly rule = input.required<WordRule>();
  readonly changed = output<WordRule>();
  readonly keep = output<WordRule>();
  readonly leave = output();

  protected readonly most = ROUTE_LIMITS.words;
  protected readonly hows: readonly OneOf<WordRule['how']>[] = [
    { value: 'contains', words: $localize`Contains` },
    { value: 'starts', words: $localize`Starts with` },
  ];
  protected readonly signs: readonly OneOf<'in' | 'out' | 'both'>[] = [
    { value: 'both', words: $localize`In or out` },
    { value: 'in', words: $localize`Money in` },
    { value: 'out', words: $localize`Money out` },
  ];
  protected readonly sources: readonly OneOf<LineSource | 'all'>[] = [
    { value: 'all', words: $localize`Any source` },
    ...LINE_SOURCES.map((value) => ({ value, words: LINE_SOURCE_WORDS[value] })),
  ];
  protected readonly taxes = computed<readonly PickOption[]>(() => [
    { value: '', words: $localize`No sales tax` },
    ...this.client.routes().taxCodes.map(({ id, content }) => ({
      value: id,
      words: `${content.name}, ${content.rate} %`,
    })),
  ]);
  protected readonly typed = linkedSignal(() => this.rule());
  protected readonly sign = computed<'in' | 'out' | 'both'>(() => this.typed().sign ?? 'both');
  protected readonly source = computed<LineSource | 'all'>(() => this.typed().source ?? 'all');
  protected readonly least = linkedSignal(() => this.written(this.rule().least));
  protected readonly mostAmount = linkedSignal(() => this.written(this.rule().most));
  private readonly bounds = computed(() => {
    const currency = this.reader.currency();
    return {
      least: readBound(this.least(), currency),
      most: readBound(this.mostAmount(), currency),
    };
  });
  protected readonly whole = computed<WordRule | null>(() => {
    const { least, most } = this.bounds();
    if (least === undefined || most === undefined) return null;
    return { ...this.typed(), least, most };
  });
  /** What is wrong with it; empty when it can be kept. */
  protected readonly wrong = computed(() => {
    const { least, most } = this.bounds();
    if (least === undefined || most === undefined)
      return $localize`An amount cannot be read. Write it as 12.50, or leave it empty.`;
    if (least !== null && most !== null && least > most)
      return $localize`The least amount is more than the most.`;
    if (this.typed().words.trim() === '') return $localize`Say which words it looks for.`;
    return this.typed().accountId === '' ? $localize`Say which account it goes to.` : '';
  });

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    afterNextRender(() => takeKeyboard(host, '.words input'));
    effect(() => {
      const rule = this.whole();
      if (rule !== null) this.changed.emit(rule);
    });
  }

  private written(amount: number | null): string {
    return amount === null ? '' : formatAmount(amount, { currency: this.reader.currency() });
  }

  protected change(more: Partial<WordRule>): void {
    this.typed.update((rule) => ({ ...rule, ...more }));
  }

  protected chooseSign(sign: 'in' | 'out' | 'both'): void {
    this.change({ sign: sign === 'both' ? null : sign });
  }

  protected chooseSource(source: LineSource | 'all'): void {
    this.change({ source: source === 'all' ? null : source });
  }

  protected done(): void {
    const rule = this.whole();
    if (rule !== null && this.wrong() === '') this.keep.emit(rule);
  }
}
