import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import {
  holdsWords,
  KINDS,
  returnLineWords,
  type KindCode,
  type StartingGroup,
  type StartingLine,
} from '@iunctus/core';
import { ElementMarkComponent } from '../../shared/components/element-mark.component';
import { TOPIC_WORDS } from '../../shared/words/client-words';
import { landingWords } from '../../shared/words/statement-words';

/** The accounts of a starting chart, each with what belongs there, why it is there, and whether it is wanted. */
@Component({
  selector: 'iu-starting-preview',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ElementMarkComponent],
  template: `
    @for (group of shown(); track group.number) {
      <div class="line heading">
        <span></span>
        <span class="no">{{ living() ? '' : group.number }}</span>
        <span>{{ group.name }}</span>
      </div>
      @for (line of group.accounts; track line.name) {
        <label
          class="line"
          [class.off]="!isThere(line) && struck().has(line.name)"
          [class.there]="isThere(line)"
        >
          <input
            type="checkbox"
            [attr.aria-label]="line.name"
            [checked]="isThere(line) || !struck().has(line.name)"
            [disabled]="isThere(line)"
            (change)="toggled.emit(line.name)"
          />
          <span class="no">{{ living() ? '' : line.number }}</span>
          <span class="what">
            <span class="name">
              <iu-element-mark [element]="kinds[line.kind].element" />
              {{ line.name }}
              <span class="landing">{{ landing(line.kind) }}</span>
            </span>
            <span class="guidance">{{ line.guidance }}</span>
            @if (line.below.length > 0) {
              <span class="guidance">{{ belowWords(line) }}</span>
            }
          </span>
          <span class="from">{{ why(line) }}</span>
        </label>
      }
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .line {
      display: grid;
      grid-template-columns: 18px 46px minmax(0, 1fr) 148px;
      align-items: start;
      gap: 8px;
      padding: 5px 0;
      border-bottom: 1px solid var(--rule-soft);
    }
    .line.heading {
      margin-top: 12px;
      border-bottom-color: var(--rule);
      font: 600 15px var(--serif);
    }
    .no {
      color: var(--ink-2);
      font-family: var(--sans);
      font-size: 13px;
    }
    .name {
      display: flex;
      align-items: baseline;
      gap: 8px;
      font-weight: 600;
    }
    .off .name,
    .there .name {
      font-weight: 400;
    }
    .off,
    .there {
      color: var(--ink-3);
    }
    .landing {
      margin-left: auto;
      color: var(--ink-2);
      font-size: 12px;
      font-weight: 400;
    }
    .guidance {
      display: block;
      padding-left: 17px;
      color: var(--ink-2);
    }
    .from {
      padding-top: 1px;
      color: var(--ink-3);
      font-size: 12px;
      text-align: right;
    }
  `,
})
export class StartingPreviewComponent {
  /** Parts of names, of accounts or their groups; empty for all. */
  readonly sought = input('');
  protected readonly shown = computed(() => {
    return this.groups().flatMap((group) => {
      const accounts = group.accounts.filter(({ name }) =>
        holdsWords(`${group.name} ${name}`, this.sought()),
      );
      return accounts.length === 0 ? [] : [{ ...group, accounts }];
    });
  });
  readonly groups = input.required<readonly StartingGroup[]>();
  readonly struck = input.required<ReadonlySet<string>>();
  /** The names that the chart has already. */
  readonly there = input.required<ReadonlySet<string>>();
  /** Whether accounts are added to a chart, which gives them its own numbers. */
  readonly living = input.required<boolean>();
  readonly toggled = output<string>();

  protected readonly kinds = KINDS;

  protected landing(kind: KindCode): string {
    return landingWords(kind);
  }

  protected isThere({ name }: StartingLine): boolean {
    return this.there().has(name);
  }

  /** Which answer or module brought the account in, and its line on the return where it has its own. */
  protected why(line: StartingLine): string {
    if (this.isThere(line)) return $localize`there already`;
    const answer =
      line.topic === 'payouts'
        ? $localize`Takings paid out later`
        : line.topic === null
          ? line.from
          : TOPIC_WORDS[line.topic];
    const { returnLine } = line.settings;
    return returnLine === undefined ? answer : `${answer} · ${returnLineWords(returnLine)}`;
  }

  protected belowWords({ below }: StartingLine): string {
    const [first, last] = [below[0], below.at(-1)];
    return $localize`${first?.number ?? ''}–${last?.number ?? ''}:number:: one below it for each channel`;
  }
}
