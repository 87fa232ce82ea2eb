/** From where on something is found. */
export interface Limits {
  /** A balance stands on the unusual side for so many months. */
  readonly unusualMonths: number;
  /** What passes through an account was left in it for so many months. */
  readonly clearingMonths: number;
  /** An account was not used for so many months. */
  readonly unusedMonths: number;
  /** Levels of a chart that can be read. */
  readonly levels: number;
  /** Main lines of a section that fit a page. */
  readonly mainLines: number;
  /** So many costs beside one another, each below so many thousandths of all, could be one. */
  readonly tinyAccounts: number;
  readonly tinyPart: number;
  /** What “miscellaneous” and the like may take of all costs, in tenths of a per cent. */
  readonly catchAllPart: number;
  /** What is doubtful of it, also where it does not grow. */
  readonly catchAllMuch: number;
  /** How sure another kind must be to be called wrong, and doubtful, in per cent. */
  readonly kindWrong: number;
  readonly kindDoubtful: number;
  /** How sure the name alone must be that it is of the other statement. */
  readonly kindByName: number;
}

/** The limits where nobody says others. Common practice, no source; those of kinds are measured on labelled lists. */
export const USUAL_LIMITS: Limits = {
  unusualMonths: 3,
  clearingMonths: 2,
  unusedMonths: 18,
  levels: 4,
  mainLines: 24,
  tinyAccounts: 4,
  tinyPart: 3,
  catchAllPart: 20,
  catchAllMuch: 50,
  kindWrong: 97,
  kindDoubtful: 45,
  kindByName: 84,
};
