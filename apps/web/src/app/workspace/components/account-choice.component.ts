import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  input,
  output,
} from '@angular/core';
import { eachNode, titleOf, type AccountId, type Chart } from '@iunctus/core';
import { PickComponent, type PickOption } from '../../shared/components/pick.component';

/** What stands for no account at all. */
const NONE = '';

/** Choosing an account, or the main level, by typing part of number or name. */
@Component({
  selector: 'iu-account-choice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PickComponent],
  template: `
    <iu-pick
      plain
      [options]="options()"
      [picked]="accountId() === null ? none : accountId()"
      [label]="label()"
      [placeholder]="placeholder()"
      [inputId]="inputId()"
      noneFound="No account has this in its number or name."
      i18n-noneFound
      (chosen)="chosen.emit($event === none ? null : $event)"
    />
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
  `,
})
export class AccountChoiceComponent {
  readonly chart = input.required<Chart>();
  readonly accountId = input<AccountId | null | undefined>();
  /** Accounts that cannot be chosen: the account itself and what is below it. */
  readonly except = input<ReadonlySet<AccountId>>(new Set());
  readonly label = input($localize`Parent`);
  /** What stands for no account at all; `null` where one must be chosen. */
  readonly mainWords = input<string | null>($localize`Main account`);
  readonly placeholder = input('');
  /** Whether only accounts that take postings can be chosen. */
  readonly posting = input(false, { transform: booleanAttribute });
  readonly inputId = input<string>();
  readonly chosen = output<AccountId | null>();

  protected readonly none = NONE;
  protected readonly options = computed<readonly PickOption[]>(() => {
    const main = this.mainWords();
    return [
      ...(main === null ? [] : [{ value: NONE, words: main }]),
      ...[...eachNode(this.chart().roots)]
        .filter(
          ({ account }) =>
            account.retiredOn === null &&
            !this.except().has(account.id) &&
            !(this.posting() && account.role === 'heading'),
        )
        .map(({ account }) => ({ value: account.id, words: titleOf(account) })),
    ];
  });
}
