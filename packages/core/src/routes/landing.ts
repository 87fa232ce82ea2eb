import type { AccountId } from '../chart/account';
import type { Chart } from '../chart/chart';
import { eachNode, nodesTo } from '../chart/queries';
import { statementOfSection, type SectionCode, type StatementCode } from '../kinds/caption';
import { sectionOf } from '../kinds/kinds';
import type { ReturnLineChoice } from '../settings/return-form';
import { RETURN_FORMS, returnFormOf, usualReturnLine, type Filer } from '../settings/return-forms';

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

/** A line of a statement's section or of a return, and the accounts that land there. */
export interface LandingLine<L> {
  readonly line: L;
  readonly accounts: readonly AccountId[];
}

/** Every line of the return on which accounts of a chart land, in the order of the form, with them. */
export const returnLandings = (
  chart: Chart,
  filer: Filer,
): readonly LandingLine<ReturnLineChoice>[] => {
  const form = RETURN_FORMS[returnFormOf(filer)];
  const found = new Map<string, { line: ReturnLineChoice; accounts: AccountId[] }>();
  for (const { account } of eachNode(chart.roots)) {
    if (account.role === 'heading') continue;
    const line = landingOf(chart, account.id, filer)?.returnLine ?? null;
    if (line === null) continue;
    const key = `${line.line}\n${line.copy}`;
    const known = found.get(key) ?? { line, accounts: [] };
    known.accounts.push(account.id);
    found.set(key, known);
  }
  const place = ({ line }: ReturnLineChoice): number =>
    form?.lines.findIndex((one) => one.line === line) ?? 0;
  return [...found.values()].toSorted(
    (one, other) => place(one.line) - place(other.line) || one.line.copy - other.line.copy,
  );
};

/** Every section of the statements in which accounts of a chart land, with them, in the order of the chart. */
export const sectionLandings = (chart: Chart): readonly LandingLine<SectionCode>[] => {
  const found = new Map<SectionCode, AccountId[]>();
  for (const { account } of eachNode(chart.roots)) {
    const section = account.role === 'heading' ? null : sectionOf(account.kind);
    if (section !== null) found.set(section, [...(found.get(section) ?? []), account.id]);
  }
  return [...found].map(([line, accounts]) => ({ line, accounts }));
};
