import type { ApiProblem } from './api/problem';

/** How far the loading of something has come. */
export type Loading =
  | { readonly status: 'idle' }
  | { readonly status: 'loading' }
  | { readonly status: 'ready' }
  | { readonly status: 'failed'; readonly problem: ApiProblem };

export const IDLE: Loading = { status: 'idle' };
export const LOADING: Loading = { status: 'loading' };
export const READY: Loading = { status: 'ready' };
export const failed = (problem: ApiProblem): Loading => ({ status: 'failed', problem });
