import type { CashFlowClass } from '../kinds/kind';
import { elementOf, KINDS, statementOf, type KindCode } from '../kinds/kinds';
import {
  OFFERED_IN,
  type AccountSettings,
  type OfferedIn,
  type SettingName,
} from './account-settings';

/** What of an account decides which settings it has. */
export interface Bearer {
  readonly kind: KindCode;
  readonly role: 'heading' | 'posting';
}

const MONETARY: readonly KindCode[] = [
  'cashOnHand',
  'bank',
  'clearing',
  'shortTermInvestment',
  'tradeReceivable',
  'otherReceivable',
  'longTermInvestment',
  'loanGiven',
  'tradePayable',
  'cardPayable',
  'deferredRevenue',
  'shortTermBorrowing',
  'dueToOwner',
  'longTermBorrowing',
];

const OPEN_ITEM: readonly KindCode[] = [
  'clearing',
  'tradeReceivable',
  'otherReceivable',
  'prepaidExpense',
  'loanGiven',
  'tradePayable',
  'cardPayable',
  'payrollPayable',
  'accruedExpense',
  'deferredRevenue',
  'dueToOwner',
  'otherCurrentLiability',
  'otherCurrentAsset',
];

const CONTROLLED: readonly KindCode[] = [
  'tradeReceivable',
  'otherReceivable',
  'inventory',
  'tradePayable',
  'deferredRevenue',
];

const AT_A_BANK: readonly KindCode[] = [
  'bank',
  'restrictedCash',
  'shortTermInvestment',
  'cardPayable',
];
const SECURITIES: readonly KindCode[] = ['shortTermInvestment', 'longTermInvestment'];

const onProfitAndLoss = (kind: KindCode): boolean => statementOf(kind) === 'profitAndLoss';
const posting = ({ role }: Bearer): boolean => role === 'posting';
const reachesStatement = ({ kind }: Bearer): boolean => elementOf(kind) !== 'memorandum';

const OFFERED: Readonly<Record<SettingName, (bearer: Bearer) => boolean>> = {
  subtotal: () => true,
  currency: (bearer) => posting(bearer) && MONETARY.includes(bearer.kind),
  openItems: (bearer) => posting(bearer) && OPEN_ITEM.includes(bearer.kind),
  controls: (bearer) => posting(bearer) && CONTROLLED.includes(bearer.kind),
  systemPostedOnly: posting,
  restrictedTo: posting,
  offeredIn: posting,
  salesTax: (bearer) =>
    posting(bearer) &&
    (onProfitAndLoss(bearer.kind) ||
      ['propertyAndEquipment', 'intangibleAsset', 'inventory'].includes(bearer.kind)),
  cashFlow: (bearer) => posting(bearer) && reachesStatement(bearer),
  returnLine: (bearer) => posting(bearer) && reachesStatement(bearer),
  payeeBox: (bearer) =>
    posting(bearer) &&
    (elementOf(bearer.kind) === 'expense' || bearer.kind === 'propertyAndEquipment'),
  dimensions: posting,
  bank: (bearer) => posting(bearer) && AT_A_BANK.includes(bearer.kind),
  security: (bearer) => posting(bearer) && SECURITIES.includes(bearer.kind),
  budget: (bearer) => posting(bearer) && onProfitAndLoss(bearer.kind),
  pinned: reachesStatement,
};

/** Every setting, in the order in which a person meets them. */
export const SETTING_NAMES = Object.keys(OFFERED) as [SettingName, ...SettingName[]];

/** Whether a setting makes sense for an account of that kind and role. */
export const isOffered = (bearer: Bearer, setting: SettingName): boolean =>
  OFFERED[setting](bearer);

const DOCUMENTS_OF: Partial<Record<KindCode, readonly OfferedIn[]>> = {
  saleOfGoods: ['sales', 'journals'],
  services: ['sales', 'journals'],
  returnsAndDiscounts: ['sales', 'journals'],
  otherOperatingRevenue: ['sales', 'banking', 'journals'],
  grantsAndDonations: ['sales', 'banking', 'journals'],
  costOfSales: ['purchases', 'banking', 'journals'],
  operatingExpense: ['purchases', 'banking', 'journals'],
  otherExpense: ['purchases', 'banking', 'journals'],
  financeCost: ['purchases', 'banking', 'journals'],
  investmentIncome: ['banking', 'journals'],
  propertyAndEquipment: ['purchases', 'journals'],
  intangibleAsset: ['purchases', 'journals'],
  inventory: ['purchases', 'journals'],
  prepaidExpense: ['purchases', 'banking', 'journals'],
  deferredRevenue: ['sales', 'banking', 'journals'],
  bank: ['banking', 'journals'],
  cashOnHand: ['banking', 'journals'],
  clearing: ['banking', 'journals'],
  cardPayable: ['banking', 'purchases', 'journals'],
  drawings: ['banking', 'journals'],
  ownersCapital: ['banking', 'journals'],
  dueToOwner: ['banking', 'purchases', 'journals'],
  shortTermBorrowing: ['banking', 'journals'],
  longTermBorrowing: ['banking', 'journals'],
};

/** What an account's settings come to, those of its kind filled in. */
export interface ResolvedSettings {
  readonly subtotal: boolean;
  readonly openItems: boolean;
  readonly controls: NonNullable<AccountSettings['controls']>;
  readonly systemPostedOnly: boolean;
  readonly offeredIn: readonly OfferedIn[];
  readonly cashFlow: CashFlowClass;
  readonly pinned: boolean;
}

/** The documents on which accounts of a kind are usually offered. Common practice, no source. */
export const usualDocuments = (kind: KindCode): readonly OfferedIn[] =>
  DOCUMENTS_OF[kind] ?? ['journals'];

/** An account's settings with the usual ones of its kind where it has none of its own. Own ones that its kind does not offer sleep. */
export const resolvedSettings = (
  account: Bearer & { readonly settings: AccountSettings },
): ResolvedSettings => {
  const { kind, settings } = account;
  const own = <K extends SettingName>(name: K): AccountSettings[K] | undefined =>
    isOffered(account, name) ? settings[name] : undefined;
  const { usual, cashFlow } = KINDS[kind];
  return {
    subtotal: own('subtotal') ?? true,
    openItems: own('openItems') ?? usual?.openItems ?? false,
    controls: own('controls') ?? usual?.controls ?? 'none',
    systemPostedOnly: own('systemPostedOnly') ?? usual?.systemPostedOnly ?? false,
    offeredIn: own('offeredIn') ?? usualDocuments(kind),
    cashFlow: own('cashFlow') ?? cashFlow,
    pinned: own('pinned') ?? false,
  };
};

/** The documents in their usual order. */
export const inDocumentOrder = (documents: readonly OfferedIn[]): readonly OfferedIn[] =>
  OFFERED_IN.filter((one) => documents.includes(one));
