import { CAPTIONS, statementOfSection, type CaptionCode } from '../../kinds/caption';
import { KIND_CODES, KINDS } from '../../kinds/kinds';
import type { ReturnForm, ReturnLine } from '../return-form';

const CODES = Object.keys(CAPTIONS) as CaptionCode[];

const isOfIncome = (code: CaptionCode): boolean =>
  statementOfSection(CAPTIONS[code].section) === 'profitAndLoss';

/** Income before the balance sheet, as on every form. */
const ORDER: readonly CaptionCode[] = [
  ...CODES.filter(isOfIncome),
  ...CODES.filter((code) => !isOfIncome(code)),
];

const lineOf = (code: CaptionCode, index: number): ReturnLine => ({
  line: String(index + 1),
  words: CAPTIONS[code].name,
  kinds: KIND_CODES.filter((kind) => KINDS[kind].caption === code),
});

/** The lines of the statements, for whoever files on a form that is not known here. */
export const GENERAL_SHEET: ReturnForm = {
  name: 'General sheet',
  year: null,
  source: 'The lines of the statements: no form is known for this country and legal form',
  lines: ORDER.map(lineOf),
};
