import { inject, Injectable, signal } from '@angular/core';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { findKey, type AccountId } from '@iunctus/core';
import { WorkspaceActions } from '../state/workspace.actions';
import { ProposedChart } from './proposed-chart';
import { ChartView } from './chart-view';
import { Sheets } from './sheets';
import { Undoing } from './undoing';
import type { TreeAction } from './tree-action';

/** A place of a client, by the last part of its address. */
export type PlaceName =
  | 'front'
  | 'chart'
  | 'numbers'
  | 'outline'
  | 'tidy'
  | 'statements/profitAndLoss'
  | 'statements/balanceSheet'
  | 'statements/cashFlow'
  | 'statements/changesInEquity'
  | 'statements/trialBalance'
  | 'statements/chartReport'
  | 'statements/budget'
  | 'statements/packet'
  | 'tidy/plan'
  | 'tidy/months'
  | 'tidy/rules'
  | 'tidy/report'
  | 'ledger/journal'
  | 'ledger/new'
  | 'ledger/register'
  | 'ledger/standing'
  | 'ledger/openings'
  | 'ledger/open-items'
  | 'ledger/locks'
  | 'ledger/bring-in'
  | 'routes/defaults'
  | 'routes/rules'
  | 'routes/lines'
  | 'routes/payouts'
  | 'routes/proofs'
  | 'routes/trace'
  | 'exchange'
  | 'import'
  | 'history'
  | 'compare'
  | 'proposal'
  | 'start';

/** Something that can be done from the command field. */
export interface Command {
  readonly words: string;
  /** The keys that do the same on the bench; empty when there are none. */
  readonly keys: string;
  /** Whether it is done to the account at the cursor. */
  readonly onAccount: boolean;
  readonly does:
    | { readonly type: 'tree'; readonly action: TreeAction }
    | { readonly type: 'place'; readonly place: PlaceName }
    | { readonly type: 'clients' | 'review' | 'adopt' | 'undo' | 'redo' };
}

const tree = (words: string, keys: string, action: TreeAction): Command => ({
  words,
  keys,
  onAccount: true,
  does: { type: 'tree', action },
});

const place = (words: string, name: PlaceName): Command => ({
  words,
  keys: '',
  onAccount: false,
  does: { type: 'place', place: name },
});

const other = (words: string, keys: string, does: Command['does']): Command => ({
  words,
  keys,
  onAccount: false,
  does,
});

