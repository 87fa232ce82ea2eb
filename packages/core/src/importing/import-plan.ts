import type { Account, AccountId, Role } from '../chart/account';
import type { Month } from '../dates/month';
import type { KindCode } from '../kinds/kinds';
import type { Minor } from '../money/minor';
import type { Unplaced } from '../numbering/place-tree';
import type { Operation } from '../operations/operation';
import type { Refusal } from '../operations/refusal';
import type { AlikeLine, CellProblem, ImportEntry } from './entry';
import type { RowKind } from './import-kinds';
import type { ImportQuestion } from './match-rows';
import type { AmountSides } from './amount-sides';
import type { TreeProblem, TreeSource } from './tree-row';

/** Why a row cannot become, or change, an account. */
export type ImportProblem =
  | CellProblem
  | TreeProblem
  | { readonly rule: 'parentWrong'; readonly line: number }
  | { readonly rule: 'elementDiffers'; readonly parent: string }
  | { readonly rule: 'noNumber'; readonly why: Unplaced['why'] }
  | { readonly rule: 'refused'; readonly refusal: Refusal };

/** Something about an account of the chart that the list has otherwise; texts as they are kept. */
export interface ImportChange {
  readonly field:
    | 'number'
    | 'name'
    | 'parent'
    | 'kind'
    | 'role'
    | 'shortLabel'
    | 'guidance'
    | 'notes'
    | 'retired'
    | 'budget';
  readonly from: string;
  readonly to: string;
}

/** What becomes of a row. */
export type ImportStatus =
  | 'same'
  | 'changed'
  | 'new'
  | 'merged'
  | 'band'
  | 'question'
  | 'waiting'
  | 'wrong'
  | 'leftOut'
  | 'total';

/** A row lined up with the chart. */
export interface ImportRow {
  readonly entry: ImportEntry;
  /** A heading that has no row of its own. */
  readonly made: boolean;
  /** 1 for a main account. */
  readonly level: number;
  readonly status: ImportStatus;
  /** The account that it is, or will be; `null` for none. */
  readonly accountId: AccountId | null;
  readonly number: string | null;
  readonly role: Role;
  readonly kind: RowKind | null;
  readonly changes: readonly ImportChange[];
  readonly problems: readonly ImportProblem[];
  readonly question: ImportQuestion | null;
  /** An earlier line of the list that likely is the same account. */
  readonly alike?: AlikeLine;
}

/** What is to become of an account that the list does not have. */
export type Fate = 'leave' | 'retire' | 'delete';

/** An account of the chart that the list does not have. */
export interface MissingAccount {
  readonly account: Account;
  readonly fate: Fate;
  /** Why that cannot be done with it. */
  readonly refusal: Refusal | null;
}

/** A balance that the list gives an account; debit positive. */
export interface ListedBalance {
  readonly accountId: AccountId;
  readonly kind: KindCode;
  readonly amount: Minor;
}

/** A balance of the list that has no account to stand on: its row is a heading, or is none yet. Debit positive. */
export interface UnplacedBalance {
  readonly line: number;
  readonly name: string;
  readonly amount: Minor;
  readonly why: 'heading' | 'question' | 'waiting' | 'wrong' | 'leftOut';
}

/** A list lined up with a chart: row by row, what is missing, and the operations for what is clear. */
export interface ImportPlan {
  readonly treeSource: TreeSource;
  /** How its amounts are meant. */
  readonly sides: AmountSides;
  /** The month for which the list says that it is, over its lines or between them; `null` where it does not. */
  readonly dated: Month | null;
  readonly rows: readonly ImportRow[];
  readonly missing: readonly MissingAccount[];
  readonly operations: readonly Operation[];
  readonly balances: readonly ListedBalance[];
  readonly unplaced: readonly UnplacedBalance[];
  /** How many numbers of the list stand for other accounts in the chart, whatever rule holds for them. */
  readonly clashing: number;
}

/** The lines of a list by the accounts that they are, or will be. */
export const linesByAccount = ({ rows }: ImportPlan): ReadonlyMap<AccountId, number> =>
  new Map(
    rows.flatMap(({ accountId, entry, made }) =>
      accountId === null || made ? [] : [[accountId, entry.line] as const],
    ),
  );
