import type { ApiProblem } from '../../shared/api/problem';

/** Something that happened and that the user should be told once. */
export type Notice =
  /** `posted`: how many accounts got their listed balance; `revised`: whether the chart changed. */
  | {
      readonly type: 'adopted';
      readonly revision: number;
      readonly posted: number;
      readonly revised: boolean;
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
  | { readonly type: 'problem'; readonly problem: ApiProblem };
