import { plainAccount, type Account, type AccountId } from '../chart/account';
import { isContra, type KindCode } from '../kinds/kinds';
import type { Operation } from '../operations/operation';
import type { AccountSettings } from '../settings/account-settings';
import type { LegalForm } from '../countries/legal-form';
import { lineOfUse, returnFormOf, usualReturnLine } from '../settings/return-forms';
import { nameKey } from '../text/name-key';
import {
  countryModules,
  exemptionOf,
  legalFormModule,
  localized,
  type CountryCode,
} from '../countries/countries';
import {
  SLOTS,
  TOPICS,
  type SlotCode,
  type StartingAccount,
  type StartingModule,
  type Topic,
} from '../countries/starting-account';
import { INDUSTRIES, type IndustryCode } from './industries';
import { BASE } from './modules/base';
import { PAYOUT_MODULE, TOPIC_MODULES } from './modules/topic-modules';
import { topicOf, usualAnswers, type StartingAnswers } from './questions';

/** What a starting chart is chosen by. */
export interface StartingChoice {
  readonly industry: IndustryCode;
  readonly legalForm: LegalForm;
  /** The United States where nothing is said. */
  readonly country?: CountryCode;
  /** The usual ones of the trade where nothing is said. */
  readonly answers?: StartingAnswers;
}

/** An account of a starting chart before it is made. */
export interface StartingLine {
  readonly number: string;
  readonly name: string;
  readonly kind: KindCode;
  readonly guidance: string;
  readonly systemUse: 'retainedEarnings' | null;
  /** The module that brought it in; empty for a heading. */
  readonly from: string;
  /** The answer on which it depends; `null` for none. */
  readonly topic: Topic | 'payouts' | null;
  readonly settings: AccountSettings;
  /** Whether channels of sale are told apart in it. */
  readonly byChannel: boolean;
  /** A sub-account for each channel, where they are kept apart so. */
  readonly below: readonly StartingLine[];
}

/** A heading of a starting chart with its accounts, contras last. */
export interface StartingGroup extends StartingLine {
  readonly accounts: readonly StartingLine[];
}

const SLOT_CODES = Object.keys(SLOTS) as SlotCode[];

const SLOT_STEP = 100;
const ACCOUNT_STEP = 10;
const NARROW_STEP = 5;

const slotNumber = (code: SlotCode): number => {
  const { range } = SLOTS[code];
  const peers = SLOT_CODES.filter((peer) => SLOTS[peer].range === range);
  return range + SLOT_STEP * peers.indexOf(code);
};

type Sourced = StartingAccount & {
  readonly from: string;
  readonly topic: StartingLine['topic'];
  readonly settings: AccountSettings;
};

type Whole = Required<StartingChoice>;

const whole = (choice: StartingChoice): Whole => ({
  country: 'US',
  answers: usualAnswers(choice.industry, choice.country),
  ...choice,
});

type FromModule = StartingAccount & Pick<StartingLine, 'from' | 'topic'>;

const accountsIn = (module: StartingModule): readonly FromModule[] =>
  module.accounts.map((account) => ({ ...account, from: module.name, topic: topicOf(account) }));

/** What an answer of yes brings in where the trade itself has nothing of it: all of it is there for that answer. */
const broughtByAnswers = (
  { has, payouts }: StartingAnswers,
  present: ReadonlySet<StartingLine['topic']>,
): readonly FromModule[] => [
  ...TOPICS.flatMap((topic) => {
    const module = has[topic] && !present.has(topic) ? TOPIC_MODULES[topic] : undefined;
    return module === undefined ? [] : accountsIn(module).map((account) => ({ ...account, topic }));
  }),
  ...(payouts !== 'none' && !present.has('payouts') ? accountsIn(PAYOUT_MODULE) : []),
];

const isWanted = (account: StartingAccount, { has, payouts }: StartingAnswers): boolean => {
  const topic = topicOf(account);
  if (topic === 'payouts')
    return payouts === 'monthly' || (payouts === 'each' && account.kind !== 'clearing');
  const worn = account.kind === 'accumulatedDepreciation' || account.kind === 'depreciation';
  if (worn && has.vehicles) return true;
  return topic === null || has[topic];
};

const withSettings = (account: StartingAccount, choice: Whole): AccountSettings => {
  const form = returnFormOf(choice);
  const line = lineOfUse(account.use, form);
  const usual = usualReturnLine(account.kind, choice);
  return line === null || line.line === usual?.line ? {} : { returnLine: line };
};

/** Where none of the sales tax that is paid comes back, there is no account for it, and that is said. */
const asExempt = <T extends StartingAccount>(
  account: T,
  { industry, country }: Whole,
): T | null => {
  const why = exemptionOf(industry, country);
  if (why === null) return account;
  if (account.kind === 'salesTaxRecoverable') return null;
  return account.kind === 'salesTaxPayable'
    ? { ...account, guidance: `${account.guidance} ${why}` }
    : account;
};

/** Without what is only there where nothing else of the chart has the same use. */
const withoutSpare = (accounts: readonly FromModule[]): readonly FromModule[] => {
  const direct = accounts.some(({ use }) => use === 'directContractors');
  const used = new Set(accounts.flatMap(({ use, unlessUsed }) => (unlessUsed ? [] : [use])));
  return accounts.filter(
    ({ use, unlessUsed }) => !unlessUsed || !(used.has(use) || (use === 'contractors' && direct)),
  );
};

