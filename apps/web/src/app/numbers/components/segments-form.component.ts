import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { FormsModule } from '@angular/forms';
import type { Segment } from '@iunctus/core';
import { OneOfComponent } from '../../shared/components/one-of.component';
import { NumbersModel, withSegment } from '../model/numbers-model';

/** What sets a segment off from the number before it. */
const SEPARATORS = ['-', '.', '/'].map((value) => ({ value, words: value }));

/** What stands behind each number: a location, a department. */
@Component({
  selector: 'iu-segments-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, OneOfComponent],
  template: `
    @for (segment of numbers.plan().segments; track $index) {
      <div class="segment">
        <label class="field"
          ><span i18n>Segment</span>
          <input
            class="text"
            i18n-placeholder
            placeholder="Location"
            [ngModel]="segment.name"
            (ngModelChange)="set($index, { name: $event })"
        /></label>
        <label class="field"
          ><span i18n>Values</span>
          <input
            class="text"
            placeholder="01, 02, 03"
            [ngModel]="segment.values.join(', ')"
            [ngModelOptions]="{ updateOn: 'blur' }"
            (ngModelChange)="setValues($index, $event)"
        /></label>
        <button i18n class="button quiet small" type="button" (click)="remove($index)">
          Remove
        </button>
      </div>
    }
    <div class="more">
      <button i18n class="button quiet small" type="button" (click)="add('Location')">
        Add a location
      </button>
      <button i18n class="button quiet small" type="button" (click)="add('Department')">
        Add a department
      </button>
      @if (numbers.plan().segments.length > 0) {
        <span i18n class="muted">set off by</span>
        <iu-one-of
          label="Set off by"
          i18n-label
          [options]="separators"
          [chosen]="numbers.plan().separator"
          (choose)="numbers.change({ separator: $event })"
        />
      }
    </div>
  `,
  styles: `
    .segment {
      display: grid;
      grid-template-columns: 150px 1fr auto;
      align-items: end;
      gap: 10px;
      margin-top: 8px;
    }
    .more {
      display: flex;
      align-items: center;
      gap: 4px;
      margin-top: 4px;
    }
  `,
})
export class SegmentsFormComponent {
  protected readonly numbers = inject(NumbersModel);
  protected readonly separators = SEPARATORS;

  protected add(name: string): void {
    this.numbers.plan.update((plan) => withSegment(plan, name));
  }

  protected set(index: number, change: Partial<Segment>): void {
    const segments = this.numbers
      .plan()
      .segments.map((segment, at) => (at === index ? { ...segment, ...change } : segment));
    this.numbers.change({ segments });
  }

  /** The width is that of the first value; the others must have it too. */
  protected setValues(index: number, text: string): void {
    const values = text.split(/[\s,;]+/).filter((value) => value !== '');
    this.set(index, { values, width: values[0]?.length ?? 1 });
  }

  protected remove(index: number): void {
    const segments = this.numbers.plan().segments.filter((_segment, at) => at !== index);
    this.numbers.change({ segments });
  }
}
