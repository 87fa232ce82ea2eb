import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { FormsModule } from '@angular/forms';
import { accountOf, searchAccounts, titleOf, type AccountId, type FoundIn } from '@iunctus/core';
import { AutoComplete, type AutoCompleteCompleteEvent } from 'primeng/autocomplete';
import { ProposedChart } from '../model/proposed-chart';
import { ChartView } from '../model/chart-view';
import { Commands, commandsFor, type Command } from '../model/commands';
import { AT_ONCE, watchListKeys } from '../../shared/components/list-keys';
import { terms } from '../../shared/words/terms';

interface Choice {
  readonly title: string;
  readonly hint: string;
  readonly keys: string;
  /** All that the choice shows, as it is read out. */
  readonly spoken: string;
  readonly account: AccountId | null;
  readonly command: Command | null;
}

/** Most accounts that are offered at once. */
const ACCOUNTS = 8;

const FOUND_WORDS: Readonly<Record<FoundIn, string>> = {
  number: '',
  name: '',
  former: $localize`by what it was numbered or called`,
  guidance: $localize`in its guidance`,
  notes: $localize`in its notes`,
};

const spokenOf = (...parts: readonly string[]): string =>
  parts.filter((part) => part !== '').join(' ');

/** Finding an account by any part of what is known of it, going places, doing what can be done. */
@Component({
  selector: 'iu-command-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AutoComplete, FormsModule],
  template: `
    <p-autocomplete
      #list
      [ngModel]="typed()"
      (ngModelChange)="typed.set($event)"
      [suggestions]="found()"
      (completeMethod)="search($event)"
      (onSelect)="chosen = $event.value"
      (onHide)="takeChosen()"
      (keydown.escape)="leave()"
      optionLabel="spoken"
      dataKey="spoken"
      [autoOptionFocus]="true"
      [delay]="0"
      [motionOptions]="atOnce"
      [minQueryLength]="1"
      i18n-ariaLabel
      ariaLabel="Find or do anything"
      inputId="command-field"
      i18n-placeholder
      placeholder="Find or do anything"
      appendTo="self"
      scrollHeight="420px"
      panelStyleClass="command-list"
      i18n-emptyMessage
      emptyMessage="Nothing is called that."
    >
      <ng-template #item let-choice>
        <div class="command-choice">
          <span
            >{{ choice.title }} <small>{{ choice.hint }}</small></span
          >&ngsp;
          @if (choice.keys !== '') {
            <kbd>{{ choice.keys }}</kbd>
          }
        </div>
      </ng-template>
    </p-autocomplete>
    <kbd class="own"><ng-container i18n>Ctrl K</ng-container></kbd>
  `,
  styles: `
    :host {
      position: relative;
      display: block;
      flex: 0 1 250px;
      min-width: 40px;
    }
    :host ::ng-deep .p-autocomplete,
    :host ::ng-deep .p-autocomplete-input {
      width: 100%;
      font-size: 13px;
    }
    .own {
      position: absolute;
      top: 6px;
      right: 8px;
      pointer-events: none;
    }
    @media screen and (max-width: 700px) {
      .own {
        display: none;
      }
    }
    .command-choice {
      display: flex;
      align-items: baseline;
      justify-content: space-between;
      gap: 14px;
      white-space: normal;
    }
    small {
      color: var(--ink-2);
      font-size: 12px;
    }
  `,
  host: { '(window:keydown)': 'onKey($event)' },
})
export class CommandFieldComponent {
  private readonly proposed = inject(ProposedChart);
  private readonly view = inject(ChartView);
  private readonly commands = inject(Commands);
  private readonly list = viewChild.required<AutoComplete>('list');
  protected readonly typed = signal<string | Choice | null>('');
  protected readonly found = signal<Choice[]>([]);
  protected readonly atOnce = AT_ONCE;
  protected chosen: Choice | null = null;

  protected onKey(event: KeyboardEvent): void {
    if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'k') return;
    event.preventDefault();
    document.getElementById('command-field')?.focus();
  }

  constructor() {
    watchListKeys(inject<ElementRef<HTMLElement>>(ElementRef).nativeElement, {
      list: () => this.list(),
      takeBest: (typed) => this.takeBest(typed),
      tabTakes: false,
      escapeCloses: () => false,
    });
  }

  /** However far the list has come: what was typed decides. */
  private takeBest(typed: string): boolean {
    const [best] = typed.trim() === '' ? [] : this.choicesFor(typed);
    this.chosen = best ?? null;
    return best !== undefined;
  }

  protected search({ query }: AutoCompleteCompleteEvent): void {
    this.found.set([...this.choicesFor(query)]);
  }

  private choicesFor(query: string): readonly Choice[] {
    const chart = this.proposed.chart();
    const also = this.view.view().also;
    const accounts = searchAccounts(chart, query, { also, most: ACCOUNTS }).flatMap(
      ({ id, foundIn }): Choice[] => {
        const account = accountOf(chart, id);
        if (account === undefined) return [];
        const hint = FOUND_WORDS[foundIn] || terms().kinds[account.kind];
        const title = titleOf(account);
        const spoken = spokenOf(title, hint);
        return [{ title, hint, keys: '', spoken, account: id, command: null }];
      },
    );
    return [...accounts, ...this.commandChoices(query)];
  }

  private commandChoices(query: string): readonly Choice[] {
    const at = this.view.selected();
    return commandsFor(query).flatMap((command): Choice[] => {
      if (command.onAccount && at === undefined) return [];
      const hint = command.onAccount && at !== undefined ? titleOf(at) : '';
      const { words, keys } = command;
      const spoken = spokenOf(words, hint, keys);
      return [{ title: words, hint, keys, spoken, account: null, command }];
    });
  }

  /** The library puts the keyboard back on the field before it hides the list; only then may it go elsewhere. */
  protected takeChosen(): void {
    const choice = this.chosen;
    this.chosen = null;
    if (choice === null) return;
    this.typed.set('');
    document.getElementById('command-field')?.blur();
    if (choice.account !== null) void this.commands.goTo(choice.account);
    if (choice.command !== null) void this.commands.run(choice.command);
  }

  protected leave(): void {
    this.typed.set('');
    this.list().hide();
    document.getElementById('command-field')?.blur();
    this.commands.asked.set('focus');
  }
}
