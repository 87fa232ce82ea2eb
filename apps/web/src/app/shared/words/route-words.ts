import {
  formatAmount,
  type Breach,
  type Decision,
  type Expected,
  type LineSource,
  type MarketSort,
  type PartyRole,
  type Purpose,
  type RouteContent,
  type Sample,
  type WordRule,
} from '@iunctus/core';
import { terms } from './terms';

/** What each purpose is called. */
export const PURPOSE_WORDS: Readonly<Record<Purpose, string>> = {
  bank: $localize`Bank`,
  cash: $localize`Cash takings`,
  sale: $localize`Sale`,
  saleReturn: $localize`Sale taken back`,
  discountGiven: $localize`Discount given`,
  receivable: $localize`Owed by customers`,
  purchase: $localize`Purchase`,
  discountTaken: $localize`Discount taken`,
  payable: $localize`Owed to suppliers`,
  inventory: $localize`Goods in store`,
  costOfSales: $localize`Cost of what was sold`,
  salesTaxOwed: $localize`Sales tax within sales`,
  salesTaxPaid: $localize`Sales tax within purchases`,
  wages: $localize`Wages`,
  holding: $localize`Held by marketplaces and processors`,
  heldBack: $localize`Held back as a reserve`,
  sellingFee: $localize`Fees of marketplaces and processors`,
  bankCharge: $localize`Bank charges`,
  interestPaid: $localize`Interest paid`,
  interestEarned: $localize`Interest earned`,
  rounding: $localize`Rounding`,
  exchangeDifference: $localize`Exchange differences`,
  drawings: $localize`Taken by the owners`,
  openingEquity: $localize`Opening balances`,
  retainedEarnings: $localize`Retained earnings`,
};

export const PARTY_ROLE_WORDS: Readonly<Record<PartyRole, string>> = {
  customer: $localize`Customer`,
  supplier: $localize`Supplier`,
  item: $localize`Item`,
};

export const LINE_SOURCE_WORDS: Readonly<Record<LineSource, string>> = {
  bank: $localize`Bank`,
  payout: $localize`Marketplace`,
};

export const MARKET_SORT_WORDS: Readonly<Record<MarketSort, string>> = {
  sale: $localize`Sales`,
  refund: $localize`Refunds`,
  fee: $localize`Fees`,
  reserve: $localize`Reserve`,
  payout: $localize`Payouts`,
};

const amountWords = (amount: number, currency: string): string =>
  formatAmount(amount, { currency });

const boundsWords = ({ least, most }: WordRule, currency: string): string => {
  const [from, to] = [least, most].map((one) => (one === null ? '' : amountWords(one, currency)));
  if (least !== null && most !== null) return $localize`${from} to ${to}`;
  if (least !== null) return $localize`${from} or more`;
  return most === null ? '' : $localize`at most ${to}`;
};

/** What a rule looks for, in one sentence. `currency` is the books'. */
export const ruleWords = (rule: WordRule, currency: string): string => {
  const words =
    rule.how === 'contains'
      ? $localize`contains “${rule.words}”`
      : $localize`starts with “${rule.words}”`;
  const sign =
    rule.sign === null ? '' : rule.sign === 'in' ? $localize`money in` : $localize`money out`;
  const source = rule.source === null ? '' : LINE_SOURCE_WORDS[rule.source];
  return [words, sign, boundsWords(rule, currency), source].filter((one) => one !== '').join(' · ');
};

/** What decided where something goes. */
export const decisionWords = (decision: Decision): string => {
  switch (decision.by) {
    case 'rule':
      return $localize`Rule “${decision.rule.content.words}”`;
    case 'party':
      return decision.party.content.name;
    case 'default':
      return $localize`Default for: ${PURPOSE_WORDS[decision.purpose]}`;
    case 'itself':
      return $localize`Named by hand`;
    case 'nothing':
      return decision.wanted === null
        ? $localize`No rule says where`
        : $localize`No default for: ${PURPOSE_WORDS[decision.wanted]}`;
    default:
      return decision satisfies never;
  }
};

/** Why a proof does not hold. */
export const BREACH_WORDS: Readonly<Record<Breach, string>> = {
  unrouted: $localize`nothing says where it goes`,
  gone: $localize`its account is gone`,
  takesNone: $localize`its account takes no postings`,
  offStatements: $localize`it reaches no statement`,
  otherSection: $localize`it lands in another section`,
  elsewhere: $localize`it counts under another line`,
  otherReturnLine: $localize`it lands on another line of the return`,
};

/** A sample in words; `called` says accounts, `partyName` customers, suppliers and items. */
export const sampleWords = (
  sample: Sample,
  {
    currency,
    called,
    partyName,
  }: {
    readonly currency: string;
    readonly called: (id: string) => string;
    readonly partyName: (id: string) => string;
  },
): string => {
  switch (sample.by) {
    case 'line':
      return `“${sample.text}”, ${amountWords(sample.amount, currency)}`;
    case 'purpose':
      return sample.partyId === null
        ? PURPOSE_WORDS[sample.purpose]
        : $localize`${PURPOSE_WORDS[sample.purpose]}, ${partyName(sample.partyId)}`;
    case 'account':
      return $localize`Posted on ${called(sample.accountId)}`;
    default:
      return sample satisfies never;
  }
};

/** Where something must land, in words. */
export const expectedWords = (
  { section, underId }: Expected,
  called: (id: string) => string,
): string =>
  underId === null
    ? terms().sections[section]
    : $localize`${terms().sections[section]}, under ${called(underId)}`;

/** What a piece of the routes is, in a few words. `currency` is the books'. */
export const routeContentWords = (content: RouteContent, currency: string): string => {
  switch (content.type) {
    case 'default':
      return $localize`Default for: ${PURPOSE_WORDS[content.purpose]}`;
    case 'rule':
      return $localize`Rule: ${ruleWords(content, currency)}`;
    case 'party':
      return `${PARTY_ROLE_WORDS[content.role]}: ${content.name}`;
    case 'proof':
      return $localize`Proof: ${content.name}`;
    case 'taxCode':
      return content.name;
    case 'gate':
      return $localize`What breaks a proof cannot be adopted`;
    default:
      return content satisfies never;
  }
};
