import type { PersonalVeil } from '@iunctus/core';
import type { Viewer } from '../access/viewer';
import type { Reader } from '../database/transaction';
import { problem, ProblemError } from '../problems/problem';
import { maybeChart, maybeChartLocked, type ChartHead } from './charts.queries';
import type { Transaction } from '../database/transaction';
import { veiledProblem, veilOf } from './veil';

/** A client's chart, and what of it is hidden from the one who asks. */
export interface InChart {
  readonly head: ChartHead;
  readonly personal: PersonalVeil;
}

/** A client's chart, or that there is none. */
export const chartOf = async (on: Reader, viewer: Viewer, clientId: string): Promise<ChartHead> =>
  (await maybeChart(on, viewer, clientId)) ?? problem({ code: 'notFound' });

const veiling = async <T>(personal: PersonalVeil, work: () => Promise<T>): Promise<T> => {
  try {
    return await work();
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error;
    return problem(veiledProblem(error.problem, personal));
  }
};

/** Works on a client's chart; what is refused passes the veil as well. */
export const inChart = async <T>(
  on: Reader,
  asked: { readonly viewer: Viewer; readonly clientId: string },
  work: (found: InChart) => Promise<T>,
): Promise<T> => {
  const head = await chartOf(on, asked.viewer, asked.clientId);
  const personal = await veilOf(on, head, asked.viewer);
  return veiling(personal, () => work({ head, personal }));
};

/** The same on a chart that is locked until the transaction ends: whoever changes it next waits. */
export const inLockedChart = async <T>(
  on: Transaction,
  asked: { readonly viewer: Viewer; readonly clientId: string },
  work: (found: InChart) => Promise<T>,
): Promise<T> => {
  const head =
    (await maybeChartLocked(on, asked.viewer, asked.clientId)) ?? problem({ code: 'notFound' });
  const personal = await veilOf(on, head, asked.viewer);
  return veiling(personal, () => work({ head, personal }));
};
