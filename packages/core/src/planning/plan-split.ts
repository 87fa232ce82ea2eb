import { plainAccount, type Account, type AccountId } from '../chart/account';
import type { Chart, ChartNode, SplitId } from '../chart/chart';
import { nodeOf } from '../chart/queries';
import { isContra } from '../kinds/kinds';
import type { PostingChoice } from '../postings/choice';
import { applyAll } from '../operations/apply';
import { cleanName } from '../operations/checks';
import type { Operation } from '../operations/operation';
import type { Refusal } from '../operations/refusal';
import { planAdding } from './adding';
import { lastBeforeContra } from './plan-add';

/** A new sub-account, and the postings that it is to have. */
export interface SplitPart {
  readonly name: string;
  readonly choice: PostingChoice;
}

/** What a split asks: the account, its parts in order, and a fresh id at each call. */
export interface SplitRequest {
  readonly id: AccountId;
  readonly parts: readonly SplitPart[];
  readonly newId: () => AccountId | SplitId;
}

/** The operations of a split and the numbers of the new sub-accounts; or the first refusal, and which part earned it. */
export type SplitPlan =
  | {
      readonly ok: true;
      readonly operations: readonly Operation[];
      readonly accounts: readonly Account[];
    }
  | {
      readonly ok: false;
      readonly refusal: Refusal;
      readonly part: number;
      /** The chart with the parts before it. */
      readonly chart: Chart;
    };

const newAccount = ({ kind }: Account, { name }: SplitPart, id: AccountId): Account =>
  plainAccount({ id, number: null, name: cleanName(name), kind });

const lastPlace = ({ account, children }: ChartNode): AccountId | null =>
  isContra(account.kind) ? (children.at(-1)?.account.id ?? null) : lastBeforeContra(children);

/** The account with the number that it was given, from the operations that add it. */
const asAdded = (operations: readonly Operation[], id: AccountId): readonly Account[] =>
  operations.flatMap((operation) =>
    operation.type === 'addAccount' && operation.account.id === id ? operation.account : [],
  );

/**
 * The operations that move chosen postings of an account to new sub-accounts of its kind, one
 * part after the other: what one took, the next does not find. Postings of accounts that were
 * merged into it are meant as well. Neighbours give way where there is no number left.
 */
export const planSplit = (chart: Chart, { id, parts, newId }: SplitRequest): SplitPlan => {
  const operations: Operation[] = [];
  const accounts: Account[] = [];
  let current = chart;
  for (const [part, own] of parts.entries()) {
    const node = nodeOf(current, id);
    if (node === undefined)
      return {
        ok: false,
        part,
        refusal: { code: 'accountMissing', accountId: id },
        chart: current,
      };
    const account = newAccount(node.account, own, newId());
    const adding = planAdding(current, account, { parentId: id, afterId: lastPlace(node) });
    const splits = [id, ...node.absorbed].map((from): Operation => ({
      type: 'split',
      split: { id: newId(), from, into: account.id, choice: own.choice },
    }));
    const outcome = applyAll(current, [...adding, ...splits]);
    if (!outcome.ok) return { ok: false, part, refusal: outcome.refusal, chart: current };
    operations.push(...adding, ...splits);
    accounts.push(...asAdded(adding, account.id));
    current = outcome.chart;
  }
  return { ok: true, operations, accounts };
};
