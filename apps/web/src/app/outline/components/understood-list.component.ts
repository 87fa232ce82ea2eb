import {
  CdkFixedSizeVirtualScroll,
  CdkVirtualForOf,
  CdkVirtualScrollViewport,
} from '@angular/cdk/scrolling';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  viewChild,
} from '@angular/core';
import { KINDS, type OutlineLine } from '@iunctus/core';
import { isGuess } from '../model/is-guess';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { ElementMarkComponent } from '../../shared/components/element-mark.component';
import {
  nearNumberWords,
  outlineProblemWords,
  reasonWords,
} from '../../shared/words/outline-words';
import { ELEMENT_WORDS } from '../../shared/words/statement-words';

/** Height of a line of the outline, in pixels; the text field has the same. */
const OUTLINE_LINE_HEIGHT = 24;

interface Row {
  readonly index: number;
  readonly line: OutlineLine | null;
}

/** What was understood, each account beside the line where it was typed. */
@Component({
  selector: 'iu-understood-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    CdkFixedSizeVirtualScroll,
    CdkVirtualForOf,
    CdkVirtualScrollViewport,
    ElementMarkComponent,
  ],
  template: `
    <cdk-virtual-scroll-viewport
      [itemSize]="lineHeight"
      i18n-aria-label
      aria-label="What was understood"
      role="list"
    >
      <div *cdkVirtualFor="let row of rows(); trackBy: trackRow" class="line" role="listitem">
        @if (row.line; as line) {
          @if (line.entry.band; as band) {
            <span class="number"></span>
            <b class="band">{{ elementWords[band] }}</b>
          } @else if (line.account; as account) {
            <span class="number">{{ account.number }}</span>
            <span
              class="name"
              [class.heading]="account.role === 'heading'"
              [style.padding-left.px]="(line.level - 1) * 16"
              >{{ account.name }}</span
            >
            @if (problem(line); as words) {
              <span class="problem" [title]="words">{{ words }}</span>
            } @else if (nearNumber(line); as words) {
              <b class="near" [title]="words">{{ words }}</b>
            } @else {
              <span class="kind" [class.doubtful]="doubtful(line)">
                <iu-element-mark [element]="kinds[account.kind].element" />
                {{ kinds[account.kind].name }}
                @if (reason(line); as words) {
                  <i>{{ words }}</i>
                }
              </span>
            }
          }
        }
      </div>
    </cdk-virtual-scroll-viewport>
  `,
  styles: `
    :host {
      display: block;
      min-height: 0;
      height: 100%;
    }
    cdk-virtual-scroll-viewport {
      height: 100%;
    }
    .line {
      display: grid;
      grid-template-columns: 64px minmax(0, 1fr) minmax(0, 1fr);
      align-items: center;
      gap: 8px;
      height: 24px;
      padding: 0 12px;
      border-bottom: 1px solid var(--rule-soft);
      white-space: nowrap;
    }
    .number {
      color: var(--ink-2);
    }
    .band {
      font-family: var(--serif);
    }
    .heading {
      font-weight: 600;
    }
    .name,
    .kind,
    .near,
    .problem {
      overflow: hidden;
      text-overflow: ellipsis;
    }
    i {
      color: var(--ink-2);
      font-size: 12px;
      font-style: normal;
    }
    .doubtful {
      color: var(--amber-ink);
    }
    .near {
      color: var(--amber-ink);
    }
    .problem {
      color: var(--bad);
      font-weight: 600;
    }
  `,
})
export class UnderstoodListComponent {
  private readonly proposed = inject(ProposedChart);
  private readonly viewport = viewChild.required(CdkVirtualScrollViewport);
  readonly lines = input.required<readonly OutlineLine[]>();
  /** How many lines the text has, empty ones included. */
  readonly count = input.required<number>();
  /** How far the text is scrolled, in pixels. */
  readonly scrolled = input.required<number>();

  protected readonly lineHeight = OUTLINE_LINE_HEIGHT;
  protected readonly kinds = KINDS;
  protected readonly elementWords = ELEMENT_WORDS;
  protected readonly rows = computed<readonly Row[]>(() => {
    const byLine = new Map(this.lines().map((line) => [line.entry.line, line]));
    return Array.from({ length: this.count() }, (_, index) => ({
      index,
      line: byLine.get(index + 1) ?? null,
    }));
  });

  constructor() {
    effect(() => this.viewport().scrollToOffset(this.scrolled()));
  }

  protected trackRow = (_index: number, row: Row): number => row.index;

  protected problem({ problem }: OutlineLine): string | null {
    return problem === null ? null : outlineProblemWords(problem, this.proposed.chart());
  }

  protected nearNumber({ entry }: OutlineLine): string | null {
    return entry.nearNumber === null ? null : nearNumberWords(entry.nearNumber);
  }

  protected readonly doubtful = isGuess;

  protected reason({ guess }: OutlineLine): string | null {
    return guess === null ? null : reasonWords(guess.reason);
  }
}
