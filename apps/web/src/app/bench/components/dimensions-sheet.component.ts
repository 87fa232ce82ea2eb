import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  Injector,
  signal,
} from '@angular/core';
import {
  cleanName,
  USUAL_DIMENSIONS,
  type Dimension,
  type DimensionValue,
  type Refusal,
} from '@iunctus/core';
import { InputText } from 'primeng/inputtext';
import { refusalWords } from '../../shared/words/refusal-words';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { SheetComponent } from './sheet.component';

/** From so many values on, a dimension serves better than a sub-account for each. Common practice, no source. */
const MANY = 6;

/** The chart's dimensions and their values. Every change goes into the proposal at once. */
@Component({
  selector: 'iu-dimensions-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [InputText, SheetComponent],
  templateUrl: './dimensions-sheet.component.html',
  styleUrl: './dimensions-sheet.component.css',
})
export class DimensionsSheetComponent {
  private readonly proposed = inject(ProposedChart);
  private readonly injector = inject(Injector);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly refusal = signal<Refusal | null>(null);
  protected readonly many = MANY;

  protected readonly dimensions = computed(() => this.proposed.chart().settings.dimensions);
  protected readonly offered = computed(() => {
    const taken = new Set(this.dimensions().map(({ name }) => name.toLowerCase()));
    return USUAL_DIMENSIONS.filter((name) => !taken.has(name.toLowerCase()));
  });
  /** Gifts for one purpose are those of non-profits. */
  protected readonly restrictable = computed(
    () => this.proposed.client()?.legalForm === 'nonProfit',
  );
  protected readonly refusalText = computed(() => {
    const refusal = this.refusal();
    return refusal === null
      ? ''
      : refusalWords(refusal, this.proposed.chart(), this.proposed.base());
  });

  protected add(name: string): void {
    const id = crypto.randomUUID();
    const afterId = this.dimensions().at(-1)?.id ?? null;
    this.propose(id, { id, name: cleanName(name), values: [] }, afterId);
    if (this.refusal() === null)
      afterNextRender(() => this.focusLast('.add-value'), { injector: this.injector });
  }

  protected addTyped(field: HTMLInputElement): void {
    if (field.value.trim() === '') return;
    this.add(field.value);
    if (this.refusal() === null) field.value = '';
  }

  protected rename(dimension: Dimension, typed: Event): void {
    const name = cleanName((typed.target as HTMLInputElement).value);
    if (name !== dimension.name) this.propose(dimension.id, { ...dimension, name });
  }

  protected remove({ id }: Dimension): void {
    this.propose(id, null);
  }

  /** Adds what was typed or pasted, a value a line. */
  protected addValues(dimension: Dimension, field: HTMLTextAreaElement): void {
    const names = field.value
      .split('\n')
      .map(cleanName)
      .filter((name) => name !== '');
    if (names.length === 0) return;
    const values = names.map((name) => ({ id: crypto.randomUUID(), name }));
    this.propose(dimension.id, { ...dimension, values: [...dimension.values, ...values] });
    if (this.refusal() === null) field.value = '';
  }

  /** Enter adds; with Shift it begins another line. */
  protected onEnter(event: Event, dimension: Dimension, field: HTMLTextAreaElement): void {
    if (event instanceof KeyboardEvent && event.shiftKey) return;
    event.preventDefault();
    this.addValues(dimension, field);
  }

  protected renameValue(dimension: Dimension, valueId: string, typed: Event): void {
    const name = cleanName((typed.target as HTMLInputElement).value);
    const values = dimension.values.map((value) =>
      value.id === valueId ? { ...value, name } : value,
    );
    this.propose(dimension.id, { ...dimension, values });
  }

  /** Says that what carries a value is restricted by its giver, or that it is not. */
  protected restrict(dimension: Dimension, valueId: string): void {
    const turned = ({ restricted, ...value }: DimensionValue): DimensionValue =>
      restricted === true ? value : { ...value, restricted: true };
    const values = dimension.values.map((value) => (value.id === valueId ? turned(value) : value));
    this.propose(dimension.id, { ...dimension, values });
  }

  protected removeValue(dimension: Dimension, valueId: string): void {
    const values = dimension.values.filter((value) => value.id !== valueId);
    this.propose(dimension.id, { ...dimension, values });
  }

  private propose(id: string, dimension: Dimension | null, afterId: string | null = null): void {
    this.refusal.set(this.proposed.propose([{ type: 'setDimension', id, dimension, afterId }]));
  }

  private focusLast(selector: string): void {
    [...this.host.querySelectorAll<HTMLElement>(selector)].at(-1)?.focus();
  }
}
