import { fiscalYearStart, type OpeningBalances, type PendingOpening } from '@iunctus/core';
import { forkJoin, map, of, type Observable } from 'rxjs';
import type { ApiService } from '../../shared/api/api.service';

interface Listed {
  readonly stepId: string;
  readonly opening: OpeningBalances;
}

/** The balances that steps bring along. */
export const listedIn = (
  steps: readonly { readonly id: string; readonly opening?: OpeningBalances }[],
): readonly Listed[] =>
  steps.flatMap(({ id: stepId, opening }) => (opening === undefined ? [] : [{ stepId, opening }]));

/** Fetches what the books come to at the months of listed balances; each month once. */
export const withBooks = (
  api: ApiService,
  client: { readonly id: string; readonly fiscalYearStart: number },
  listed: readonly Listed[],
): Observable<readonly PendingOpening[]> => {
  if (listed.length === 0) return of([]);
  const months = [...new Set(listed.map(({ opening }) => opening.last))];
  const asked = months.map((last) =>
    api.ask('balances', {
      clientId: client.id,
      query: { first: fiscalYearStart(last, client.fiscalYearStart), last },
    }),
  );
  return forkJoin(asked).pipe(
    map((answers) => {
      const books = new Map(
        answers.map(({ last, amounts, splits }) => [last, [...amounts, ...splits]] as const),
      );
      return listed.map((one) => ({ ...one, books: books.get(one.opening.last) ?? [] }));
    }),
  );
};
