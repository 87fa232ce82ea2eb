import type { ClientAnswer, ClientChange, ClientNature, NewClientRequest } from '@iunctus/contract';
import type { Viewer } from '../access/viewer';
import { change, many } from '../database/query';
import type { Reader, Transaction } from '../database/transaction';

interface ClientRow {
  readonly id: string;
  readonly name: string;
  readonly legal_form: ClientAnswer['legalForm'];
  readonly industry: ClientAnswer['industry'];
  readonly country: string;
  readonly currency: string;
  readonly fiscal_year_start: number;
  readonly accounts: number | null;
  readonly revision: number | null;
  readonly adopted_at: Date | null;
  readonly adopted_by: string | null;
  readonly pending: number;
  readonly to_review: number;
  readonly latest_month: string | null;
  readonly put_away_at: Date | null;
}

const answerOf = (row: ClientRow): ClientAnswer => ({
  id: row.id,
  name: row.name,
  legalForm: row.legal_form,
  industry: row.industry,
  country: row.country,
  currency: row.currency,
  fiscalYearStart: row.fiscal_year_start,
  chart:
    row.revision === null
      ? null
      : {
          accounts: row.accounts ?? 0,
          revision: row.revision,
          adoptedAt: row.adopted_at?.toISOString() ?? null,
          adoptedBy: row.adopted_by,
        },
  pending: row.pending,
  toReview: row.to_review,
  latestMonth: row.latest_month,
  putAwayAt: row.put_away_at?.toISOString() ?? null,
});

/** The practice's clients by name, or the one asked for, each with what its chart has come to. */
export const manyClients = async (
  on: Reader,
  viewer: Viewer,
  clientId: string | null,
): Promise<ClientAnswer[]> => {
  const rows = await many<ClientRow>(on, {
    text: `
      SELECT client.id, client.name, client.legal_form, client.industry, client.country,
             client.currency, client.fiscal_year_start, client.put_away_at,
             (SELECT count(*)::int FROM account
              WHERE account.chart_id = chart.id AND account.merged_into IS NULL) AS accounts,
             chart.revision, revision.adopted_at, app_user.name AS adopted_by,
             coalesce((SELECT changes_in(proposal.steps) FROM proposal
                       WHERE proposal.chart_id = chart.id AND proposal.user_id = $2), 0) AS pending,
             (SELECT count(*)::int FROM proposal
              WHERE proposal.chart_id = chart.id AND proposal.reviewer_id = $2
                AND proposal.state = 'handedOver') AS to_review,
             (SELECT to_char(max(month), 'YYYY-MM') FROM account_month_total
              WHERE account_month_total.chart_id = chart.id) AS latest_month
      FROM client
      LEFT JOIN chart ON chart.client_id = client.id AND chart.practice_id = $1
      LEFT JOIN revision ON revision.chart_id = chart.id AND revision.number = chart.revision
      LEFT JOIN app_user ON app_user.id = revision.author_id
      WHERE client.practice_id = $1 AND ($3::uuid IS NULL OR client.id = $3)
        AND ($4::uuid IS NULL OR client.id = $4)
      ORDER BY client.name`,
    values: [viewer.practiceId, viewer.userId, clientId, viewer.clientId],
  });
  return rows.map(answerOf);
};

/** Adds a client to the practice. */
export const insertClient = (
  on: Transaction,
  client: NewClientRequest & { readonly id: string; readonly practiceId: string },
): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO client (id, practice_id, name, legal_form, industry, country, currency, fiscal_year_start)
      VALUES ($1, $2, $3, $4, $5, $6, $7, $8)`,
    values: [
      client.id,
      client.practiceId,
      client.name,
      client.legalForm,
      client.industry,
      client.country,
      client.currency,
      client.fiscalYearStart,
    ],
  });

/** Changes what a client is. */
export const updateNature = (
  on: Transaction,
  client: ClientNature & { readonly id: string; readonly practiceId: string },
): Promise<number> =>
  change(on, {
    text: `
      UPDATE client SET legal_form = $3, industry = $4, country = $5
      WHERE practice_id = $1 AND id = $2`,
    values: [client.practiceId, client.id, client.legalForm, client.industry, client.country],
  });

/** Changes what a client is called and is. */
export const updateClient = (
  on: Transaction,
  client: ClientChange & { readonly id: string; readonly practiceId: string },
): Promise<number> =>
  change(on, {
    text: `
      UPDATE client SET name = $3, legal_form = $4, industry = $5, country = $6, fiscal_year_start = $7
      WHERE practice_id = $1 AND id = $2`,
    values: [
      client.practiceId,
      client.id,
      client.name,
      client.legalForm,
      client.industry,
      client.country,
      client.fiscalYearStart,
    ],
  });

/** Puts a client away, or brings it back. A client that is away stays so since when it was put there. */
export const updatePutAway = (
  on: Transaction,
  client: { readonly id: string; readonly practiceId: string; readonly away: boolean },
): Promise<number> =>
  change(on, {
    text: `
      UPDATE client SET put_away_at = CASE WHEN $3 THEN coalesce(put_away_at, now()) END
      WHERE practice_id = $1 AND id = $2`,
    values: [client.practiceId, client.id, client.away],
  });
