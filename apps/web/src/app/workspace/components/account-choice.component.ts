import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  input,
  output,
  viewChild,
} from '@angular/core';
import { FormsModule } from '@angular/forms';
import { eachNode, findKey, titleOf, type AccountId, type Chart } from '@iunctus/core';
import { AutoComplete } from 'primeng/autocomplete';
import { ChoiceBase } from '../../shared/components/choice-base';

interface Choice {
  readonly id: AccountId | null;
  readonly title: string;
  readonly key: string;
}

/** Choosing an account, or the main level, by typing part of number or name. */
@Component({
  selector: 'iu-account-choice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FormsModule, AutoComplete],
  template: `
    <p-autocomplete
      #list
      [ngModel]="value()"
      (ngModelChange)="take($event)"
      [suggestions]="found()"
      (completeMethod)="search($event)"
      optionLabel="title"
      dataKey="key"
      [autoOptionFocus]="true"
      [forceSelection]="true"
      [delay]="0"
      [motionOptions]="atOnce"
      [minQueryLength]="0"
      [ariaLabel]="label()"
      [placeholder]="placeholder()"
      [inputId]="inputId()"
      appendTo="body"
      scrollHeight="260px"
      i18n-emptyMessage
      emptyMessage="No account has this in its number or name."
    />
  `,
  styleUrl: '../../shared/components/choice.css',
})
export class AccountChoiceComponent extends ChoiceBase<Choice> {
  readonly chart = input.required<Chart>();
  readonly accountId = input<AccountId | null | undefined>();
  /** Accounts that cannot be chosen: the account itself and what is below it. */
  readonly except = input<ReadonlySet<AccountId>>(new Set());
  readonly label = input('Parent');
  /** What stands for no account at all; `null` where one must be chosen. */
  readonly mainWords = input<string | null>('Main account');
  readonly placeholder = input('');
  readonly inputId = input<string>();
  readonly chosen = output<AccountId | null>();

  protected readonly autoComplete = viewChild.required<AutoComplete>('list');
  private readonly all = computed<readonly Choice[]>(() => [
    ...this.none(),
    ...[...eachNode(this.chart().roots)]
      .filter(({ account }) => account.retiredOn === null && !this.except().has(account.id))
      .map(({ account }) => ({
        id: account.id,
        title: titleOf(account),
        key: findKey(titleOf(account)),
      })),
  ]);

  private none(): readonly Choice[] {
    const title = this.mainWords();
    return title === null ? [] : [{ id: null, title, key: findKey(title) }];
  }

  constructor() {
    super();
    effect(() => {
      const id = this.accountId();
      this.value.set(this.all().find((choice) => choice.id === id) ?? null);
    });
  }

  protected titleOf({ title }: Choice): string {
    return title;
  }

  protected matching(query: string): Choice[] {
    const words = findKey(query).split(' ');
    return this.all().filter(({ key }) => words.every((word) => key.includes(word)));
  }

  protected tell({ id }: Choice): void {
    this.chosen.emit(id);
  }
}
