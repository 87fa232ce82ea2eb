import { titleOf, type AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { knownAccount } from '../chart/queries';
import { shortMonths } from '../dates/month-names';
import { formatTenths } from '../money/format';
import { STANDARD_TERMS, type Terms } from '../statements/terms/terms';
import type { Finding, FindingCode, FindingOf, Fix } from './finding';

/** With what a finding is told: the client's own accounts, in the client's words. */
export interface Telling {
  readonly chart: Chart;
  readonly terms?: Terms;
}

/** A finding in words: what it is, and why it matters for the statements. */
export interface FindingWords {
  readonly says: string;
  readonly why: string;
}

interface Said extends Required<Telling> {
  /** An account as it is called. */
  readonly called: (id: AccountId | undefined) => string;
  /** What kind it is. */
  readonly kindOf: (id: AccountId | undefined) => string;
  /** Several, the first ones by name. */
  readonly some: (ids: readonly AccountId[]) => string;
}

/** From so many per cent on, what is likely is said as it is. */
const SURE = 70;

/** What speaks for another kind, and how clearly. */
const cluesFor = (by: 'name' | 'place', sure: number): string => {
  const isSure = sure >= SURE;
  if (by === 'name')
    return isSure ? 'Its name says so' : 'Its name speaks for it more than for any other kind';
  const clues = 'Its name, its neighbours and its number';
  return isSure ? `${clues} say so` : `${clues} speak for it more than for any other kind`;
};

/** How many accounts are named one by one. */
const NAMED = 3;

const saidWith = ({ chart, terms = STANDARD_TERMS }: Telling): Said => {
  const called = (id: AccountId | undefined): string => {
    const account = id === undefined ? undefined : knownAccount(chart, id);
    return account === undefined ? 'an account' : `“${titleOf(account)}”`;
  };
  const kindOf = (id: AccountId | undefined): string => {
    const account = id === undefined ? undefined : knownAccount(chart, id);
    return account === undefined ? '' : terms.kinds[account.kind];
  };
  const some = (ids: readonly AccountId[]): string => {
    const named = ids.slice(0, NAMED).map(called).join(', ');
    return ids.length > NAMED ? `${named} and ${ids.length - NAMED} more` : named;
  };
  return { chart, terms, called, kindOf, some };
};

const months = (count: number): string => (count === 1 ? 'a month' : `${count} months`);
const perCent = (tenths: number): string => `${formatTenths(tenths, 'sign')} %`;

const quoted = (texts: readonly string[]): string => texts.map((text) => `“${text}”`).join(', ');

type Words<C extends FindingCode> = (finding: FindingOf<C>, said: Said) => FindingWords;

/** What each rule says: a row each. */
const WORDS: { readonly [C in FindingCode]: Words<C> } = {
  kindDoubt: ({ accountIds: [id], facts: { likely, sure, by } }, { called, kindOf, terms }) => ({
    says: `${called(id)} reads as “${terms.kinds[likely]}”, not “${kindOf(id)}”.`,
    why: `${cluesFor(by, sure)}, to ${sure} per cent. As it is, it counts on another line of the statements.`,
  }),
  unusualBalance: ({ accountIds: [id], facts }, { called }) => ({
    says: `${called(id)} has stood on the unusual side for ${months(facts.months)}.`,
    why: 'Something was posted to it that belongs elsewhere, or something that belongs to it was not.',
  }),
  leftToClear: ({ accountIds: [id], facts }, { called }) => ({
    says: `${called(id)} has not come to nothing for ${months(facts.months)}.`,
    why: 'What passes through it has no place of its own on the statements.',
  }),
  controlApart: ({ accountIds: [id], facts: { month } }, { called }) => ({
    says: `${called(id)} differs from its open items at the end of ${shortMonths({ first: month, last: month })}.`,
    why: 'Something was posted to it that is on no invoice, or an invoice or payment was not: what is owed on the statement is not what can be asked for.',
  }),
  misplacedLine: ({ accountIds: [id], facts: { why } }, { called }) => ({
    says: {
      noLine: `${called(id)} has no line on the return.`,
      otherForm: `${called(id)} goes to a line of another return.`,
      twice: `${called(id)} goes elsewhere on the return than the account above it.`,
    }[why],
    why: 'What is posted to it does not reach the return as the form wants it.',
  }),
  layoutMisses: ({ accountIds, facts: { layout } }, { some }) => ({
    says: `The layout “${layout}” misses accounts, or has some twice.`,
    why: `What it prints does not agree with the trial balance: ${some(accountIds)}.`,
  }),
  contraApart: ({ accountIds: [id], facts: { besideId } }, { called }) => ({
    says: `${called(id)} does not stand with ${called(besideId)}, from which it is taken.`,
    why: 'The statement shows the two apart, and neither says what is left.',
  }),
  assetsNotDepreciated: ({ accountIds }, { some }) => ({
    says: `There is no account for how far ${some(accountIds)} ${accountIds.length === 1 ? 'is' : 'are'} worn.`,
    why: 'Equipment stands at what it cost, and the profit bears none of it.',
  }),
  postedParent: ({ accountIds: [id], facts: { below } }, { called }) => ({
    says: `${called(id)} takes postings beside its ${below === 1 ? 'sub-account' : `${below} sub-accounts`}.`,
    why: 'What is posted to it itself is seen in none of them.',
  }),
  duplicate: ({ accountIds: [id], facts: { of } }, { called }) => ({
    says: `${called(id)} says the same as ${called(of)}.`,
    why: 'One thing stands on two lines, and neither shows all of it.',
  }),
  catchAll: ({ accountIds: [id], facts: { part, before, holds } }, { called }) => ({
    says: `${called(id)} takes ${perCent(part)} of all costs${before > 0 && part > before ? `, and grows: ${perCent(before)} the year before` : ''}.`,
    why: `Nobody sees from the statement what it was spent on${holds.length > 0 ? `: ${quoted(holds)}` : ''}.`,
  }),
  sortApart: ({ accountIds: [id], facts: { words, count, into } }, { called }) => ({
    says:
      into === null
        ? `${count} postings in ${called(id)} are “${words}”.`
        : `${count} postings in ${called(id)} are “${words}”, which ${called(into)} is for.`,
    why: 'On a line of its own, or on its own line, it is seen what it costs.',
  }),
  sameLines: ({ accountIds: [id], facts: { of, words } }, { called }) => ({
    says: `“${words}” is posted now to ${called(id)} and now to ${called(of)}, of the same amounts.`,
    why: 'One thing stands on two lines, and neither shows all of it.',
  }),
  tooManyMainLines: ({ facts: { section, count } }, { terms }) => ({
    says: `${terms.sections[section]} has ${count} main lines.`,
    why: 'The statement does not fit a page; a few groups would hold them.',
  }),
  tooDeep: ({ accountIds: [id], facts: { level } }, { called }) => ({
    says: `${called(id)} stands ${level} levels deep.`,
    why: 'Nobody reads a statement that deep.',
  }),
  onlyChild: ({ accountIds: [id], facts: { childId } }, { called }) => ({
    says: `${called(id)} is a heading over ${called(childId)} alone.`,
    why: 'The statement says the same amount twice.',
  }),
  emptyHeading: ({ accountIds: [id] }, { called }) => ({
    says: `Nothing stands under the heading ${called(id)}.`,
    why: 'It is a line without an amount.',
  }),
  planProblem: () => ({
    says: 'The number plan contradicts itself.',
    why: 'No number can be held against it; it is mended under Numbers.',
  }),
  numberMisfit: ({ accountIds: [id], facts: { to } }, { called }) => ({
    says: `${called(id)} bears a number that the plan keeps for others${to === null ? '' : `; ${to} would fit`}.`,
    why: 'The order of numbers and that of the statement differ.',
  }),
  repeatedBelow: ({ accountIds, facts: { values, before, after } }, { some }) => ({
    says: `${values.slice(0, NAMED).join(', ')}${values.length > NAMED ? ' …' : ''} stand below each of ${some(accountIds)}.`,
    why: `Two things are told apart at once. With a dimension for the second, ${before} accounts would be ${after}.`,
  }),
  tinyAccounts: ({ accountIds, facts: { count } }, { some }) => ({
    says: `${count} costs beside one another take next to nothing each: ${some(accountIds)}.`,
    why: 'They fill the statement and change nobody’s mind.',
  }),
  retiredInRoute: ({ accountIds: [id] }, { called }) => ({
    says: `${called(id)} is retired, and a route or a standing entry still posts to it.`,
    why: 'What comes next finds no account.',
  }),
  retainedByHand: ({ accountIds: [id], facts: { month, count } }, { called }) => ({
    says: `${called(id)} was posted to in ${shortMonths({ first: month, last: month })}${count > 1 ? ` and in ${count - 1} more` : ''}, within a fiscal year.`,
    why: 'What belongs to the year passes by its profit and loss.',
  }),
  neverUsed: ({ accountIds: [id] }, { called }) => ({
    says: `Nothing was ever posted to ${called(id)}.`,
    why: 'It is one more account to choose a wrong one from.',
  }),
  longUnused: ({ accountIds: [id], facts }, { called }) => ({
    says: `Nothing was posted to ${called(id)} for ${months(facts.months)}, and it stands at zero.`,
    why: 'Retired, it keeps its history and leaves the lists.',
  }),
  nameSaysNothing: ({ accountIds: [id] }, { called }) => ({
    says: `${called(id)} does not say what belongs there.`,
    why: 'Whoever posts has to guess, and so has whoever reads.',
  }),
  nameBlanks: ({ accountIds: [id], facts: { to } }, { called }) => ({
    says: `${called(id)} has blanks too many; “${to}” has none.`,
    why: 'It is not found as it is typed.',
  }),
  nameCapitals: ({ accountIds: [id], facts: { to } }, { called }) => ({
    says: `${called(id)} would read better as “${to}”.`,
    why: 'On a statement beside others it shouts, or looks unfinished.',
  }),
  nameShortened: ({ accountIds: [id], facts: { to } }, { called }) => ({
    says: `${called(id)} is cut short; “${to}” is not.`,
    why: 'The client reads it on the statement.',
  }),
  misspelled: ({ accountIds: [id], facts: { word, to } }, { called }) => ({
    says: `“${word}” in ${called(id)} is in no dictionary; “${to}” is.`,
    why: 'Whoever looks for it as it is spelled does not find it.',
  }),
  twoWords: ({ accountIds: [id], facts: { word, to } }, { called }) => ({
    says: `${called(id)} says “${word}”, where other accounts say “${to}”.`,
    why: 'Who reads the statement wonders whether two things are meant.',
  }),
  noGuidance: ({ facts: { count } }) => ({
    says: `${count} accounts do not say what belongs in them.`,
    why: 'A sentence each keeps the next posting from going astray.',
  }),
};

/** A finding in words, with the client's own accounts. */
export const findingWords = (finding: Finding, telling: Telling): FindingWords =>
  (WORDS[finding.code] as Words<FindingCode>)(finding, saidWith(telling));

/** What a fix does, in words. */
export const fixWords = ({ says }: Fix, telling: Telling): string => {
  const { called, terms } = saidWith(telling);
  switch (says.does) {
    case 'merge':
      return `Merge ${called(says.id)} into ${called(says.into)}; its history follows`;
    case 'mergeAll':
      return `Merge ${says.count === 1 ? 'the other' : `the ${says.count} others`} into ${called(says.into)}; their history follows`;
    case 'moveOut':
      return says.count === 1
        ? 'Put its sub-account beside it'
        : `Put its ${says.count} sub-accounts beside it`;
    case 'dimension':
      return `Tell them apart by a dimension: ${says.before} accounts become ${says.after}, and every total stays`;
    case 'splitInto':
      return `Let what is “${says.words}” count with ${called(says.into)}; the entries stay as they are`;
    case 'splitOff':
      return `Give it an account of its own, “${says.name}”; the entries stay as they are`;
    case 'giveKind':
      return `Give it the kind “${terms.kinds[says.kind]}”; its history moves, in every year`;
    case 'rename':
      return `Call it “${says.to}”`;
    case 'renumber':
      return `Give it the number ${says.to}`;
    case 'moveUnder':
      return says.parentId === null
        ? 'Make it a main account'
        : `Move it under ${called(says.parentId)}`;
    case 'renumberAll':
      return 'Renumber all that do not fit, with the fewest changes';
    case 'usualLine':
      return 'Let it go to the usual line of its kind';
    case 'remove':
      return 'Remove it';
    case 'restore':
      return 'Open it to postings again';
    case 'retire':
      return 'Retire it';
    case 'dissolve':
      return 'Put what is below it in its place';
  }
};

/** What each severity is called. */
export const SEVERITY_NAMES: Readonly<Record<Finding['severity'], string>> = {
  wrong: 'Wrong',
  doubtful: 'Doubtful',
  couldBeNeater: 'Could be neater',
};
