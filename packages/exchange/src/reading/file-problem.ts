/** Why a file cannot be read; the words are added at the screen. */
export type FileProblem =
  | { readonly code: 'tooLarge' | 'unpacksTooLarge' | 'empty' | 'notText' | 'damaged' }
  | { readonly code: 'oldWorkbook' | 'xmlEntities' | 'unknownXml' | 'unknownJson' | 'jsonList' }
  | { readonly code: 'tooManyRows'; readonly rows: number }
  | { readonly code: 'tooManyColumns' | 'cellTooLong' | 'unclosedQuote'; readonly line: number };

/** Thrown while a file is read; caught where reading began. */
export class FileProblemError extends Error {
  constructor(readonly problem: FileProblem) {
    super(problem.code);
  }
}

/** Stops reading with a problem. */
export const unreadable = (problem: FileProblem): never => {
  throw new FileProblemError(problem);
};
