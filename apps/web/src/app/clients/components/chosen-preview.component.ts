import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { applyAll, emptyChart, KINDS, visibleRows, type Operation, type View } from '@iunctus/core';
import { ElementMarkComponent } from '../../shared/components/element-mark.component';
import { terms } from '../../shared/words/terms';

const ALL: View = {
  depth: Infinity,
  opened: new Set(),
  closed: new Set(),
  filter: '',
  also: new Map(),
};

/** The accounts that a chosen chart would give, as they would stand. */
@Component({
  selector: 'iu-chosen-preview',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ElementMarkComponent],
  template: `
    @for (row of rows(); track row.id) {
      <div class="line" [class.heading]="row.heading">
        <span class="no">{{ row.number }}</span>
        <span class="name" dir="auto" [style.padding-left.px]="(row.level - 1) * 16">
          {{ row.name }}
        </span>
        <span class="landing">
          @if (!row.heading) {
            <iu-element-mark [element]="row.element" /> {{ row.landing }}
          }
        </span>
      </div>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .line {
      display: grid;
      grid-template-columns: 64px minmax(0, 1fr) minmax(0, 1fr);
      gap: 8px;
      padding: 4px 0;
      border-bottom: 1px solid var(--rule-soft);
    }
    .heading {
      font-weight: 600;
    }
    .no,
    .landing {
      color: var(--ink-2);
    }
  `,
})
export class ChosenPreviewComponent {
  readonly operations = input.required<readonly Operation[]>();

  protected readonly rows = computed(() => {
    const outcome = applyAll(emptyChart(), this.operations());
    const chart = outcome.ok ? outcome.chart : emptyChart();
    return visibleRows(chart, ALL).flatMap((row) => {
      if (row.type !== 'account') return [];
      const { id, number, name, kind, role } = row.node.account;
      const { element } = KINDS[kind];
      const heading = role === 'heading';
      return [
        { id, number, name, level: row.level, heading, element, landing: terms().kinds[kind] },
      ];
    });
  });
}
