import type { FindingCode } from './finding';

/** What each rule looks for: a row each, in the order in which findings of one severity and amount stand. */
export const RULE_NAMES: Readonly<Record<FindingCode, string>> = {
  kindDoubt: 'Kinds that the name, the place or the number contradict',
  unusualBalance: 'Balances on the unusual side',
  leftToClear: 'Clearing accounts that do not come to nothing',
  controlApart: 'Control accounts that differ from their open items',
  misplacedLine: 'Accounts on no line of the return, or on a wrong one',
  layoutMisses: 'Layouts that miss accounts, or have some twice',
  retiredInRoute: 'Retired accounts to which something still leads',
  retainedByHand: 'Retained earnings posted to by hand',
  contraApart: 'Contra accounts apart from what they are taken from',
  assetsNotDepreciated: 'Equipment without its accumulated depreciation',
  postedParent: 'Postings to an account that has sub-accounts',
  duplicate: 'Accounts that say the same as another',
  sameLines: 'Accounts to which the same is posted',
  catchAll: '“Miscellaneous” and the like that take too much',
  sortApart: 'Postings of one sort in an account for something else',
  repeatedBelow: 'The same sub-accounts below several accounts',
  tinyAccounts: 'Many costs that take next to nothing each',
  tooManyMainLines: 'More main lines than fit a page',
  tooDeep: 'Accounts too deep to be read',
  onlyChild: 'Headings over one account alone',
  emptyHeading: 'Headings over nothing',
  planProblem: 'Number plans that contradict themselves',
  numberMisfit: 'Numbers that do not fit the plan',
  neverUsed: 'Accounts to which nothing was ever posted',
  longUnused: 'Accounts that are no longer used',
  nameSaysNothing: 'Names that say nothing',
  misspelled: 'Words that are spelled wrong',
  twoWords: 'Two words for one thing',
  nameBlanks: 'Blanks too many in a name',
  nameCapitals: 'Names in capitals, or without any',
  nameShortened: 'Words that are cut short',
  noGuidance: 'Accounts that do not say what belongs in them',
};

/** What rules are about, in the order in which they are offered. */
export const RULE_SORTS = ['statement', 'duplicates', 'shape', 'numbers', 'use', 'names'] as const;
export type RuleSort = (typeof RULE_SORTS)[number];

/** What each rule is about. */
export const SORT_OF: Readonly<Record<FindingCode, RuleSort>> = {
  kindDoubt: 'statement',
  unusualBalance: 'statement',
  leftToClear: 'statement',
  controlApart: 'statement',
  misplacedLine: 'statement',
  layoutMisses: 'statement',
  retainedByHand: 'statement',
  contraApart: 'statement',
  assetsNotDepreciated: 'statement',
  duplicate: 'duplicates',
  sameLines: 'duplicates',
  postedParent: 'shape',
  repeatedBelow: 'shape',
  tooManyMainLines: 'shape',
  tooDeep: 'shape',
  onlyChild: 'shape',
  emptyHeading: 'shape',
  planProblem: 'numbers',
  numberMisfit: 'numbers',
  retiredInRoute: 'use',
  catchAll: 'use',
  sortApart: 'use',
  tinyAccounts: 'use',
  neverUsed: 'use',
  longUnused: 'use',
  nameSaysNothing: 'names',
  misspelled: 'names',
  twoWords: 'names',
  nameBlanks: 'names',
  nameCapitals: 'names',
  nameShortened: 'names',
  noGuidance: 'names',
};

/** The codes of all rules, in that order. */
export const FINDING_CODES = Object.keys(RULE_NAMES) as readonly FindingCode[];
