import { allFindings } from './all-rules';
import type { Finding, LookedAt } from './finding';
import { findingKey } from './finding-notes';

/** What is found in a chart after a change and was not found before: what the change brings. */
export const findingsBetween = (before: LookedAt, after: LookedAt): readonly Finding[] => {
  const known = new Set(allFindings(before).map(findingKey));
  return allFindings(after).filter((finding) => !known.has(findingKey(finding)));
};
