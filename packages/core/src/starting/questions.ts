import type { IndustryCode } from './industries';
import { INDUSTRIES } from './industries';
import { exemptionOf, isAskedIn, type CountryCode } from '../countries/countries';
import { TOPICS, type StartingAccount, type Topic } from '../countries/starting-account';

/**
 * How takings that a processor or marketplace pays out are recorded: `each` payout when it arrives, whole
 * with its fees; or `monthly` from the processor's statement, with a holding account that the payouts empty.
 */
export type PayoutRecording = 'none' | 'each' | 'monthly';

/** Channels or markets of sale, and how they are kept apart. */
export interface Channels {
  readonly names: readonly string[];
  readonly apart: 'accounts' | 'dimension';
}

/** The answers to all questions. */
export interface StartingAnswers {
  readonly has: Readonly<Record<Topic, boolean>>;
  readonly payouts: PayoutRecording;
  readonly channels: Channels;
}

/** Most channels for which an account has room below it: 4011 to 4019 under 4010. */
export const CHANNELS_LIMIT = 9;

const WAGES = /\b(wages|payroll|staff|national insurance|source deductions)\b|’ pay$/i;
const FEES = /^(card processing|marketplace) fees$/i;
const VEHICLES = /^(vehicles|fuel|vehicle repairs and insurance)$/i;
const OF_LOANS = /^(loan|mortgage) interest$/i;
const OF_GIFTS = /^(pledges receivable|fundraising)$/i;

/** What an account is there for; `null` when every client of its trade needs it. */
export const topicOf = (account: StartingAccount): Topic | 'payouts' | null => {
  const { name, kind, slot, asked } = account;
  if (asked !== undefined) return asked;
  if (VEHICLES.test(name)) return 'vehicles';
  if (/^tips payable$/i.test(name)) return 'tips';
  if (kind === 'clearing' || FEES.test(name)) return 'payouts';
  if (slot === 'stock' || /^stock lost/i.test(name)) return 'stock';
  if (slot === 'payrollDue' || WAGES.test(name)) return 'wages';
  if (kind === 'salesTaxPayable' || kind === 'salesTaxRecoverable') return 'salesTax';
  if (kind === 'deferredRevenue') return 'deposits';
  if (kind === 'longTermBorrowing' || OF_LOANS.test(name)) return 'loans';
  if (['propertyAndEquipment', 'accumulatedDepreciation', 'depreciation'].includes(kind))
    return 'fixedAssets';
  if (['grantsAndDonations', 'netAssetsWithRestrictions'].includes(kind) || OF_GIFTS.test(name))
    return 'donations';
  return null;
};

/** Topics that nearly every business has, whatever its trade. */
const COMMON: readonly Topic[] = ['wages', 'salesTax', 'loans', 'fixedAssets'];

/** What is nearly always so in a country: a trade that is exempt charges no sales tax. */
const isUsual = (topic: Topic, industry: IndustryCode, country: CountryCode): boolean => {
  if (topic === 'provincialTax' || topic === 'salesTax')
    return isAskedIn(topic, country) && exemptionOf(industry, country) === null;
  return COMMON.includes(topic);
};

/** What is answered for a trade until the user says otherwise: what its own modules speak of. */
export const usualAnswers = (
  industry: IndustryCode,
  country: CountryCode = 'US',
): StartingAnswers => {
  const own = INDUSTRIES[industry].modules.flatMap(({ accounts }) => accounts.map(topicOf));
  const has = Object.fromEntries(
    TOPICS.map((topic) => [topic, isUsual(topic, industry, country) || own.includes(topic)]),
  ) as Record<Topic, boolean>;
  const payouts = own.includes('payouts') ? 'monthly' : 'none';
  return { has, payouts, channels: { names: [], apart: 'accounts' } };
};
