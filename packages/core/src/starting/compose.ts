import { plainAccount, type Account, type AccountId } from '../chart/account';
import { isContra, type KindCode } from '../kinds/kinds';
import type { AddAccount } from '../operations/operation';
import { INDUSTRIES, type IndustryCode } from './industries';
import { BASE } from './modules/base';
import { LEGAL_FORM_MODULES } from './modules/legal-forms';
import {
  SLOTS,
  type LegalForm,
  type SlotCode,
  type StartingAccount,
  type StartingModule,
} from './starting-chart';

/** What a starting chart is chosen by. */
export interface StartingChoice {
  readonly industry: IndustryCode;
  readonly legalForm: LegalForm;
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
}

/** A heading of a starting chart with its accounts, contras last. */
export interface StartingGroup extends StartingLine {
  readonly accounts: readonly StartingLine[];
}

const SLOT_CODES = Object.keys(SLOTS) as SlotCode[];

const SLOT_STEP = 100;
const ACCOUNT_STEP = 10;

const slotNumber = (code: SlotCode): number => {
  const { range } = SLOTS[code];
  const peers = SLOT_CODES.filter((peer) => SLOTS[peer].range === range);
  return range + SLOT_STEP * peers.indexOf(code);
};

type Sourced = StartingAccount & { readonly from: string };

const modulesOf = ({ industry, legalForm }: StartingChoice): readonly StartingModule[] => [
  LEGAL_FORM_MODULES[legalForm],
  BASE,
  ...INDUSTRIES[industry].modules,
];

/** Contras take the last numbers of their group, so that a new account fits between. */
const accountNumber = (base: number, index: number, count: number, contra: boolean): number =>
  base + (contra ? SLOT_STEP - ACCOUNT_STEP * (count - index) : ACCOUNT_STEP * (index + 1));

const linesOf = (base: number, accounts: readonly Sourced[]): readonly StartingLine[] => {
  const contras = accounts.filter(({ kind }) => isContra(kind));
  const others = accounts.filter(({ kind }) => !isContra(kind));
  const line = (account: Sourced, number: number): StartingLine => ({
    number: String(number),
    name: account.name,
    kind: account.kind,
    guidance: account.guidance,
    systemUse: account.systemUse ?? null,
    from: account.from,
  });
  return [
    ...others.map((account, i) => line(account, accountNumber(base, i, others.length, false))),
    ...contras.map((account, i) => line(account, accountNumber(base, i, contras.length, true))),
  ];
};

/**
 * The starting chart for a trade and a legal form: the base, the trade's modules and what the
 * form needs, grouped under headings and numbered in four digits. Headings without accounts are left out.
 */
export const composeStartingChart = (choice: StartingChoice): readonly StartingGroup[] => {
  const accounts: readonly Sourced[] = modulesOf(choice).flatMap(({ name, accounts: own }) =>
    own.map((account) => ({ ...account, from: name })),
  );
  return SLOT_CODES.flatMap((code) => {
    const own = accounts.filter(({ slot }) => slot === code);
    const [first] = own;
    if (first === undefined) return [];
    const { name, guidance } = SLOTS[code];
    const number = slotNumber(code);
    return {
      number: String(number),
      name,
      kind: own.find(({ kind }) => !isContra(kind))?.kind ?? first.kind,
      guidance,
      systemUse: null,
      from: '',
      accounts: linesOf(number, own),
    };
  });
};

const accountFrom = (line: StartingLine, id: AccountId, role: Account['role']): Account =>
  plainAccount(
    { id, number: line.number, name: line.name, kind: line.kind },
    { role, guidance: line.guidance, systemUse: line.systemUse },
  );

/** The operations that make a starting chart, headings before their accounts. `newId` gives a fresh id at each call. */
export const startingOperations = (
  groups: readonly StartingGroup[],
  newId: () => AccountId,
): readonly AddAccount[] => {
  const operations: AddAccount[] = [];
  const add = (
    account: Account,
    parentId: AccountId | null,
    afterId: AccountId | null,
  ): AccountId => {
    operations.push({ type: 'addAccount', account, parentId, afterId });
    return account.id;
  };
  let previousGroup: AccountId | null = null;
  for (const group of groups) {
    const heading = add(accountFrom(group, newId(), 'heading'), null, previousGroup);
    let previous: AccountId | null = null;
    for (const line of group.accounts)
      previous = add(accountFrom(line, newId(), 'posting'), heading, previous);
    previousGroup = heading;
  }
  return operations;
};
