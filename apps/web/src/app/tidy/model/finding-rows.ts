import {
  findingKey,
  RULE_NAMES,
  SEVERITY_NAMES,
  type Finding,
  type FindingCode,
} from '@iunctus/core';

/** What a rule found more than is shown at once. */
export interface Fold {
  readonly type: 'fold';
  readonly key: string;
  readonly code: FindingCode;
  readonly words: string;
  readonly count: number;
  readonly isOpen: boolean;
}

/** A row of the list: the head of a severity, a finding, or what a rule found more. */
export type TidyRow =
  | { readonly type: 'head'; readonly key: string; readonly words: string; readonly count: number }
  | { readonly type: 'finding'; readonly key: string; readonly finding: Finding }
  | Fold;

/** So many findings of one rule stand in the list before the rest of them is folded. */
const SHOWN = 4;
/** One or two more are no reason to fold. */
const WORTH_FOLDING = 3;

/** What the fold is known by into which the rest of a finding's rule would go. */
export const foldKeyOf = ({ severity, code }: Finding): string => `fold ${severity} ${code}`;

/** Findings by the fold into which the rest of their rule would go, in their order. */
const byFold = (findings: readonly Finding[]): ReadonlyMap<string, readonly Finding[]> => {
  const folds = new Map<string, Finding[]>();
  for (const finding of findings) {
    const key = foldKeyOf(finding);
    folds.set(key, [...(folds.get(key) ?? []), finding]);
  }
  return folds;
};

const foldAfter = (
  key: string,
  { code }: Finding,
  { count, isOpen }: { readonly count: number; readonly isOpen: boolean },
): Fold => ({
  type: 'fold',
  key,
  code,
  words: isOpen
    ? $localize`Fewer of: ${RULE_NAMES[code]}`
    : $localize`${count} more: ${RULE_NAMES[code]}`,
  count,
  isOpen,
});

/**
 * The rows of findings that are sorted by severity: a head for each severity; of a rule with many findings the first
 * few, and a row that stands for the rest unless its key is in `opened`.
 */
export const findingRows = (
  findings: readonly Finding[],
  opened: ReadonlySet<string>,
): readonly TidyRow[] => {
  const folds = byFold(findings);
  const rows: TidyRow[] = [];
  const placed = new Map<string, number>();
  let severity: Finding['severity'] | null = null;
  for (const finding of findings) {
    if (finding.severity !== severity) {
      severity = finding.severity;
      const count = findings.filter((one) => one.severity === severity).length;
      rows.push({ type: 'head', key: severity, words: SEVERITY_NAMES[severity], count });
    }
    const key = foldKeyOf(finding);
    const all = folds.get(key)?.length ?? 0;
    const at = (placed.get(key) ?? 0) + 1;
    placed.set(key, at);
    const count = all - SHOWN;
    const isOpen = opened.has(key);
    if (at <= SHOWN || count < WORTH_FOLDING || isOpen)
      rows.push({ type: 'finding', key: findingKey(finding), finding });
    if (count >= WORTH_FOLDING && at === (isOpen ? all : SHOWN))
      rows.push(foldAfter(key, finding, { count, isOpen }));
  }
  return rows;
};
