import type { FileProblem } from '@iunctus/exchange/reading';

/** Why a file cannot be read. */
export const fileProblemWords = (problem: FileProblem): string => {
  switch (problem.code) {
    case 'tooLarge':
    case 'unpacksTooLarge':
      return 'it is too large for a list of accounts';
    case 'empty':
      return 'there is nothing in it';
    case 'notText':
      return 'it is neither text nor a workbook';
    case 'damaged':
      return 'it is damaged, or not what its first bytes say';
    case 'oldWorkbook':
      return 'it is a workbook of the old binary format, or one with a password';
    case 'xmlEntities':
      return 'it defines XML entities';
    case 'unknownXml':
      return 'it is no standard audit file with general ledger accounts';
    case 'jsonList':
    case 'unknownJson':
      return 'it is no chart that was taken out of the application';
    case 'tooManyRows':
      return `it has ${problem.rows} rows, too many to be read at once`;
    case 'tooManyColumns':
      return `line ${problem.line} has too many columns`;
    case 'cellTooLong':
      return `line ${problem.line} has a cell that is too long`;
    case 'unclosedQuote':
      return `a quote on line ${problem.line} is never closed`;
  }
};
