import {
  CdkFixedSizeVirtualScroll,
  CdkVirtualForOf,
  CdkVirtualScrollViewport,
} from '@angular/cdk/scrolling';
import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  effect,
  inject,
  input,
  model,
  output,
  viewChild,
} from '@angular/core';
import { isOnOddSide, KINDS, titleOf } from '@iunctus/core';
import { ElementMarkComponent } from '../../shared/components/element-mark.component';
import { kindReasonWords, rowWords, type ChangeContext } from '../../shared/words/import-words';
import { refusalWords } from '../../shared/words/refusal-words';
import { ProposedChart } from '../../workspace/model/proposed-chart';
import { isDoubtful, type ShownLine } from '../model/row-filter';

const ROW_HEIGHT = 28;
const FATE_WORDS = {
  leave: $localize`Stays as it is`,
  retire: $localize`Is retired`,
  delete: $localize`Is deleted`,
} as const;

/** The list lined up with the chart, a line each; arrows move, digits choose a likely kind, Enter goes to what can be done. */
@Component({
  selector: 'iu-lined-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    CdkFixedSizeVirtualScroll,
    CdkVirtualForOf,
    CdkVirtualScrollViewport,
    ElementMarkComponent,
  ],
  template: `
    @if (lines().length === 0) {
      <p class="none">{{ noneWords() }}</p>
    }
    <cdk-virtual-scroll-viewport
      [itemSize]="rowHeight"
      role="listbox"
      i18n-aria-label
      aria-label="Lines"
      tabindex="0"
      [attr.aria-activedescendant]="selected() === null ? null : 'line-' + selected()"
      (keydown)="onKey($event)"
    >
      <div
        *cdkVirtualFor="let line of lines(); trackBy: trackLine"
        class="line"
        role="option"
        [id]="'line-' + line.key"
        [class.on]="line.key === selected()"
        [attr.aria-selected]="line.key === selected()"
        (click)="selected.set(line.key)"
      >
        @if (line.type === 'row') {
          <span class="no">{{ line.row.made ? '' : line.row.entry.line }}</span>
          <span class="number">{{ line.row.number }}</span>
          <span
            class="name"
            [class.heading]="line.row.role === 'heading'"
            [style.padding-left.px]="(line.row.level - 1) * 14"
            >{{ line.row.entry.name }}</span
          >
          <span class="kind" [class.doubtful]="doubtful(line)">
            @if (line.row.kind; as kind) {
              <iu-element-mark [element]="kinds[kind.kind].element" />
              {{ kinds[kind.kind].name }}
              @if (line.row.status === 'new') {
                <i [title]="reasonWords(kind.reason)"
                  >{{ doubt(line) }}{{ reasonWords(kind.reason) }}</i
                >
              }
            }
          </span>
          <span
            class="what"
            [class.bad]="line.row.status === 'wrong'"
            [class.ask]="line.row.status === 'question'"
            [class.quiet]="quiet(line)"
            [title]="what(line)"
            >{{ what(line) }}</span
          >
        } @else {
          <span class="no"></span>
          <span class="number">{{ line.missing.account.number }}</span>
          <span class="name">{{ line.missing.account.name }}</span>
          <span class="kind">
            <iu-element-mark [element]="kinds[line.missing.account.kind].element" />
            {{ kinds[line.missing.account.kind].name }}
          </span>
          <span
            class="what"
            [class.bad]="line.missing.refusal !== null"
            [class.quiet]="line.missing.fate === 'leave'"
            [title]="what(line)"
            >{{ what(line) }}</span
          >
        }
      </div>
    </cdk-virtual-scroll-viewport>
  `,
  styles: `
    :host {
      position: relative;
    }
    :host,
    cdk-virtual-scroll-viewport {
      display: block;
      height: 100%;
      min-height: 0;
    }
    .none {
      position: absolute;
      padding: 18px;
      color: var(--ink-2);
    }
    .line {
      display: grid;
      grid-template-columns: 40px 62px minmax(0, 7fr) minmax(0, 13fr) minmax(0, 9fr);
      align-items: center;
      gap: 10px;
      height: 28px;
      padding: 0 12px;
      border-bottom: 1px solid var(--rule-soft);
      white-space: nowrap;
      cursor: default;
    }
    .line.on {
      background: var(--plum-wash);
      box-shadow: inset 3px 0 0 var(--plum-2);
    }
    .no {
      color: var(--ink-3);
      text-align: right;
    }
    .number,
    .name,
    .kind,
    .what {
      overflow: hidden;
      text-overflow: ellipsis;
    }
    .heading {
      font-weight: 600;
    }
    i,
    .quiet {
      color: var(--ink-2);
      font-style: normal;
    }
    i {
      margin-left: 4px;
      font-size: 12px;
    }
    .ask,
    .doubtful i {
      color: var(--amber-ink);
    }
    .bad {
      color: var(--bad);
    }
    .bad,
    .ask {
      font-weight: 600;
    }
  `,
})
export class LinedListComponent {
  private readonly proposed = inject(ProposedChart);
  private readonly viewport = viewChild.required(CdkVirtualScrollViewport);
  readonly lines = input.required<readonly ShownLine[]>();
  readonly context = input.required<ChangeContext>();
  readonly selected = model.required<string | null>();
  /** What is said where there is no line. */
  readonly noneWords = input.required<string>();
  /** A digit was pressed on the selected line: which of its likely kinds is right, from 0. */
  readonly candidate = output<number>();
  /** Enter was pressed on the selected line. */
  readonly entered = output();

