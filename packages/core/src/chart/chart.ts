import { usualPlan, type NumberPlan } from '../plan/number-plan';
import type { PersistentMap } from '../collections/persistent-map';
import type { Dimension } from '../dimensions/dimension';
import type { PostingChoice } from '../postings/choice';
import type { Account, AccountId } from './account';

/** An account in its place: the accounts below it follow in order. Never changed in place. */
export interface ChartNode {
  readonly account: Account;
  readonly children: readonly ChartNode[];
  /** Accounts that were merged into this one, directly or by way of others; their postings count here. */
  readonly absorbed: readonly AccountId[];
  /** The splits that take postings out of this account or those merged into it, or bring some in. */
  readonly splits: readonly SplitShare[];
}

/** The identity of a split; what its postings come to is known in the ledger by it. */
export type SplitId = string;

/** What a split means for one account: -1 where its postings leave, 1 where they count instead. */
export interface SplitShare {
  readonly id: SplitId;
  readonly sign: 1 | -1;
}

/** Some postings of an account that count with another. The entries stay as they were posted. */
export interface Split {
  readonly id: SplitId;
  readonly from: AccountId;
  readonly into: AccountId;
  readonly choice: PostingChoice;
}

/** An account that was merged: it is out of the tree, and points at what it was merged into. */
export interface MergedAccount {
  readonly account: Account;
  readonly into: AccountId;
}

/** What a chart's numbers and names must keep to. */
export interface ChartSettings {
  /** The rules that numbers follow. */
  readonly plan: NumberPlan;
  /** Whether every account bears a number. */
  readonly numbered: boolean;
  /** Whether a name may stand twice under different parents. */
  readonly uniqueNames: 'chart' | 'siblings';
  /** By what postings are told apart besides their account. */
  readonly dimensions: readonly Dimension[];
}

/** The settings that a new chart begins with. */
export const USUAL_SETTINGS: ChartSettings = {
  plan: usualPlan(4),
  numbered: true,
  uniqueNames: 'chart',
  dimensions: [],
};

/**
 * A chart of accounts as an immutable value. Branches that an operation does not touch keep
 * their identity, so that what is computed for a branch can be kept with it.
 */
export interface Chart {
  readonly settings: ChartSettings;
  readonly roots: readonly ChartNode[];
  /** The parent's id by account id; empty text for a main account. */
  readonly parents: PersistentMap<AccountId>;
  /** The account's id by number. */
  readonly numbers: PersistentMap<AccountId>;
  /** The account's id by name key, kept when names are unique in the chart. */
  readonly names: PersistentMap<AccountId>;
  /** Merged accounts by id. */
  readonly merged: PersistentMap<MergedAccount>;
  /** Splits by id. */
  readonly splits: PersistentMap<Split>;
  /** Accounts that have postings or an opening balance. */
  readonly posted: ReadonlySet<AccountId>;
  /** Dimension values that postings carry. */
  readonly usedValues: ReadonlySet<string>;
}
