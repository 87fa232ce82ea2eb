import type { Operation, Origin } from '@iunctus/core';

/** A chart that was chosen to begin from: the practice's own, or another client's. Nothing is proposed yet. */
export interface ChosenStart {
  /** What the list of choices has for it. */
  readonly key: string;
  /** Whose chart it is. */
  readonly title: string;
  readonly operations: readonly Operation[];
  /** Which version of the practice's own it is, and which account is which; `null` for a client's. */
  readonly origin: {
    readonly keptChartId: string;
    readonly version: number;
    readonly ids: Origin;
  } | null;
}