  protected readonly rowHeight = ROW_HEIGHT;
  protected readonly kinds = KINDS;
  protected readonly reasonWords = kindReasonWords;

  constructor() {
    afterNextRender(() => this.focus());
    effect(() => {
      const at = this.lines().findIndex(({ key }) => key === this.selected());
      if (at >= 0) this.show(at);
    });
  }

  /** Puts the keyboard on the list. */
  focus(): void {
    this.viewport().elementRef.nativeElement.focus();
  }

  protected trackLine = (_index: number, { key }: ShownLine): string => key;

  protected doubtful(line: ShownLine): boolean {
    return line.type === 'row' && isDoubtful(line.row);
  }

  protected doubt(line: ShownLine): string {
    if (line.type !== 'row' || !isDoubtful(line.row)) return '';
    return isOnOddSide(line.row)
      ? $localize`Its balance is on the other side. `
      : $localize`Is that right? `;
  }

  protected quiet(line: ShownLine): boolean {
    return (
      line.type === 'row' &&
      ['same', 'band', 'total', 'merged', 'waiting'].includes(line.row.status)
    );
  }

  protected what(line: ShownLine): string {
    if (line.type === 'row') return rowWords(line.row, this.context());
    const { refusal, fate, account } = line.missing;
    return refusal === null
      ? `${FATE_WORDS[fate]}`
      : `${titleOf(account)}: ${refusalWords(refusal, this.proposed.chart())}`;
  }

  protected onKey(event: KeyboardEvent): void {
    const steps: Readonly<Record<string, number>> = {
      ArrowDown: 1,
      ArrowUp: -1,
      PageDown: 15,
      PageUp: -15,
      Home: -Infinity,
      End: Infinity,
    };
    const step = steps[event.key];
    const plain = !event.ctrlKey && !event.altKey && !event.metaKey;
    if (plain && /^[1-3]$/.test(event.key)) this.candidate.emit(Number(event.key) - 1);
    else if (event.key === 'Enter' && !event.ctrlKey) this.entered.emit();
    else if (step !== undefined) this.move(step);
    else return;
    event.preventDefault();
  }

  private move(step: number): void {
    const lines = this.lines();
    const at = lines.findIndex(({ key }) => key === this.selected());
    const next = Math.min(lines.length - 1, Math.max(0, at + step));
    this.selected.set(lines[next]?.key ?? null);
  }

  /** Scrolls no more than is needed. */
  private show(at: number): void {
    const viewport = this.viewport();
    const [top, height] = [viewport.measureScrollOffset(), viewport.getViewportSize()];
    const from = at * ROW_HEIGHT;
    if (from < top) viewport.scrollToOffset(from);
    else if (height > 0 && from + ROW_HEIGHT > top + height)
      viewport.scrollToOffset(from + ROW_HEIGHT - height);
  }
}
