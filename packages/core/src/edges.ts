// What is checked at every edge: codes, limits and forms. Apart from the rest, so that what comes in can be checked
// where nothing is computed: a page that only signs in loads none of the rules.
export { ROLES, may } from './access/roles';
export { LEGAL_FORMS } from './countries/legal-form';
export { isCalendarDate } from './dates/calendar-date';
export { isMonth } from './dates/month';
export {
  DIMENSION_NAME_LIMIT,
  DIMENSION_PROBLEMS,
  DIMENSION_VALUES_LIMIT,
} from './dimensions/dimension';
export { COMMENT_LIMIT, LINES_LIMIT, TYPED_SOURCES } from './entries/entry';
export { FREQUENCIES } from './entries/standing';
export { NOTE_LIMITS } from './findings/finding-notes';
export { FINDING_CODES } from './findings/rule-names';
export { LIMIT_NAMES, LIMIT_RANGES, WISHED_WORDS } from './findings/rule-wishes';
export { COLUMN_USES } from './importing/source';
export { JOURNAL_USES } from './journals/journal-columns';
export { SECTION_CODES } from './kinds/caption';
export { KIND_CODES } from './kinds/kinds';
export { LIST_NAME_LIMIT } from './ledger/opening-balances';
export { itemsFit, OPEN_ITEM_LIMITS } from './ledger/open-item';
export { AMOUNT_LIMIT } from './money/minor';
export { NUMBER_LIMIT, TEXT_LIMITS } from './operations/checks';
export { TEXT_FIELDS } from './operations/operation';
export { PLAIN_REFUSALS, REFUSED_FIELDS, VALUE_REFUSALS } from './operations/refusal';
export { PLAN_DIGITS } from './plan/number-plan';
export { CHOICE_PROBLEMS, CHOICE_WORDS_LIMIT } from './postings/choice';
export { ENTRY_SOURCES } from './postings/posting';
export { MARKET_SORTS } from './routes/payouts';
export { PURPOSE_CODES } from './routes/purpose';
export { BANK_USES } from './routes/read-bank-lines';
export { LINE_SOURCES, PARTY_ROLES, ROUTE_LIMITS } from './routes/route-item';
export { isTaxRate } from './routes/sales-tax';
export { OFFERED_IN, SALES_TAX_CODES } from './settings/account-settings';
export { SETTING_PROBLEMS, SETTING_TEXT_LIMIT } from './settings/check';
export { PAYEE_BOXES } from './settings/payee-box';
export { SETTING_NAMES } from './settings/rules';
export { INDUSTRY_CODES } from './starting/industries';
export { columnsFromText } from './statements/columns';
export { OWN_LIMITS } from './statements/own/own-layout';
export { ownProblem } from './statements/own/own-problem';
export { SHEET_CODES } from './statements/sheets';
export { DEPTH_CODES } from './statements/statement';
