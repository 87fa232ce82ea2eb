import type { Kind } from './kind';

const equity = <const T extends Omit<Kind, 'element'>>(kind: T) =>
  ({ ...kind, element: 'equity' }) as const;

/** Kinds of equity: owners, shareholders, then members and donors. */
export const EQUITY_KINDS = {
  ownersCapital: equity({
    name: 'Owner’s or partner’s capital',
    shortName: 'Capital',
    sentence: 'Put into the business by a sole owner or a partner.',
    caption: 'ownersCapital',
    cashFlow: 'financing',
  }),
  shareCapital: equity({
    name: 'Share capital',
    shortName: 'Shares',
    sentence: 'The nominal value of shares issued.',
    caption: 'shareCapital',
    cashFlow: 'financing',
  }),
  additionalPaidInCapital: equity({
    name: 'Additional paid-in capital',
    shortName: 'Paid-in',
    sentence: 'Paid for shares above their nominal value.',
    caption: 'additionalPaidInCapital',
    cashFlow: 'financing',
  }),
  treasuryShares: equity({
    name: 'Treasury shares',
    shortName: 'Treasury',
    sentence: 'Own shares bought back; it reduces equity.',
    caption: 'treasuryShares',
    cashFlow: 'financing',
    contra: true,
  }),
  retainedEarnings: equity({
    name: 'Retained earnings',
    shortName: 'Retained',
    sentence: 'Results of closed years that were kept in the business.',
    caption: 'retainedEarnings',
    cashFlow: 'none',
  }),
  drawings: equity({
    name: 'Drawings and distributions',
    shortName: 'Drawings',
    sentence: 'Taken out by owners: drawings, distributions, dividends; it reduces equity.',
    caption: 'distributions',
    cashFlow: 'financing',
    contra: true,
  }),
  openingBalanceEquity: equity({
    name: 'Opening balance equity',
    shortName: 'Opening',
    sentence: 'The other side of opening balances; empty once they are complete.',
    caption: 'openingBalanceEquity',
    cashFlow: 'none',
  }),
  netAssetsWithoutRestrictions: equity({
    name: 'Net assets without donor restrictions',
    shortName: 'Net assets',
    sentence: 'What an association or charity may use as it sees fit.',
    caption: 'netAssetsWithoutRestrictions',
    cashFlow: 'none',
  }),
  netAssetsWithRestrictions: equity({
    name: 'Net assets with donor restrictions',
    shortName: 'Restricted',
    sentence: 'What donors gave for one purpose or a later time.',
    caption: 'netAssetsWithRestrictions',
    cashFlow: 'none',
  }),
} as const;
