import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { SEVERITY_NAMES, type ListFinding } from '@iunctus/core';

/** What Tidy would find once the list is in the chart, with the lines that it concerns. */
@Component({
  selector: 'iu-found-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p i18n class="muted">
      What Tidy would find once this list is in your chart. It can be put right there, or in the
      lines before.
    </p>
    @if (findings(); as all) {
      @if (all.length === 0) {
        <p i18n>Nothing: the list is tidy.</p>
      }
      <ul>
        @for (one of all; track $index) {
          <li>
            <b [class]="one.severity">{{ names[one.severity] }}</b>
            <span dir="auto">
              {{ one.says }} <small class="muted">{{ one.why }}</small>
            </span>
            <span class="muted">{{ lines()[$index] }}</span>
          </li>
        }
      </ul>
    } @else {
      <p i18n class="muted">Looking the list through …</p>
    }
  `,
  styles: `
    li {
      grid-template-columns: 130px minmax(0, 1fr) 140px;
    }
    small {
      display: block;
    }
    .wrong {
      color: var(--bad);
    }
    .doubtful {
      color: var(--amber-ink);
    }
    .couldBeNeater {
      font-weight: 400;
    }
  `,
  styleUrl: './part-list.css',
})
export class FoundListComponent {
  readonly findings = input.required<readonly ListFinding[] | null>();
  protected readonly names = SEVERITY_NAMES;
  /** The lines of each, the first ones by number. */
  protected readonly lines = computed(() =>
    (this.findings() ?? []).map(({ lines }) => {
      if (lines.length === 0) return '';
      const more = lines.length > 4 ? ' …' : '';
      return lines.length === 1
        ? $localize`line ${lines[0] ?? ''}:line:`
        : $localize`lines ${lines.slice(0, 4).join(', ') + more}:lines:`;
    }),
  );
}
