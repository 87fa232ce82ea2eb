import type { ApiProblem } from '../../shared/api/problem';

/** Something that happened and that the user should be told once. */
export type Notice =
  /** `revision`: none where the chart stayed as it was; `posted`: how many accounts got their listed balance. */
  | {
      readonly type: 'adopted';
      readonly revision: number | null;
      readonly posted: number;
    }
  | {
      readonly type: 'takenBack';
      readonly revision: number;
      readonly whole: boolean;
      readonly left: number;
    }
  /** A newer version of the starting chart; `left`: changes that the client has made otherwise itself. */
  | {
      readonly type: 'brought';
      readonly name: string;
      readonly version: number;
      readonly left: number;
    }
  | { readonly type: 'merged' }
  /** What this browser kept of an earlier visit is in the proposal again. */
  | { readonly type: 'broughtBack' }
  /** Somebody who may only read and review wanted to change something. */
  | { readonly type: 'readOnly' }
  | { readonly type: 'problem'; readonly problem: ApiProblem };
