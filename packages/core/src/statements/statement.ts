import type { AccountId } from '../chart/account';
import type { StatementCode } from '../kinds/caption';
import type { Minor } from '../money/minor';
import type { Codes, StandardCodes } from './layout';

/** Identifies a row of a statement; equal for the same row before and after a change. */
export type RowKey = string;

/**
 * A row of a statement. Amounts are signed as the section shows them.
 * `line` is an account, with all below it unless it is `open`; `itself` is what was posted to an
 * account whose sub-accounts are shown under it; `subtotal` closes an open line.
 */
export type StatementRow<C extends Codes = StandardCodes> =
  | { readonly type: 'group'; readonly key: RowKey; readonly code: C['group'] }
  | { readonly type: 'section'; readonly key: RowKey; readonly code: C['section'] }
  | {
      readonly type: 'line' | 'itself' | 'subtotal';
      readonly key: RowKey;
      readonly section: C['section'];
      readonly accountId: AccountId;
      readonly name: string;
      /** 1 for the main lines of a section. */
      readonly level: number;
      readonly open: boolean;
      /** `null` on an open line: the amount stands on its subtotal. */
      readonly amount: Minor | null;
    }
  | {
      readonly type: 'result';
      readonly key: RowKey;
      /** `allYears` where years are not told apart. */
      readonly code: 'earlierYears' | 'thisYear' | 'allYears';
      readonly amount: Minor;
    }
  | {
      readonly type: 'sectionTotal';
      readonly key: RowKey;
      readonly code: C['section'];
      readonly amount: Minor;
      /** The section is shown by this row alone. */
      readonly alone: boolean;
    }
  | {
      readonly type: 'total';
      readonly key: RowKey;
      readonly code: C['total'];
      readonly amount: Minor;
      readonly final: boolean;
    };

/** A statement as laid out, top to bottom. */
export interface Statement {
  readonly code: StatementCode;
  readonly rows: readonly StatementRow[];
}

/** How a statement is to be shown. */
export interface StatementOptions {
  /** How many levels of the chart are shown; `Infinity` for all. */
  readonly depth: number;
  /** Whether lines without an amount are shown. */
  readonly zeroLines: boolean;
  /** Lines that are open or closed whatever the depth, by the key of their row. */
  readonly open?: ReadonlyMap<RowKey, boolean>;
}

/** The key of an account's line in a section. */
export const lineKey = (section: string, id: AccountId): RowKey => `${section}/${id}`;

/** The key of a computed total. */
export const totalKey = (code: string): RowKey => `total/${code}`;

/** The key of a section's total. */
export const sectionTotalKey = (code: string): RowKey => `sum/${code}`;

/** Depths as they are chosen between and written down. */
export const DEPTH_CODES = ['1', '2', '3', 'all'] as const;
export type DepthCode = (typeof DEPTH_CODES)[number];

/** How many levels of the chart a depth shows; `Infinity` for all. */
export const depthOfCode = (code: DepthCode): number => (code === 'all' ? Infinity : Number(code));
