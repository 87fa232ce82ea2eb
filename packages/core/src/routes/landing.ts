import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { nodesTo } from '../chart/queries';
import { statementOfSection, type SectionCode, type StatementCode } from '../kinds/caption';
import { sectionOf } from '../kinds/kinds';
import type { ReturnLineChoice } from '../settings/return-form';
import { returnFormOf, usualReturnLine, type Filer } from '../settings/return-forms';

/** Where what is posted on an account is shown: a place on a statement, and a line of the return. */
export interface Landing {
  readonly statement: StatementCode;
  readonly section: SectionCode;
  /** From the main account down to the account itself: each has a line in that section. */
  readonly path: readonly AccountId[];
  /** `null` where the return has no line for it. */
  readonly returnLine: ReturnLineChoice | null;
  /** Whether it takes new postings: no heading does, nor what is retired. */
  readonly takesPostings: boolean;
}

/** Where an account lands; `null` for one that is not in the chart, and for memorandum accounts. */
export const landingOf = (chart: Chart, id: AccountId, filer: Filer): Landing | null => {
  const nodes = nodesTo(chart, id);
  const account = nodes.at(-1)?.account;
  const section = account === undefined ? null : sectionOf(account.kind);
  if (account === undefined || section === null) return null;
  const own = account.settings.returnLine;
  const usual = usualReturnLine(account.kind, filer);
  const isOfForm = own === undefined || own.form === returnFormOf(filer);
  return {
    statement: statementOfSection(section),
    section,
    path: nodes.map(({ account: { id: step } }) => step),
    returnLine: isOfForm ? (own ?? usual) : null,
    takesPostings: account.role === 'posting' && account.retiredOn === null,
  };
};