/** The accounts of a choice, each name once, in the words of the country. */
const accountsOf = (choice: Whole): readonly Sourced[] => {
  const { industry, legalForm, country, answers } = choice;
  const modules = [legalFormModule(legalForm, country), BASE, ...INDUSTRIES[industry].modules];
  const own = modules.flatMap(accountsIn);
  const present = new Set(own.map(topicOf));
  const all = [
    ...own,
    ...countryModules(country).flatMap(accountsIn),
    ...broughtByAnswers(answers, present),
  ];
  const names = new Set<string>();
  return withoutSpare(all)
    .filter((account) => isWanted(account, answers))
    .map((account) => ({
      ...localized(account, choice),
      settings: withSettings(account, choice),
    }))
    .flatMap((account) => asExempt(account, choice) ?? [])
    .filter(({ name }) => !names.has(nameKey(name)) && names.add(nameKey(name)));
};

/** Contras take the last numbers of their group, so that a new account fits between. */
const accountNumber = (base: number, index: number, count: number, contra: boolean): number => {
  const step = count > 9 ? NARROW_STEP : ACCOUNT_STEP;
  return base + (contra ? SLOT_STEP - ACCOUNT_STEP * (count - index) : step * (index + 1));
};

const BY_CHANNEL: readonly KindCode[] = ['saleOfGoods', 'services', 'returnsAndDiscounts'];

/** Sales, what comes back of them, and what processors hold and keep are told apart by channel. */
const isByChannel = ({ slot, kind, topic }: Sourced): boolean =>
  topic === 'payouts' || (slot === 'sales' && BY_CHANNEL.includes(kind));

const channelLines = (line: StartingLine, { channels }: StartingAnswers): StartingLine['below'] =>
  line.byChannel && channels.apart === 'accounts'
    ? channels.names.map((channel, index) => ({
        ...line,
        number: String(Number(line.number) + index + 1),
        name: `${line.name}, ${channel}`,
        systemUse: null,
      }))
    : [];

const linesOf = (
  base: number,
  accounts: readonly Sourced[],
  answers: StartingAnswers,
): readonly StartingLine[] => {
  const contras = accounts.filter(({ kind }) => isContra(kind));
  const others = accounts.filter(({ kind }) => !isContra(kind));
  const line = (account: Sourced, number: number): StartingLine => {
    const { name, kind, guidance, systemUse, from, topic, settings } = account;
    const alone: StartingLine = {
      ...{ number: String(number), name, kind, guidance, from, topic, settings },
      systemUse: systemUse ?? null,
      byChannel: answers.channels.names.length > 0 && isByChannel(account),
      below: [],
    };
    return { ...alone, below: channelLines(alone, answers) };
  };
  return [
    ...others.map((account, i) => line(account, accountNumber(base, i, others.length, false))),
    ...contras.map((account, i) => line(account, accountNumber(base, i, contras.length, true))),
  ];
};

/**
 * The starting chart for a trade, a legal form, a country and the answers: the base, the trade's modules
 * and what form, country and answers need, grouped under headings and numbered in four digits. What the
 * answers rule out, and headings without accounts, are left out.
 */
export const composeStartingChart = (asked: StartingChoice): readonly StartingGroup[] => {
  const choice = whole(asked);
  const accounts = accountsOf(choice);
  return SLOT_CODES.flatMap((code): StartingGroup[] => {
    const own = accounts.filter(({ slot }) => slot === code);
    const [first] = own;
    if (first === undefined) return [];
    const { name, guidance } = localized(SLOTS[code], choice);
    const number = slotNumber(code);
    return [
      {
        number: String(number),
        name,
        kind: own.find(({ kind }) => !isContra(kind))?.kind ?? first.kind,
        guidance,
        systemUse: null,
        from: '',
        topic: null,
        settings: {},
        byChannel: false,
        below: [],
        accounts: linesOf(number, own, choice.answers),
      },
    ];
  });
};

/** How many accounts a starting chart comes to, headings and channels' sub-accounts counted. */
export const startingCount = (groups: readonly StartingGroup[]): number =>
  groups.reduce(
    (sum, { accounts }) => sum + 1 + accounts.reduce((own, { below }) => own + 1 + below.length, 0),
    0,
  );

/** What operations are made with: fresh ids, and the dimension by which channels are told apart, if any. */
export interface StartingRequest {
  newId(): string;
  readonly dimension?: { readonly name: string; readonly values: readonly string[] } | null;
}

const accountFrom = (
  line: StartingLine,
  id: AccountId,
  { role, dimensionId }: { readonly role: Account['role']; readonly dimensionId: string | null },
): Account =>
  plainAccount(
    { id, number: line.number, name: line.name, kind: line.kind },
    {
      role,
      guidance: line.guidance,
      systemUse: line.systemUse,
      settings:
        dimensionId !== null && line.byChannel
          ? { ...line.settings, dimensions: [{ dimensionId, valueId: null, demanded: true }] }
          : line.settings,
    },
  );

/** The operations that make a starting chart, headings before their accounts; first the dimension of its channels. */
export const startingOperations = (
  groups: readonly StartingGroup[],
  { newId, dimension = null }: StartingRequest,
): readonly Operation[] => {
  const operations: Operation[] = [];
  const dimensionId = dimension === null ? null : newId();
  if (dimension !== null && dimensionId !== null) {
    const values = dimension.values.map((name) => ({ id: newId(), name }));
    const own = { id: dimensionId, name: dimension.name, values };
    operations.push({ type: 'setDimension', id: dimensionId, dimension: own, afterId: null });
  }
  const addAll = (lines: readonly StartingLine[], parentId: AccountId | null): void => {
    let afterId: AccountId | null = null;
    for (const line of lines) {
      const role = parentId === null ? 'heading' : 'posting';
      const account = accountFrom(line, newId(), { role, dimensionId });
      operations.push({ type: 'addAccount', account, parentId, afterId });
      afterId = account.id;
      addAll('accounts' in line ? (line as StartingGroup).accounts : line.below, account.id);
    }
  };
  addAll(groups, null);
  return operations;
};
