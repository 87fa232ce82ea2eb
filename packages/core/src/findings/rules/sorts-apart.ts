import { plainAccount, type AccountId } from '../../chart/account';
import type { Chart, ChartNode } from '../../chart/chart';
import { parentIdOf } from '../../chart/queries';
import { elementOf, sectionOf, statementOf } from '../../kinds/kinds';
import { isBeside, isNamedSeveral, thingsSaid, widerThan } from '../../matching/trade-words';
import { wordsOf } from '../../matching/words';
import { add, type Minor } from '../../money/minor';
import type { Operation } from '../../operations/operation';
import { planAdding } from '../../planning/adding';
import type { WordsPosted } from '../../postings/posted-words';
import { isCatchAll } from '../../text/catch-all';
import { saysNothing } from '../../text/neat-name';
import { atStake, openAccounts } from '../accounts';
import type { FindingOf, FindingRule, Fix, LookedAt } from '../finding';
import { saidOf, saysSomething } from '../said-of';

/** So many postings make a sort, of so many thousandths of their account; a large account has so many of its element. */
const SORT = { postings: 3, part: 100 } as const;
const LARGE = 50;
/** So many sorts of one account are told. */
const TOLD = 4;

/** What makes up more thousandths of its account than this is no sort beside others. */
const WHOLE = 900;

/** Topics that are said of nearly everything, and tell nothing. */
const SAID_OF_ALL = new Set(['sales', 'purchases', 'owner', 'banking', 'miscellaneous']);

const topicsIn = (text: string): readonly string[] =>
  thingsSaid(text).flatMap((thing) =>
    thing.known && !isBeside(thing) && !SAID_OF_ALL.has(thing.name) ? [thing.name] : [],
  );

/** Where or how: of a topic that businesses often have several accounts of, these tell them apart. */
const besidesIn = (text: string): readonly string[] =>
  thingsSaid(text).flatMap((thing) => (isBeside(thing) ? [thing.name] : []));

/** Whether an account's name says of which of several things it is, and what was said is another. */
const isOfAnother = (said: string, name: string, topic: string): boolean => {
  if (!isNamedSeveral(topic)) return false;
  const own = new Set(besidesIn(name));
  return besidesIn(said).some((beside) => !own.has(beside));
};

/** Whether an account's name says more than what was said: it is for something narrower. */
const isNarrower = (said: string, name: string): boolean => {
  const words = new Set(wordsOf(said));
  return thingsSaid(name).some((thing) => !thing.known && !words.has(thing.name));
};

/** Whether what was said belongs in an account by its name: they share a word, or the name takes the topic in. */
const belongs = (said: string, name: string): boolean => {
  const words = new Set(wordsOf(name));
  if (wordsOf(said).some((word) => words.has(word))) return true;
  const own = new Set(thingsSaid(name).map((thing) => thing.name));
  return topicsIn(said).some((topic) => [topic, ...widerThan(topic)].some((one) => own.has(one)));
};

/** The account that is for what was said: for what was said first, and the one with most of several; `null` for none. */
const placeFor = ({ chart, use }: LookedAt, node: ChartNode, said: string): AccountId | null => {
  const others = openAccounts(chart).filter(
    ({ account: { id, kind, name } }) =>
      id !== node.account.id &&
      sectionOf(kind) === sectionOf(node.account.kind) &&
      !isCatchAll(name) &&
      !isNarrower(said, name),
  );
  for (const topic of topicsIn(said)) {
    const fit = others.filter(
      ({ account: { name } }) => topicsIn(name).includes(topic) && !isOfAnother(said, name, topic),
    );
    const [best] = [...fit].sort((a, b) => atStake(use, b) - atStake(use, a));
    if (best !== undefined) return best.account.id;
  }
  return null;
};

const named = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

const splitInto = (
  { newId }: LookedAt,
  { account: { id }, absorbed }: ChartNode,
  {
    words,
    into,
    upTo,
  }: { readonly words: string; readonly into: AccountId; readonly upTo: number },
): readonly Operation[] =>
  [id, ...absorbed].map((from) => ({
    type: 'split',
    split: {
      id: newId(),
      from,
      into,
      choice: { first: null, last: null, sources: [], words, value: null, upTo },
    },
  }));

const newAccount = (
  chart: Chart,
  node: ChartNode,
  id: AccountId,
  words: string,
): readonly Operation[] => {
  const { kind } = node.account;
  const account = plainAccount({ id, number: null, name: named(words), kind });
  const place = { parentId: parentIdOf(chart, node.account.id), afterId: node.account.id };
  return planAdding(chart, account, place);
};

const fixFor = (
  lookedAt: LookedAt,
  node: ChartNode,
  { words }: WordsPosted,
  place: AccountId | null,
): readonly Fix[] => {
  const { chart, newId, posted } = lookedAt;
  const upTo = posted?.upTo ?? 0;
  if (place !== null)
    return [
      {
        says: { does: 'splitInto', words, into: place },
        operations: splitInto(lookedAt, node, { words, into: place, upTo }),
      },
    ];
  const into = newId();
  return [
    {
      says: { does: 'splitOff', words, name: named(words) },
      operations: [
        ...newAccount(chart, node, into, words),
        ...splitInto(lookedAt, node, { words, into, upTo }),
      ],
    },
  ];
};

/** What says nothing of a topic is a sort of its own only where its account says nothing either. */
const isClear = (said: WordsPosted, name: string): boolean =>
  topicsIn(said.words).length > 0 ||
  ((isCatchAll(name) || saysNothing(name)) && saysSomething(said.words));

const sortsIn = (lookedAt: LookedAt, node: ChartNode): readonly FindingOf<'sortApart'>[] => {
  const { chart, posted, use } = lookedAt;
  const { id, name } = node.account;
  if (posted === null) return [];
  const stake = atStake(use, node);
  return saidOf(chart, posted, node)
    .filter(
      (said) =>
        Math.abs(said.amount) * 1000 <= stake * WHOLE &&
        said.count >= SORT.postings &&
        Math.abs(said.amount) * 1000 >= stake * SORT.part &&
        isClear(said, name) &&
        !belongs(said.words, name),
    )
    .slice(0, TOLD)
    .map((said) => {
      const place = placeFor(lookedAt, node, said.words);
      return {
        code: 'sortApart',
        severity: 'couldBeNeater',
        accountIds: [id],
        amount: Math.abs(said.amount),
        facts: { words: said.words, count: said.count, into: place },
        fixes: fixFor(lookedAt, node, said, place),
      };
    });
};

/**
 * Postings of one clear sort in a large account that is for something else, or for anything: found from what was said of
 * them. They can count with the account that is for it, or with one of their own; the entries stay as they are.
 */
export const sortsApart: FindingRule<'sortApart'> = (lookedAt) => {
  const { chart, use, posted } = lookedAt;
  if (use === null || posted === null) return [];
  const accounts = openAccounts(chart).filter(
    ({ account }) => statementOf(account.kind) === 'profitAndLoss',
  );
  const sums = new Map<string, Minor>();
  for (const node of accounts) {
    const element = elementOf(node.account.kind);
    sums.set(element, add(sums.get(element) ?? 0, atStake(use, node)));
  }
  return accounts
    .filter((node) => {
      const stake = atStake(use, node);
      const whole = sums.get(elementOf(node.account.kind)) ?? 0;
      const isLarge = stake * 1000 >= whole * LARGE || isCatchAll(node.account.name);
      return stake > 0 && isLarge;
    })
    .flatMap((node) => sortsIn(lookedAt, node));
};
