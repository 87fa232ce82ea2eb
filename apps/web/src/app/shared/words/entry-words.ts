import {
  formatAmount,
  type EntryDoubt,
  type EntryFault,
  type Frequency,
  type LineFault,
  type PlacedFault,
  type StandingFault,
  type Unread,
} from '@iunctus/core';
import { counted } from './counted';
import { dateWords } from './period-words';

/** What stands behind the words of a fault: how dimensions are called, in what amounts are. */
export interface FaultContext {
  readonly currency: string;
  dimensionName(id: string): string;
}

const amountOf = (amount: number, { currency }: FaultContext): string =>
  formatAmount(Math.abs(amount), { currency });

/** What is wrong with an entry as a whole, and what can be done. */
export const entryFaultWords = (fault: EntryFault, context: FaultContext): string => {
  switch (fault.code) {
    case 'locked':
      return $localize`The books are locked through ${dateWords(fault.through)}. Give a later date, or open the period under Locks.`;
    case 'afterOpenYears':
      return $localize`The date lies after the open years, which end on ${dateWords(fault.last)}.`;
    case 'tooFewLines':
      return $localize`An entry has two lines at least.`;
    case 'tooManyLines':
      return $localize`An entry that is typed has ${fault.most} lines at most. Post it in parts.`;
    case 'unbalanced':
      return fault.difference > 0
        ? $localize`Debits are ${amountOf(fault.difference, context)} more than credits.`
        : $localize`Credits are ${amountOf(fault.difference, context)} more than debits.`;
    case 'memorandumUnbalanced':
      return $localize`The memorandum accounts are out by ${amountOf(fault.difference, context)}; they balance among themselves.`;
    default:
      return fault satisfies never;
  }
};

/** What is wrong with a line, and what can be done. */
export const lineFaultWords = (fault: LineFault, context: FaultContext): string => {
  switch (fault.code) {
    case 'gone':
      return $localize`This account is not in the chart as adopted. Choose another, or adopt your proposal first.`;
    case 'heading':
      return $localize`This is a heading and takes no postings. Choose an account below it.`;
    case 'retired':
      return $localize`This account is retired since ${dateWords(fault.from)}. Choose another, or restore it.`;
    case 'systemOnly':
      return $localize`The system alone posts to this account. Its settings on the chart say so.`;
    case 'noAmount':
      return $localize`Give a debit or a credit.`;
    case 'tooMuch':
      return $localize`This amount is more than can be counted.`;
    case 'wantsValue':
      return $localize`This account wants a value of ${context.dimensionName(fault.dimensionId)}.`;
    case 'unknownValue':
      return $localize`The chart has no such value of ${context.dimensionName(fault.dimensionId)}.`;
    case 'onlyIn':
      return $localize`This account takes ${fault.currency} alone.`;
    case 'wrongRate':
      return $localize`Give the rate, such as 1.0845.`;
    case 'wrongConversion':
      return $localize`At this rate the amount comes to ${amountOf(fault.amount, context)}.`;
    default:
      return fault satisfies never;
  }
};

/** What is wrong with an entry or a line of it, and what can be done. */
export const faultWords = ({ line, fault }: PlacedFault, context: FaultContext): string =>
  line === null ? entryFaultWords(fault, context) : lineFaultWords(fault, context);

/** What of a typed entry cannot be read, or is not there yet. */
export const unreadWords = ({ field }: Unread): string => {
  switch (field) {
    case 'date':
      return $localize`Give a date.`;
    case 'account':
      return $localize`Choose an account.`;
    case 'debit':
    case 'credit':
      return $localize`This is no amount. Type digits, such as 1250.50, or a sum such as 12.50+3.`;
    case 'bothSides':
      return $localize`A line is a debit or a credit, never both.`;
    case 'rate':
      return $localize`Give the rate, such as 1.0845.`;
    default:
      return field satisfies never;
  }
};

const days = (count: number): string =>
  counted(count, { one: $localize`# day`, other: $localize`# days` });

/** What is asked about before an entry is posted. */
export const doubtWords = (doubt: EntryDoubt): string => {
  switch (doubt.code) {
    case 'farBack':
      return $localize`The date lies ${days(doubt.days)} back.`;
    case 'farAhead':
      return $localize`The date lies ${days(doubt.days)} ahead.`;
    case 'toRetainedEarnings':
      return $localize`Retained earnings take the year’s result by themselves. An entry there by hand is seldom meant.`;
    default:
      return doubt satisfies never;
  }
};

/** How often a standing entry comes. */
export const FREQUENCY_WORDS: Readonly<Record<Frequency, string>> = {
  weekly: $localize`Every week`,
  everyTwoWeeks: $localize`Every two weeks`,
  twiceAMonth: $localize`Twice a month`,
  monthly: $localize`Every month`,
  quarterly: $localize`Every quarter`,
  yearly: $localize`Every year`,
};

/** What keeps a standing entry from being kept. */
export const STANDING_FAULT_WORDS: Readonly<Record<StandingFault, string>> = {
  unnamed: $localize`Give it a name.`,
  noFirstDay: $localize`Give the first day.`,
  endsBefore: $localize`Give a last day that is not before the first.`,
  noTimes: $localize`Say how many times, from 1 to 9999.`,
  tooFewLines: $localize`An entry has two lines at least.`,
  noAccount: $localize`Choose an account in every line.`,
  unreadAmount: $localize`An amount cannot be read. Leave it empty to be asked for it each time.`,
};
