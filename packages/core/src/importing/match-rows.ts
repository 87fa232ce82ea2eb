import type { Account, AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { accountCount, eachNode, mergedAccounts } from '../chart/queries';
import { likeness } from '../matching/likeness';
import { wordsOf } from '../matching/words';
import { nameKey } from '../text/name-key';
import type { ClashRule } from './clashes';
import type { TreeRow } from './tree-row';

/** What an account was numbered and called before. */
export interface FormerTitle {
  readonly accountId: AccountId;
  readonly number: string | null;
  readonly name: string;
}

/** What is asked about a row before anything is done with it. */
export type ImportQuestion =
  | { readonly type: 'numberMeansOther'; readonly accountId: AccountId }
  | { readonly type: 'renamed'; readonly accountId: AccountId };

/** The answer to a row's question: it is this account, or with `null` a new one. */
export type ImportAnswer = AccountId | null;

/** What a row is in the chart. */
export type RowMatch =
  | { readonly type: 'account'; readonly id: AccountId }
  | { readonly type: 'merged'; readonly id: AccountId; readonly into: AccountId }
  | { readonly type: 'new' }
  | { readonly type: 'question'; readonly question: ImportQuestion };

/** What rows are matched by besides number and name. */
export interface MatchRequest {
  readonly former: readonly FormerTitle[];
  /** Whether a row has others below it in the list, by place. */
  readonly leads?: (at: number) => boolean;
  /** Answers to questions, by line. */
  readonly answers: ReadonlyMap<number, ImportAnswer>;
  /** What holds for numbers that mean other accounts; `null` asks about each. */
  readonly clashes: ClashRule | null;
}

/** What the rows of a list are in the chart. */
export interface RowMatches {
  readonly matches: readonly RowMatch[];
  /** How many rows have a number that means another account in the chart. */
  readonly clashing: number;
}

/** From this likeness on, two names under one number are one account. */
const RENAMED = 0.86;
/** From this likeness on, a name under no known number is asked about. */
const ASKED = 0.92;
/** Without a number only the name can say which account is meant, so that less is asked about. */
const ASKED_WITHOUT_NUMBER = 0.8;
/** A word that more accounts share says nothing about which one is meant. */
const COMMONPLACE = 24;

const spelledOut = (name: string): string => [...wordsOf(name)].join(' ') || nameKey(name);

/** How alike two names are: letter by letter, or by the words that they share, whatever their order. */
const nameLikeness = (a: string, b: string): number => {
  const [first, second] = [spelledOut(a), spelledOut(b)];
  const [words, others] = [new Set(first.split(' ')), new Set(second.split(' '))];
  const shared = [...words].filter((word) => others.has(word)).length;
  const overlap = shared / Math.max(words.size, others.size);
  const contained = shared > 0 && shared === Math.min(words.size, others.size) ? 0.87 : 0;
  return Math.max(likeness(first, second), overlap, contained);
};

class Matcher {
  private readonly accounts: readonly Account[];
  private readonly byNumber = new Map<string, Account>();
  private readonly byName = new Map<string, Account | null>();
  private readonly claimed = new Set<AccountId>();
  private readonly matches: (RowMatch | null)[];
  private clashing = 0;

  constructor(
    private readonly chart: Chart,
    private readonly rows: readonly TreeRow[],
    private readonly request: MatchRequest,
  ) {
    this.accounts = [...eachNode(chart.roots)].map(({ account }) => account);
    for (const account of this.accounts) {
      if (account.number !== null) this.byNumber.set(account.number, account);
      const key = nameKey(account.name);
      this.byName.set(key, this.byName.has(key) ? null : account);
    }
    this.matches = rows.map(() => null);
  }

  match(): RowMatches {
    this.takeAnswers();
    this.takeEach((row) => this.sameNumberAndName(row));
    this.takeEach((row, at) => this.fitting(at, this.sameName(row)));
    this.takeEach((row, at) => this.fitting(at, this.sameNumber(row)));
    this.takeFormer();
    this.askAboutOthers();
    this.askAboutAlike();
    const matches = this.matches.map((match): RowMatch => match ?? { type: 'new' });
    return { matches, clashing: this.clashing };
  }

  private claim(at: number, id: AccountId): void {
    this.claimed.add(id);
    this.matches[at] = { type: 'account', id };
  }

  private takeEach(find: (row: TreeRow, at: number) => Account | null | undefined): void {
    this.rows.forEach((row, at) => {
      if (this.matches[at] !== null) return;
      const account = find(row, at);
      if (account != null && !this.claimed.has(account.id)) this.claim(at, account.id);
    });
  }

  private takeAnswers(): void {
    const known = new Set(this.accounts.map(({ id }) => id));
    this.rows.forEach(({ entry, made }, at) => {
      const answer = made ? undefined : this.request.answers.get(entry.line);
      if (answer === undefined) return;
      if (answer === null) this.matches[at] = { type: 'new' };
      else if (known.has(answer) && !this.claimed.has(answer)) this.claim(at, answer);
    });
  }

  private sameNumberAndName({ entry }: TreeRow): Account | undefined {
    const account = entry.number === null ? undefined : this.byNumber.get(entry.number);
    return account !== undefined && nameKey(account.name) === nameKey(entry.name)
      ? account
      : undefined;
  }

  /** A line that takes postings is no heading of the chart, whatever it is called. */
  private fitting(at: number, account: Account | null | undefined): Account | undefined {
    if (account === null || account === undefined) return undefined;
    const row = this.rows[at];
    const leads = row?.made === true || (this.request.leads?.(at) ?? false);
    const posts = row?.entry.role === 'posting' || (row?.entry.balance ?? 0) !== 0;
    return account.role === 'heading' && posts && !leads ? undefined : account;
  }

  private sameName({ entry }: TreeRow): Account | null | undefined {
    return this.byName.get(nameKey(entry.name));
  }

  private sameNumber({ entry }: TreeRow): Account | undefined {
    const account = entry.number === null ? undefined : this.byNumber.get(entry.number);
    if (account === undefined) return undefined;
    return nameLikeness(account.name, entry.name) >= RENAMED ? account : undefined;
  }

  /** By what an account was called before; what was merged meanwhile is left as it is. */
  private takeFormer(): void {
    const former = new Map<string, AccountId>();
    for (const { accountId, name } of this.request.former) former.set(nameKey(name), accountId);
    const merged = new Map(mergedAccounts(this.chart).map((one) => [one.account.id, one.into]));
    for (const { account } of mergedAccounts(this.chart))
      former.set(nameKey(account.name), account.id);
    const known = new Set(this.accounts.map(({ id }) => id));
    this.rows.forEach(({ entry }, at) => {
      const id = former.get(nameKey(entry.name));
      if (this.matches[at] !== null || id === undefined) return;
      const into = merged.get(id);
      if (into !== undefined) this.matches[at] = { type: 'merged', id, into };
      else if (known.has(id) && !this.claimed.has(id)) this.claim(at, id);
    });
  }

  /** A number that means something else in the chart is asked about, unless its account is numbered anew
   *  or one rule holds for all of them. */
  private askAboutOthers(): void {
    this.rows.forEach(({ entry }, at) => {
      const account = entry.number === null ? undefined : this.byNumber.get(entry.number);
      if (this.matches[at] !== null || account === undefined || this.claimed.has(account.id))
        return;
      this.clashing += 1;
      if (this.request.clashes === null)
        this.ask(at, { type: 'numberMeansOther', accountId: account.id });
      else this.matches[at] = { type: 'new' };
    });
  }

  private ask(at: number, question: ImportQuestion): void {
    this.claimed.add(question.accountId);
    this.matches[at] = { type: 'question', question };
  }

  /** Accounts that are still free, by the words of their names that are not commonplace. */
  private freeByWord(): ReadonlyMap<string, readonly Account[]> {
    const index = new Map<string, Account[]>();
    for (const account of this.accounts) {
      if (this.claimed.has(account.id)) continue;
      for (const word of new Set(wordsOf(account.name))) {
        const group = index.get(word);
        if (group === undefined) index.set(word, [account]);
        else group.push(account);
      }
    }
    return index;
  }

  private askAboutAlike(): void {
    if (this.claimed.size === this.accounts.length) return;
    const byWord = this.freeByWord();
    this.rows.forEach(({ entry }, at) => {
      if (this.matches[at] !== null) return;
      const near = wordsOf(entry.name).flatMap((word) => {
        const group = byWord.get(word) ?? [];
        return group.length > COMMONPLACE ? [] : group;
      });
      let best: { id: AccountId; score: number } | null = null;
      for (const account of new Set(near)) {
        const { id, name } = account;
        const free = !this.claimed.has(id) && this.fitting(at, account) !== undefined;
        const score = free ? nameLikeness(name, entry.name) : 0;
        const enough = entry.number === null ? ASKED_WITHOUT_NUMBER : ASKED;
        if (score >= enough && score > (best?.score ?? 0)) best = { id, score };
      }
      if (best !== null) this.ask(at, { type: 'renamed', accountId: best.id });
    });
  }
}

/**
 * What each row of a list is in a chart: by number and name, by name alone (it is renumbered), by a
 * number with a like name (it is renamed), by what it was called before. Where a number means
 * something else in the chart, or a name is only alike, the row waits for an answer.
 */
export const matchRows = (
  chart: Chart,
  rows: readonly TreeRow[],
  request: MatchRequest,
): RowMatches =>
  accountCount(chart) === 0 && mergedAccounts(chart).length === 0
    ? { matches: rows.map(() => ({ type: 'new' })), clashing: 0 }
    : new Matcher(chart, rows, request).match();