/** All commands, what is done to an account first. */
export const COMMANDS: readonly Command[] = [
  tree($localize`Edit number, name, kind and parent`, $localize`Enter`, { type: 'edit' }),
  tree($localize`New account beside`, 'N', { type: 'add', as: 'sibling' }),
  tree($localize`New account under`, $localize`Shift N`, { type: 'add', as: 'child' }),
  tree($localize`New heading above the chosen accounts`, 'H', { type: 'addAbove' }),
  tree($localize`Restore: open to new postings again`, $localize`Shift Delete`, {
    type: 'restore',
  }),
  tree($localize`Swap the numbers of two chosen accounts`, '', { type: 'swapNumbers' }),
  tree($localize`Budget, currency and other settings`, $localize`Space`, {
    type: 'sheet',
    sheet: 'account',
  }),
  tree($localize`Register: every line of`, 'L', { type: 'register' }),
  tree($localize`All about`, $localize`Space`, { type: 'sheet', sheet: 'account' }),
  tree($localize`Move under another`, 'M', { type: 'sheet', sheet: 'move' }),
  tree($localize`Merge into another`, 'G', { type: 'sheet', sheet: 'merge' }),
  tree($localize`Split postings off into new sub-accounts`, 'P', { type: 'sheet', sheet: 'split' }),
  tree($localize`Remove or retire`, $localize`Delete`, { type: 'remove' }),
  other($localize`New main account`, '', { type: 'tree', action: { type: 'add', as: 'main' } }),
  other($localize`Review the proposal`, 'R', { type: 'review' }),
  other($localize`Adopt the proposal`, $localize`Ctrl ↵`, { type: 'adopt' }),
  other($localize`Undo`, $localize`Ctrl Z`, { type: 'undo' }),
  other($localize`Redo`, $localize`Ctrl Shift Z`, { type: 'redo' }),
  other($localize`The other statement`, 'S', { type: 'tree', action: { type: 'statement' } }),
  other($localize`Cash flow, equity or trial balance beside the chart`, $localize`Shift S`, {
    type: 'tree',
    action: { type: 'otherSheet' },
  }),
  other($localize`Dimensions: market, department, fund, location, project`, '', {
    type: 'tree',
    action: { type: 'sheet', sheet: 'dimensions' },
  }),
  other($localize`Show all keys`, '?', { type: 'tree', action: { type: 'sheet', sheet: 'keys' } }),
  place($localize`Go to the front page: figures and pictures`, 'front'),
  place($localize`Go to the chart`, 'chart'),
  place($localize`Go to numbers: plan and renumbering`, 'numbers'),
  place($localize`Go to the outline: many accounts at once`, 'outline'),
  place($localize`Tidy: what is wrong, doubtful, could be neater`, 'tidy'),
  place($localize`Statement: profit and loss, with its columns`, 'statements/profitAndLoss'),
  place($localize`Statement: balance sheet`, 'statements/balanceSheet'),
  place($localize`Statement: cash flow`, 'statements/cashFlow'),
  place($localize`Statement: changes in equity`, 'statements/changesInEquity'),
  place($localize`Statement: trial balance`, 'statements/trialBalance'),
  place($localize`Chart report: every account with what it comes to`, 'statements/chartReport'),
  place($localize`Budgets: what is expected, month by month`, 'statements/budget'),
  place($localize`Print a packet of statements`, 'statements/packet'),
  place($localize`New journal entry`, 'ledger/new'),
  place($localize`Go to the ledger: journal of entries`, 'ledger/journal'),
  place($localize`Register of an account: every line with its balance`, 'ledger/register'),
  place($localize`Standing entries that come again`, 'ledger/standing'),
  place($localize`Type opening balances`, 'ledger/openings'),
  place($localize`Bring entries in from a file: journal`, 'ledger/bring-in'),
  place($localize`Open items: who owes what, or is owed`, 'ledger/open-items'),
  place($localize`Lock the books through a day`, 'ledger/locks'),
  place($localize`Default accounts by purpose, customer and supplier`, 'routes/defaults'),
  place($localize`Rules by words for bank lines; sales tax rates`, 'routes/rules'),
  place($localize`Take bank lines through the rules`, 'routes/lines'),
  place($localize`Payouts of a marketplace: sales, fees, reserve`, 'routes/payouts'),
  place($localize`Proofs: where samples must land`, 'routes/proofs'),
  place($localize`The whole way: to the shape of a starting chart`, 'tidy/plan'),
  place($localize`How tidy the chart was, month by month`, 'tidy/months'),
  place($localize`What Tidy looks for, and how much it matters`, 'tidy/rules'),
  place($localize`Report: what was tidied, to hand to the client`, 'tidy/report'),
  place($localize`Trace: from a transaction to the statement line`, 'routes/trace'),
  place($localize`Go to the exchange: download the chart`, 'exchange'),
  place($localize`Bring a list in: from a file or a spreadsheet`, 'import'),
  place($localize`Go to the history: revisions`, 'history'),
  place($localize`Compare two revisions`, 'compare'),
  place($localize`Print the proposal, as a page for the client`, 'proposal'),
  place($localize`Print the chart: PDF`, 'exchange'),
  place($localize`Starting charts: add accounts for stock, wages, vehicles …`, 'start'),
  other($localize`Go to all clients`, '', { type: 'clients' }),
];

/** The commands whose words begin with the words of a query, each in any place. */
export const commandsFor = (query: string): readonly Command[] => {
  const words = findKey(query)
    .split(' ')
    .filter((word) => word !== '');
  return COMMANDS.filter((command) => {
    const text = ` ${findKey(command.words)}`;
    return words.every((word) => text.includes(` ${word}`));
  });
};

/** Does what the command field asks for, wherever the user is. */
@Injectable()
export class Commands {
  private readonly router = inject(Router);
  private readonly store = inject(Store);
  private readonly proposed = inject(ProposedChart);
  private readonly view = inject(ChartView);
  private readonly sheets = inject(Sheets);
  private readonly undoing = inject(Undoing);
  /** What the bench is to do as soon as it is there. */
  readonly asked = signal<TreeAction | 'focus' | null>(null);

  /** Shows an account on the bench, with the keyboard on it. */
  async goTo(id: AccountId): Promise<void> {
    this.view.filter.set('');
    this.view.goTo(id);
    await this.toPlace('chart');
    this.asked.set('focus');
  }

  async run({ does }: Command): Promise<void> {
    switch (does.type) {
      case 'place':
        return this.toPlace(does.place);
      case 'clients':
        return void (await this.router.navigate(['/clients']));
      case 'tree':
        await this.toPlace('chart');
        return this.asked.set(does.action);
      case 'review':
        await this.toPlace('chart');
        return this.sheets.show('review');
      case 'adopt':
        if (this.proposed.steps().length > 0)
          this.store.dispatch(WorkspaceActions.adoptRequested());
        return;
      case 'undo':
        return this.undoing.undo();
      case 'redo':
        return this.undoing.redo();
    }
  }

  private async toPlace(name: PlaceName): Promise<void> {
    const client = this.proposed.client();
    if (client !== null) await this.router.navigate(['/clients', client.id, ...name.split('/')]);
  }
}
