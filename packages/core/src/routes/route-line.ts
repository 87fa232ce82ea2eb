import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { standsFor } from '../chart/queries';
import type { Minor } from '../money/minor';
import { findKey } from '../text/find-key';
import type { Purpose } from './purpose';
import type { LineSource, Party, RouteItemId, Sample, WordRule } from './route-item';
import type { Keyed, Routes } from './routes';

/** A line as a bank or a marketplace tells it. */
export interface TakenLine {
  readonly text: string;
  /** Money in is positive; minor units of the books' currency. */
  readonly amount: Minor;
  readonly source: LineSource;
  /** What the source itself says that it is there for. */
  readonly purpose?: Purpose | null;
}

/** What decided where something goes. */
export type Decision =
  | { readonly by: 'rule'; readonly rule: Keyed<WordRule> }
  | { readonly by: 'party'; readonly party: Keyed<Party> }
  | { readonly by: 'default'; readonly purpose: Purpose }
  | { readonly by: 'itself' }
  | { readonly by: 'nothing'; readonly wanted: Purpose | null };

/** Where something goes. */
export interface Routed {
  readonly decision: Decision;
  /** The account that stands for the one that was named; `null` where none was, or it is gone. */
  readonly accountId: AccountId | null;
  readonly taxCodeId: RouteItemId | null;
}

const isAsWorded = ({ content: { how }, key: wanted }: Keyed<WordRule>, key: string): boolean =>
  wanted !== '' && (how === 'starts' ? key.startsWith(wanted) : key.includes(wanted));

const isAsMuch = ({ least, most, sign }: WordRule, amount: Minor): boolean => {
  const size = Math.abs(amount);
  if (sign !== null && (sign === 'in') !== amount > 0) return false;
  return (least === null || size >= least) && (most === null || size <= most);
};

const holdsFor = (rule: Keyed<WordRule>, line: TakenLine, key: string): boolean =>
  (rule.content.source === null || rule.content.source === line.source) &&
  isAsMuch(rule.content, line.amount) &&
  isAsWorded(rule, key);

/** Whether a rule alone would catch a line, whatever stands before it. */
export const catches = (rule: Keyed<WordRule>, line: TakenLine): boolean =>
  holdsFor(rule, line, findKey(line.text));

const namedIn = (parties: Routes['parties'], key: string): Keyed<Party> | undefined => {
  const whole = ` ${key} `;
  return parties.find(({ key: name }) => name !== '' && whole.includes(` ${name} `));
};

const NOWHERE = (wanted: Purpose | null): Routed => ({
  decision: { by: 'nothing', wanted },
  accountId: null,
  taxCodeId: null,
});

/** The account that stands for the default of a purpose; `null` where none is chosen, or it is gone. */
export const defaultAccount = (
  purpose: Purpose,
  { chart, routes }: RouteContext,
): AccountId | null => {
  const item = routes.defaults.get(purpose);
  return item === undefined ? null : standsFor(chart, item.content.accountId);
};

const toDefault = (purpose: Purpose, context: RouteContext): Routed =>
  context.routes.defaults.has(purpose)
    ? {
        decision: { by: 'default', purpose },
        accountId: defaultAccount(purpose, context),
        taxCodeId: null,
      }
    : NOWHERE(purpose);

/** The purposes for which a party may have an account of its own. */
const ofParty = (purpose: Purpose, { saleId, purchaseId }: Party): AccountId | null => {
  if (purpose === 'sale') return saleId;
  return purpose === 'purchase' ? purchaseId : null;
};

/** What lines are routed by: the chart, as adopted or proposed, and the routes. */
export interface RouteContext {
  readonly chart: Chart;
  readonly routes: Routes;
}

/**
 * Where a line goes: by the first rule that holds; else to the account of the customer or supplier whose name stands in
 * it; else to the default of what its source says that it is there for; else nowhere, and somebody must say.
 */
export const routeLine = (line: TakenLine, context: RouteContext): Routed => {
  const key = findKey(line.text);
  const rule = context.routes.rules.find((one) => holdsFor(one, line, key));
  if (rule !== undefined)
    return {
      decision: { by: 'rule', rule },
      accountId: standsFor(context.chart, rule.content.accountId),
      taxCodeId: rule.content.taxCodeId,
    };
  const party = namedIn(context.routes.parties, key);
  const own = party && ofParty(line.amount > 0 ? 'sale' : 'purchase', party.content);
  if (party !== undefined && own != null)
    return {
      decision: { by: 'party', party },
      accountId: standsFor(context.chart, own),
      taxCodeId: null,
    };
  return line.purpose == null ? NOWHERE(null) : toDefault(line.purpose, context);
};

/** Where an amount of a purpose goes: to the party's own account, else to the default. */
export const routePurpose = (
  { purpose, partyId }: Extract<Sample, { by: 'purpose' }>,
  context: RouteContext,
): Routed => {
  const party = context.routes.parties.find(({ id }) => id === partyId);
  const own = party === undefined ? null : ofParty(purpose, party.content);
  if (party === undefined || own === null) return toDefault(purpose, context);
  return {
    decision: { by: 'party', party },
    accountId: standsFor(context.chart, own),
    taxCodeId: null,
  };
};

/** Where a sample goes. */
export const routeSample = (sample: Sample, context: RouteContext): Routed => {
  switch (sample.by) {
    case 'line':
      return routeLine(sample, context);
    case 'purpose':
      return routePurpose(sample, context);
    case 'account':
      return {
        decision: { by: 'itself' },
        accountId: standsFor(context.chart, sample.accountId),
        taxCodeId: null,
      };
    default:
      return sample satisfies never;
  }
};
