/** Words by which a name says that it takes whatever has no account of its own. Common practice, no source. */
const CATCH_ALL =
  /\b(misc|miscellaneous|sundry|sundries|various|uncategori[sz]ed|unclassified|other (\w+ )?(expense|expenses|cost|costs)|general (expense|expenses|cost|costs))\b/i;

/** Whether a name says that an account takes whatever has none of its own. */
export const isCatchAll = (name: string): boolean => CATCH_ALL.test(name);
