import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { KIND_CODES, KINDS, type KindCode, type NumberRange } from '@iunctus/core';
import { MultiSelect } from 'primeng/multiselect';
import { ELEMENT_WORDS } from '../../shared/words/statement-words';
import { rangeKindWords } from '../../shared/words/number-words';
import { NumbersModel } from '../model/numbers-model';
import { terms } from '../../shared/words/terms';

interface KindOption {
  readonly code: KindCode;
  readonly name: string;
}

const options = (): KindOption[] =>
  KIND_CODES.map((code) => ({
    code,
    name: `${terms().kinds[code]} (${ELEMENT_WORDS[KINDS[code].element].toLowerCase()})`,
  }));

/** How dark a part of the picture is: in use at all is seen, full is darkest. */
const shade = (count: number, room: number): number =>
  count === 0 ? 0 : Math.min(1, 0.45 + 0.55 * (count / Math.max(room, 1)));

/** The ranges of a plan: which numbers, for which kinds, and how full each is. */
@Component({
  selector: 'iu-ranges-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, MultiSelect],
  templateUrl: './ranges-table.component.html',
  styleUrl: './ranges-table.component.css',
})
export class RangesTableComponent {
  protected readonly numbers = inject(NumbersModel);
  protected readonly options = computed(options);
  protected readonly rows = computed(() =>
    this.numbers.fills().map(({ range, used, size, parts }, index) => ({
      index,
      range,
      kinds: [...range.kinds],
      kindWords: rangeKindWords(range),
      use: `${used.toLocaleString('en-US')} of ${size.toLocaleString('en-US')}`,
      parts: parts.map((count) => shade(count, size / parts.length)),
    })),
  );

  protected set(index: number, change: Partial<NumberRange>): void {
    const ranges = this.numbers
      .plan()
      .ranges.map((range, at) => (at === index ? { ...range, ...change } : range));
    this.numbers.change({ ranges });
  }

  protected setBound(index: number, bound: 'first' | 'last', value: number | null): void {
    this.set(index, { [bound]: value ?? 0 });
  }

  /** A kind stands in one range: it leaves the one where it stood. */
  protected setKinds(index: number, kinds: readonly KindCode[]): void {
    const ranges = this.numbers.plan().ranges.map((range, at) => ({
      ...range,
      kinds: at === index ? kinds : range.kinds.filter((kind) => !kinds.includes(kind)),
    }));
    this.numbers.change({ ranges });
  }

  protected add(): void {
    const { ranges, digits } = this.numbers.plan();
    const first = Math.max(-1, ...ranges.map(({ last }) => last)) + 1;
    const last = Math.max(first, 10 ** digits - 1);
    this.numbers.change({ ranges: [...ranges, { name: '', first, last, kinds: [] }] });
  }

  protected remove(index: number): void {
    const ranges = this.numbers.plan().ranges.filter((_range, at) => at !== index);
    this.numbers.change({ ranges });
  }
}
