import type { Country } from './country';
import { companyOf, EVERYWHERE, KEPT_AND_PAID, NOMINAL_SHARES, OWN_TAX } from './equity';
import type { StartingAccount, StartingModule } from './starting-account';

const OFFICERS: readonly StartingAccount[] = [
  { slot: 'people', name: 'Officers’ compensation', kind: 'operatingExpense', use: 'officers', asked: 'wages', guidance: 'Pay of officers, apart from other wages: the return asks for it by itself.' },
]; // prettier-ignore

/** A company whose only member is taxed on its profit as a sole owner is. */
const ONE_MEMBER: StartingModule = {
  name: 'Company of one member',
  accounts: [
    { slot: 'equity', name: 'Member’s capital', kind: 'ownersCapital', guidance: 'Put in by the member.' },
    { slot: 'equity', name: 'Earnings kept from earlier years', kind: 'retainedEarnings', systemUse: 'retainedEarnings', guidance: 'Results of closed years left in the company.' },
    { slot: 'equity', name: 'Member’s draws', kind: 'drawings', guidance: 'Taken out by the member, the member’s own tax included. Never wages.' },
  ],
}; // prettier-ignore

/** A company whose members are taxed on its profit themselves. */
const MEMBERS: StartingModule = {
  name: 'Company of several members',
  accounts: [
    { slot: 'equity', name: 'First member’s capital', kind: 'ownersCapital', guidance: 'Put in by the first member, and that member’s share of results.' },
    { slot: 'equity', name: 'Second member’s capital', kind: 'ownersCapital', guidance: 'Put in by the second member, and that member’s share of results.' },
    { slot: 'equity', name: 'Undivided earnings', kind: 'retainedEarnings', systemUse: 'retainedEarnings', guidance: 'Results of closed years not yet divided between the members.' },
    { slot: 'equity', name: 'First member’s distributions', kind: 'drawings', guidance: 'Paid out to the first member, that member’s own tax included.' },
    { slot: 'equity', name: 'Second member’s distributions', kind: 'drawings', guidance: 'Paid out to the second member, that member’s own tax included.' },
    { slot: 'people', name: 'Guaranteed payments to members', kind: 'operatingExpense', use: 'guaranteed', guidance: 'Agreed pay for a member’s work, whatever the result.' },
  ],
}; // prettier-ignore

const S_CORPORATION = companyOf('S corporation', NOMINAL_SHARES, [
  { slot: 'equity', name: 'Retained earnings', kind: 'retainedEarnings', systemUse: 'retainedEarnings', guidance: 'Results of closed years kept in the company; the shareholders were taxed on them.' },
  { slot: 'equity', name: 'Shareholders’ distributions', kind: 'drawings', guidance: 'Paid out of profit on which the shareholders are taxed. Never an expense.' },
  { slot: 'accrued', name: 'Loans from shareholders', kind: 'dueToOwner', guidance: 'Lent by shareholders, to be repaid.' },
], OFFICERS); // prettier-ignore

/** What goes with wages. Source: common practice, no source. */
const PAYROLL: StartingModule = {
  name: 'Payroll',
  accounts: [
    { slot: 'people', name: 'Workers’ compensation', kind: 'operatingExpense', use: 'insurance', asked: 'wages', guidance: 'Premiums for accidents at work, by payroll and sort of work.' },
  ],
}; // prettier-ignore

/** The United States. Sources: IRS forms and publications, from memory; common practice. */
export const UNITED_STATES: Country = {
  spellings: [
    [/\blabour\b/g, 'labor'],
    [/\bLabour\b/g, 'Labor'],
    [/\b([Ll])icence(s?)\b/g, '$1icense$2'],
    [/\b([Pp])rogramme(s?)\b/g, '$1rogram$2'],
    [/\b([Tt])yre(s?)\b/g, '$1ire$2'],
    [/\b([Cc])heque(s?)\b/g, '$1heck$2'],
    [/\b([Aa])mortisation\b/g, '$1mortization'],
    [/\b([Ff])ertiliser\b/g, '$1ertilizer'],
    [/\b([Ee])nrolment\b/g, '$1nrollment'],
    [/\b([Jj])ewellery\b/g, '$1ewelry'],
  ],
  terms: {
    'Share capital': { name: 'Common stock', guidance: 'The par value of shares issued.' },
    'Additional paid-in capital': { name: 'Additional paid-in capital', guidance: 'Paid for shares above their par value.' },
    'Pension contributions': { name: 'Retirement plan contributions' },
    'Income tax prepaid': { name: 'Estimated tax paid', guidance: 'Quarterly payments on this year’s profit, until they are set off.' },
  },
  nonProfitTerms: {
    Sales: { name: 'Revenue and support', guidance: 'What the organization lives on.' },
    'Cost of sales': { name: 'Program services', guidance: 'Spent on the purpose itself.' },
    Equity: { name: 'Net assets', guidance: 'With and without donor restrictions.' },
  },
  modules: [PAYROLL],
  legalForms: {
    ...EVERYWHERE,
    oneMemberCompany: ONE_MEMBER,
    limitedCompany: MEMBERS,
    corporation: companyOf('Corporation', NOMINAL_SHARES, KEPT_AND_PAID, OFFICERS, OWN_TAX),
    sCorporation: S_CORPORATION,
  },
  exempt: {},
  returns: {
    soleOwner: 'scheduleC',
    partnership: 'form1065',
    oneMemberCompany: 'scheduleC',
    limitedCompany: 'form1065',
    corporation: 'form1120',
    sCorporation: 'form1120S',
    nonProfit: 'form990',
  },
  activityReturns: {
    letting: { soleOwner: 'scheduleE', oneMemberCompany: 'scheduleE', partnership: 'form1065Letting', limitedCompany: 'form1065Letting', sCorporation: 'form1120SLetting' },
    farming: { soleOwner: 'scheduleF', oneMemberCompany: 'scheduleF' },
  },
  currency: 'USD',
  paper: 'letter',
  dictionary: 'en',
  dateOrder: 'monthFirst',
}; // prettier-ignore
