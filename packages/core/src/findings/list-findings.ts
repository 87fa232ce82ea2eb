import type { AccountId } from '../chart/account';
import type { Finding, FindingCode, Severity } from './finding';
import { findingWords, fixWords, type Telling } from './finding-words';

/** What was found in a list of accounts, in words, with the lines that it concerns. */
export interface ListFinding {
  readonly rule: FindingCode;
  readonly severity: Severity;
  readonly lines: readonly number[];
  readonly says: string;
  readonly why: string;
  readonly fixes: readonly string[];
}

/** Findings of a chart that a list makes, told by the lines of the list; one that concerns none of them is left out. */
export const listFindings = (
  findings: readonly Finding[],
  lines: ReadonlyMap<AccountId, number>,
  telling: Telling,
): readonly ListFinding[] =>
  findings.flatMap((finding) => {
    const at = finding.accountIds.flatMap((id) => lines.get(id) ?? []);
    if (at.length === 0 && finding.accountIds.length > 0) return [];
    return {
      rule: finding.code,
      severity: finding.severity,
      lines: at,
      ...findingWords(finding, telling),
      fixes: finding.fixes.map((fix) => fixWords(fix, telling)),
    };
  });
