import {
  findingsOf,
  knownAccount,
  lookAt,
  RETURN_FORMS,
  returnFile,
  returnSheet,
  titleOf,
  type Chart,
  type Misplaced,
  type Period,
  type ReturnAmount,
  type ReturnFile,
  type ReturnSheet,
} from '@iunctus/core';
import { periodInWords, type ReturnWorkbook } from '@iunctus/exchange';
import { handedOutBy, yearUpTo, type Taken } from './export-source';

const WHY: Readonly<Record<Misplaced['why'], string>> = {
  noLine:
    'The form has no line for its kind. Choose one in its settings, or another form takes it.',
  otherForm: 'Its line is on another form than the client files. Choose one of this form.',
  twice: 'It stands below an account that goes to another line. Both are counted where they say.',
};

const BESIDE: Readonly<Record<NonNullable<ReturnAmount['beside']>['what'], string>> = {
  openResults: 'Results that no entry has closed',
  stockChange: 'What the stock grew by over the year',
  reckoned: 'Reckoned from the whole chart',
};

/** A form with the year of its print; the general sheet with why it serves. */
const formInWords = (code: string): string => {
  const form = RETURN_FORMS[code];
  if (form === undefined) return code;
  return form.year === null
    ? `${form.name}. ${form.source}.`
    : `${form.name}, print of ${form.year}`;
};

const sheetOf = async (taken: Taken, { last }: Period): Promise<ReturnSheet> =>
  returnSheet(taken.chart, await yearUpTo(taken, last), taken.client);

const titleIn = (chart: Chart, id: string): string => {
  const account = knownAccount(chart, id);
  return account === undefined ? '' : titleOf(account);
};

/** What is found about the accounts of a return before it is handed on. */
const toLookAt = ({ chart, client }: Taken, sheet: ReturnSheet): ReturnWorkbook['toLookAt'] =>
  findingsOf('misplacedLine', lookAt(chart, { returned: { sheet, filer: client } })).map(
    ({ accountIds: [id = ''], facts }) => ({
      title: titleIn(chart, id),
      why: WHY[facts.why],
      amount: facts.amount,
    }),
  );

/** The client's return for the fiscal year in which a period ends, as a workbook is made of it. */
export const returnPartsOf = async (taken: Taken, period: Period): Promise<ReturnWorkbook> => {
  const { chart, client } = taken;
  const sheet = await sheetOf(taken, period);
  return {
    client: client.name,
    ...handedOutBy(taken),
    form: formInWords(sheet.form),
    currency: client.currency,
    year: periodInWords(period, client.country),
    toLookAt: toLookAt(taken, sheet),
    rows: sheet.amounts.map(({ line, copy, amount, accounts, beside }) => ({
      line: line.line,
      words: line.words,
      copy,
      amount,
      accounts: [
        ...accounts.map((one) => ({ title: titleIn(chart, one.id), amount: one.amount })),
        ...(beside === null || beside.amount === 0
          ? []
          : [{ title: BESIDE[beside.what], amount: beside.amount }]),
      ],
    })),
  };
};

/** The same return as the file that tax software takes. */
export const returnFileOf = async (taken: Taken, period: Period): Promise<ReturnFile> => {
  const { name: filer, currency } = taken.client;
  return returnFile(await sheetOf(taken, period), { filer, currency, ...period });
};
