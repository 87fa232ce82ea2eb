import { PART_OF } from '../kinds/part-of';
import type { KindCode } from '../kinds/kinds';

interface PlainName {
  readonly kind: KindCode;
  readonly says: RegExp;
  readonly but?: RegExp;
}

/** Names that say outright a kind that came later than what was learned. Common practice, no source. */
const PLAIN_NAMES: readonly PlainName[] = [
  {
    kind: 'restrictedCash',
    says: /\brestricted cash\b|\btrust (money|accounts?|accts?|a\/cs?|bank|cash|funds?)\b|\b(iolta|escrow)\b|\bclients?['’]?s? (trust|bank|money|accounts?|a\/cs?)\b|\b(tenants?|security|rental)\b.{0,3} deposits? (account|bank|cash)\b|\bheld in trust\b/i,
    but: /\bunit trusts?\b|\bfees?\b/i,
  },
  {
    kind: 'incomeTaxRecoverable',
    says: /\b(income|corporation|corporate|company|profits?)( income)? tax(es)? (recoverable|receivable|refund\w*|repayable|prepaid|paid in advance|instal\w+)\b|\bprepaid (income|corporation|corporate|federal|state) (income )?tax(es)?\b|\b(provisional|preliminary|estimated) (income )?tax(es)?( paid)?\b/i,
    but: /\bdeferred\b/i,
  },
  {
    kind: 'leaseAsset',
    says: /\bright[- ]of[- ]use\b|\brou asset|\b(operating|finance) lease assets?\b|\bleased assets?\b/i,
  },
  {
    kind: 'leaseLiability',
    says: /\blease (liabilit|obligation)\w*/i,
    but: /(?<!non-?\s?)\bcurrent\b|\bshort/i,
  },
  {
    kind: 'provision',
    says: /\b(provisions?|dilapidations?)\b|\bwarrant(y|ies) (reserve|liabilit\w+|obligation)/i,
    but: /\b(doubtful|bad|debts?|arrears|tax(es)?|depreciation|amorti[sz]ation|leave|holiday|vacation|lsl|stock|inventory|impairment)\b/i,
  },
];

/** The kind of an account that is said to be an older, coarser one, where its name says outright that it is of a later kind. */
export const plainKind = (kind: KindCode, name: string): KindCode =>
  PLAIN_NAMES.find(
    ({ kind: later, says, but }) =>
      PART_OF[later]?.includes(kind) === true && says.test(name) && but?.test(name) !== true,
  )?.kind ?? kind;
