import { SEVERITY_NAMES, type ListFinding, type Severity } from '@iunctus/core';
import type { CheckedList } from './check-list';

const SEVERITIES: readonly Severity[] = ['wrong', 'doubtful', 'couldBeNeater'];
/** So many lines are named one by one. */
const NAMED = 8;

const linesIn = ({ lines }: ListFinding): string => {
  if (lines.length === 0) return 'list';
  const named = lines.slice(0, NAMED).join(', ');
  return `line${lines.length === 1 ? '' : 's'} ${named}${lines.length > NAMED ? ' …' : ''}`;
};

const findingLines = (finding: ListFinding): readonly string[] => [
  `  ${linesIn(finding)}: ${finding.says}`,
  `    ${finding.why}`,
  ...finding.fixes.slice(0, 1).map((fix) => `    → ${fix}`),
];

/** A checked list as text: the wrong first; `file` is what it is called. */
export const printed = (file: string, { accounts, left, findings }: CheckedList): string => {
  const parts = SEVERITIES.flatMap((severity) => {
    const of = findings.filter((finding) => finding.severity === severity);
    return of.length === 0
      ? []
      : ['', `${SEVERITY_NAMES[severity]} (${of.length})`, ...of.flatMap(findingLines)];
  });
  const undone = left.map(
    ({ line, name, rule, field }) =>
      `  line ${line}${field === null ? '' : `, ${field}`}: “${name}” cannot become an account (${rule})`,
  );
  return [
    `${file}: ${accounts} accounts, ${findings.length} findings`,
    ...(undone.length === 0 ? [] : ['', `Left out (${undone.length})`, ...undone]),
    ...parts,
  ].join('\n');
};
