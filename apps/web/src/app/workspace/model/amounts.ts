import { computed, inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import {
  ledgerOf,
  oddBalance,
  rollUpOver,
  shownAmount,
  type ChartNode,
  type Minor,
  type OddBalance,
} from '@iunctus/core';
import { workspaceFeature } from '../state/workspace.feature';
import { StatementEngine } from './statement-engine';

/** The amounts of the period that is shown, in minor units of the client's currency, as a person reads them. */
@Injectable()
export class Amounts {
  private readonly engine = inject(StatementEngine);
  private readonly amounts = inject(Store).selectSignal(workspaceFeature.selectAmounts);
  private readonly rollUp = computed(() => rollUpOver(ledgerOf(this.amounts())));

  /** The total of an account and all below it, as a person reads it for its kind. */
  amountOf({ account }: ChartNode): Minor {
    const moved = this.engine.impact().nodes[account.id];
    const total = moved ?? this.engine.totals()[account.id]?.[0] ?? 0;
    return shownAmount(account.kind, total);
  }

  /** What was posted to the account itself, as a person reads it for its kind. */
  ownAmountOf(node: ChartNode): Minor {
    return shownAmount(node.account.kind, this.rollUp().own(node));
  }

  /** What is odd about the account's own balance; `null` for nothing. */
  oddBalanceOf(node: ChartNode): OddBalance | null {
    return oddBalance(node.account.kind, this.rollUp().own(node));
  }
}
