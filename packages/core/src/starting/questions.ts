import type { IndustryCode } from './industries';
import { INDUSTRIES } from './industries';
import type { StartingAccount } from './starting-chart';

/** What a client may have, and with it the accounts that it needs. */
export const TOPICS = [
  'stock',
  'wages',
  'salesTax',
  'tips',
  'deposits',
  'vehicles',
  'loans',
  'fixedAssets',
  'foreignCurrency',
  'donations',
] as const;
export type Topic = (typeof TOPICS)[number];

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
export const topicOf = ({ name, kind, slot }: StartingAccount): Topic | 'payouts' | null => {
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

/** What is answered for a trade until the user says otherwise: what its own modules speak of. */
export const usualAnswers = (industry: IndustryCode): StartingAnswers => {
  const own = INDUSTRIES[industry].modules.flatMap(({ accounts }) => accounts.map(topicOf));
  const has = Object.fromEntries(
    TOPICS.map((topic) => [topic, COMMON.includes(topic) || own.includes(topic)]),
  ) as Record<Topic, boolean>;
  const payouts = own.includes('payouts') ? 'monthly' : 'none';
  return { has, payouts, channels: { names: [], apart: 'accounts' } };
};
