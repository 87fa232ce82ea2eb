import type {
  AccountId,
  AmountsTuple,
  CountryCode,
  IndustryCode,
  KeptChart,
  LegalForm,
  PairedRow,
  ShapeStep,
  ShapeStepCode,
  StatementCode,
} from '@iunctus/core';
import type { ChartMessage } from '../../workspace/workers/followed-chart';

/** The chart whose shape is aimed at: a trade's, or one of the practice's own. */
export type Aim =
  | {
      readonly type: 'trade';
      readonly industry: IndustryCode;
      readonly legalForm: LegalForm;
      readonly country: CountryCode;
    }
  | { readonly type: 'kept'; readonly kept: KeptChart };

/** What of the way is wanted, and which statement is looked at. */
export interface PlanWish {
  readonly skipped: readonly ShapeStepCode[];
  /** Accounts that a step leaves alone, by step and account. */
  readonly struck: readonly string[];
  /** Accounts that routes and standing entries name. */
  readonly named: readonly AccountId[];
  readonly statement: StatementCode;
}

/** What the page tells the worker; each message is answered by one result, once there is something to aim at. */
export type PlanMessage =
  | ChartMessage
  | { readonly type: 'amounts'; readonly amounts: readonly AmountsTuple[] }
  | { readonly type: 'aim'; readonly aim: Aim | null }
  | { readonly type: 'wish'; readonly wish: PlanWish };

/** The whole way, whether every total stays, and the statement before and after. */
export interface PlanResult {
  readonly steps: readonly ShapeStep[];
  readonly staysSame: boolean;
  readonly rows: readonly PairedRow[];
}
