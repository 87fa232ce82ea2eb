import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { Dimension, DimensionUse } from '@iunctus/core';
import { PickComponent } from '../../../shared/components/pick.component';

/** What an account asks of its postings in each dimension: nothing, a value, or that there be one. */
@Component({
  selector: 'iu-dimension-setting',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PickComponent],
  template: `
    @for (row of rows(); track row.dimension.id) {
      <div class="row">
        <iu-pick
          labelled
          [label]="row.dimension.name"
          [options]="row.values"
          [picked]="row.use?.valueId ?? ''"
          (chosen)="choose(row.dimension.id, $event)"
        />
        <label i18n class="demanded">
          <input
            type="checkbox"
            [checked]="row.use?.demanded ?? false"
            (change)="demand(row.dimension.id, $event)"
          />
          demanded
        </label>
        @if (row.use !== undefined && row.dimension.values.length > 0) {
          <button
            class="button quiet small apart"
            type="button"
            (click)="apart.emit(row.dimension.id)"
          >
            <ng-container i18n>{{ row.dimension.values.length }} sub-accounts instead</ng-container
            ><span i18n class="visually-hidden"> of {{ row.dimension.name }}</span>
          </button>
        }
      </div>
    } @empty {
      <p i18n class="muted">
        This chart has no dimensions yet. A dimension tells postings apart without an account for
        each: by market, department, fund, location or project.
      </p>
    }
    <button i18n class="button small" type="button" (click)="define.emit()">
      @if (dimensions().length === 0) {
        Define a dimension
      } @else {
        Dimensions and their values
      }
    </button>
  `,
  styles: `
    :host {
      display: grid;
      gap: 10px;
      justify-items: start;
    }
    .row {
      display: grid;
      grid-template-columns: 1fr auto;
      align-items: end;
      gap: 14px;
      width: 100%;
    }
    .apart {
      grid-column: 1 / -1;
      justify-self: start;
    }
    .demanded {
      display: flex;
      align-items: center;
      gap: 6px;
      padding-bottom: 6px;
    }
  `,
})
export class DimensionSettingComponent {
  readonly dimensions = input.required<readonly Dimension[]>();
  readonly uses = input.required<readonly DimensionUse[]>();
  /** `null` when nothing is asked any more. */
  readonly changed = output<readonly DimensionUse[] | null>();
  readonly define = output();
  /** A dimension whose values are to be sub-accounts instead, by its id. */
  readonly apart = output<string>();

  protected readonly rows = computed(() =>
    this.dimensions().map((dimension) => ({
      dimension,
      values: [
        { value: '', words: $localize`No default` },
        ...dimension.values.map(({ id, name }) => ({ value: id, words: name })),
      ],
      use: this.uses().find(({ dimensionId }) => dimensionId === dimension.id),
    })),
  );

  protected choose(dimensionId: string, value: string): void {
    this.put(dimensionId, { valueId: value === '' ? null : value });
  }

  protected demand(dimensionId: string, event: Event): void {
    this.put(dimensionId, { demanded: (event.target as HTMLInputElement).checked });
  }

  private put(dimensionId: string, change: Partial<DimensionUse>): void {
    const former = this.uses().find((use) => use.dimensionId === dimensionId);
    const use = { dimensionId, valueId: null, demanded: false, ...former, ...change };
    const others = this.uses().filter((one) => one.dimensionId !== dimensionId);
    const asks = use.valueId !== null || use.demanded;
    const uses = asks ? [...others, use] : others;
    this.changed.emit(uses.length === 0 ? null : uses);
  }
}
