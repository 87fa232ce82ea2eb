import type { RegisterAnswer, RegisterLine, RegisterRequest } from '@iunctus/contract';
import { addDays } from '@iunctus/core';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import type { ChartHead } from '../charts/charts.queries';
import { inChart } from '../charts/in-chart';
import { hiddenIds, veiledRegister } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { clientOf } from '../clients/clients.service';
import { onSnapshotOf, type Reader } from '../database/transaction';
import { problem } from '../problems/problem';
import { narrowedBy } from './journal.service';
import { balanceBefore, manyFittingLines, manyNewestLines } from './register.queries';

/** Lines that one answer holds at most. */
const PAGE = 200;

interface Ends {
  readonly start: number;
  readonly end: number;
}

/** What the accounts come to before the first line asked for and with the last. */
const endsOf = async (
  on: Reader,
  head: ChartHead,
  { accounts, first, last, fresh }: RegisterRequest,
): Promise<Ends> => {
  const before = first === null ? 0 : await balanceBefore(on, head, { accounts, day: first });
  const day = last === null ? null : addDays(last, 1);
  const end = await balanceBefore(on, head, { accounts, day });
  return fresh ? { start: 0, end: end - before } : { start: before, end };
};

const linesOf = (
  on: Reader,
  head: ChartHead,
  {
    request,
    currency,
    hidden,
    start,
    end,
  }: Ends & {
    readonly request: RegisterRequest;
    readonly currency: string;
    readonly hidden: readonly string[];
  },
): Promise<RegisterLine[]> => {
  const { accounts, before } = request;
  const narrowed = narrowedBy(request, { currency, hidden });
  const page = { accounts, narrowed, before, most: PAGE + 1 };
  const isNarrow = narrowed.source !== null || narrowed.text !== '';
  return isNarrow
    ? manyFittingLines(on, head, { ...page, start })
    : manyNewestLines(on, head, { ...page, end: before?.balance ?? end });
};

/** The lines of accounts, newest first, a page of them, each with what the accounts come to with it. */
export const registerOf = (
  pool: pg.Pool,
  viewer: Viewer,
  { clientId, request }: { readonly clientId: string; readonly request: RegisterRequest },
): Promise<Veiled<RegisterAnswer>> =>
  onSnapshotOf(pool, async (on) => {
    const { currency } = await clientOf(on, viewer, clientId);
    return inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      if (request.accounts.some(personal.veil.hides)) return problem({ code: 'notFound' });
      const hidden = await hiddenIds(on, head, personal);
      const { start, end } = await endsOf(on, head, request);
      const lines = await linesOf(on, head, { request, currency, hidden, start, end });
      const answer = {
        lines: lines.slice(0, PAGE),
        more: lines.length > PAGE,
        before: start,
        after: end,
      };
      return veiledRegister(answer, personal);
    });
  });
