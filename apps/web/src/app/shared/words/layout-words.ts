import {
  COLUMN_LIMIT,
  OWN_LIMITS,
  titleOf,
  type Account,
  type OwnFault,
  type OwnRow,
  type OwnRowType,
} from '@iunctus/core';

/** That no more columns fit. */
export const columnsFullWords = (): string =>
  $localize`${COLUMN_LIMIT}:limit: columns are all that fit beside one another.`;

/** What a layout is called that begins as a standard statement. */
export const ownName = (statement: string): string =>
  $localize`${statement}:statement:, own layout`;

/** What rows of a layout are. */
export const OWN_ROW_WORDS: Readonly<Record<OwnRowType, string>> = {
  heading: $localize`Heading`,
  text: $localize`Text`,
  line: $localize`Accounts`,
  rest: $localize`The rest of a section`,
  result: $localize`Results not closed yet`,
  sum: $localize`Sum`,
  ratio: $localize`Ratio`,
  pageBreak: $localize`New page`,
};

/** What a row is called among others. */
export const ownRowName = (row: OwnRow, lineWords: string): string => {
  if (row.type === 'pageBreak') return OWN_ROW_WORDS.pageBreak;
  const words = row.words === '' ? lineWords : row.words;
  return words === '' ? OWN_ROW_WORDS[row.type] : words;
};

/** What keeps a layout from being complete, with the account's or row's name. */
export const faultWords = (
  fault: OwnFault,
  named: {
    readonly account: (id: string) => Account | undefined;
    readonly row: (id: string) => string;
  },
): string => {
  const account = 'accountId' in fault ? named.account(fault.accountId) : undefined;
  const name = account === undefined ? '' : titleOf(account);
  switch (fault.is) {
    case 'missing':
      return $localize`${name}:account: is not on it`;
    case 'twice':
      return $localize`${name}:account: is on it twice: ${fault.rows.map(named.row).join(', ')}:rows:`;
    case 'resultMissing':
      return $localize`The results that are not closed yet are not on it`;
    case 'resultTwice':
      return $localize`The results that are not closed yet are on it twice`;
    case 'summedTwice':
      return $localize`${named.row(fault.row)}:sum: sums up ${named.row(fault.counted)}:line: twice`;
  }
};

/** That a layout has as many rows as it takes. */
export const rowsFullWords = (): string =>
  $localize`A layout has ${OWN_LIMITS.rows}:limit: rows at most.`;
