import type { KindCode } from './kinds';

/**
 * Kinds that were added later, and the older ones that each was part of, the likeliest first: what was
 * labelled before, and what was learned from it, stays right.
 */
export const PART_OF: Readonly<Partial<Record<KindCode, readonly KindCode[]>>> = {
  restrictedCash: [
    'bank',
    'cashOnHand',
    'clearing',
    'otherCurrentAsset',
    'shortTermInvestment',
    'otherNonCurrentAsset',
  ],
  incomeTaxRecoverable: [
    'otherCurrentAsset',
    'otherReceivable',
    'prepaidExpense',
    'salesTaxRecoverable',
  ],
  leaseAsset: ['propertyAndEquipment', 'otherNonCurrentAsset', 'intangibleAsset'],
  leaseLiability: ['longTermBorrowing', 'otherNonCurrentLiability'],
  provision: ['accruedExpense', 'otherCurrentLiability', 'otherNonCurrentLiability'],
};

/** Whether a kind is one of those, or was part of one of those before it was a kind of its own. */
export const isOrWas = (kind: KindCode, kinds: readonly KindCode[]): boolean =>
  [kind, ...(PART_OF[kind] ?? [])].some((one) => kinds.includes(one));
