import { randomUUID } from 'node:crypto';
import { KIND_CODES, elementOf } from '@iunctus/core';
import pg from 'pg';
import {
  applicationUrlOf,
  benchChart,
  brokenRule,
  clientNamed,
  idOf,
  MAREN,
  serveDemo,
  type Running,
} from './harness';

/** What is tried by hand on the database, past the server and the core. */
describe('the database refuses what the core refuses', () => {
  let server: Running;
  let chart: string;
  let other: string;
  let id: (number: string) => string;
  let application: pg.Client;
  beforeAll(async () => {
    server = await serveDemo();
    const maren = await server.signedIn(MAREN);
    const client = await clientNamed(maren, 'Kestrel Lane Cider Works');
    const bench = await benchChart(maren, client.id);
    id = (number) => idOf(bench, number);
    const charts = await server.pool.query('SELECT id, client_id FROM chart');
    chart = charts.rows.find((row) => row.client_id === client.id).id;
    other = charts.rows.find((row) => row.client_id !== client.id).id;
    await server.pool.query(`
      INSERT INTO practice (id, name) VALUES ('00000000-0000-4000-8000-0000000000aa', 'Elsewhere');
      INSERT INTO app_user (id, practice_id, email, name, role)
      VALUES ('00000000-0000-4000-8000-0000000000ab', '00000000-0000-4000-8000-0000000000aa', 'e@e.example', 'E', 'administrator');
    `);
    application = new pg.Client({ connectionString: await applicationUrlOf(server.pool) });
    await application.connect();
  });
  afterAll(async () => {
    await application.end();
    await server.stop();
  });

  const broken = (text: string, values: unknown[] = []): Promise<string> =>
    brokenRule(server.pool, text, values);

  const entry = (change: { date?: string; chart?: string } = {}, lines: readonly (readonly [string, number])[] = []): Promise<string> =>
    broken(
      `WITH posted AS (
         INSERT INTO entry (id, practice_id, chart_id, entry_date, source, comment)
         SELECT $2, practice_id, id, $5, 'journal', '' FROM chart WHERE id = $1 RETURNING id
       )
       INSERT INTO entry_line (chart_id, entry_id, line_number, account_id, amount)
       SELECT $1, posted.id, number, account, amount
       FROM posted, unnest($3::uuid[], $4::bigint[]) WITH ORDINALITY AS line (account, amount, number)`,
      [change.chart ?? chart, randomUUID(), lines.map(([account]) => account), lines.map(([, amount]) => amount), change.date ?? '2026-11-02'],
    ); // prettier-ignore
  const set = (change: string, number: string): Promise<string> =>
    broken(`UPDATE account SET ${change} WHERE chart_id = $1 AND id = $2`, [chart, id(number)]);
  const account = (change: Readonly<Record<string, unknown>>): Promise<string> => {
    const row = {
      id: randomUUID(), practice_id: '5f0c9a52-6b1e-4f7a-9d5c-3f0a8b1c2d01', chart_id: chart, parent_id: null, position: 900,
      number: '9990', name: 'New', short_label: '', guidance: '', notes: '', role: 'posting', kind: 'bank', ...change,
    };
    return broken('INSERT INTO account (id, practice_id, chart_id, parent_id, position, number, name, short_label, guidance, notes, role, kind, retired_on, settings, merged_into) SELECT id, practice_id, chart_id, parent_id, position, number, name, short_label, guidance, notes, role, kind, retired_on, coalesce(settings, \'{}\'), merged_into FROM jsonb_populate_record(NULL::account, $1)', [JSON.stringify(row)]);
  }; // prettier-ignore

  it('and takes what they take: an account, an entry that balances', async () => {
    expect(await account({ number: '9989', name: 'First', position: 800 })).toBe('nothing');
    expect(await entry({}, [[id('1010'), 500], [id('4010'), -500]])).toBe('nothing'); // prettier-ignore
  });

  it('knows the kinds of the core, each with its element', async () => {
    const { rows } = await server.pool.query('SELECT code, element FROM kind ORDER BY code');
    const own = KIND_CODES.map((code) => ({ code, element: elementOf(code) }));
    expect(rows).toEqual(own.sort((a, b) => (a.code < b.code ? -1 : 1)));
  });

  describe('of an account', () => {
    it.each([
      ['a number that another bears', () => account({ number: '1010' }), 'account_number_unique'],
      ['a name that a sibling bears, whatever its case', () => set(`name = 'TAX RESERVE account'`, '1010'), 'account_name_unique_among_siblings'],
      ['a name that stands elsewhere in the chart', () => account({ name: 'FUEL' }), 'account_name_unique_in_chart'],
      ['no number where accounts bear one', () => account({ number: null }), 'account_numbered'],
      ['a kind that there is not', () => account({ kind: 'misc' }), 'account_kind_known'],
      ['no name', () => account({ name: '' }), 'account_name_check'],
      ['a name that is too long', () => account({ name: 'x'.repeat(121) }), 'account_texts_within_limits'],
      ['a number that is too long', () => account({ number: '1'.repeat(21) }), 'account_texts_within_limits'],
      ['notes that are too long', () => account({ notes: 'x'.repeat(4001) }), 'account_texts_within_limits'],
      ['a role that there is not', () => account({ role: 'total' }), 'account_role_check'],
      ['settings that are no settings', () => account({ settings: [] }), 'account_settings_check'],
      ['a place that a sibling has', () => set('position = 1', '1010'), 'account_position_unique'],
      ['a place before the first', () => account({ position: -1 }), 'account_position_check'],
      ['a day that never comes', () => account({ retired_on: 'infinity' }), 'account_retired_on_a_day'],
      ['a day before days are counted', () => account({ retired_on: '0044-03-15 BC' }), 'account_retired_on_a_day'],
      ['a parent that there is not', () => account({ parent_id: randomUUID() }), 'account_parent_in_chart'],
      ['itself as its parent', () => set(`parent_id = id`, '1010'), 'account_not_its_own_parent'],
      ['a parent below it', () => set(`parent_id = '${id('1010')}', position = 90`, '1000'), 'account_tree_without_circle'],
      ['a parent of another element', () => set(`parent_id = '${id('6000')}', position = 90`, '1010'), 'account_of_its_parents_element'],
      ['a kind of another element than its parent', () => set(`kind = 'tradePayable'`, '1010'), 'account_of_its_parents_element'],
      ['an open place below a retired one', () => set(`retired_on = '2026-11-01'`, '6000'), 'account_not_open_below_retired'],
      ['itself as what it is merged into', () => set('merged_into = id', '6210'), 'account_not_merged_into_itself'],
      ['two merged into each other', () => broken(`UPDATE account SET merged_into = CASE id WHEN $2 THEN $3::uuid ELSE $2 END WHERE chart_id = $1 AND id IN ($2, $3)`, [chart, id('6210'), id('6220')]), 'account_merged_without_circle'],
      ['merging what takes postings into a heading', () => set(`merged_into = '${id('6000')}'`, '6210'), 'account_merged_into_posting'],
      ['merging away what others stand below', () => set(`merged_into = '${id('1010')}'`, '6000'), 'account_tree_without_circle'],
      ['the retired account for results of closed years', () => set(`retired_on = '2026-11-01'`, '3050'), 'account_system_use_is_open'],
      ['merging the account for results of closed years', () => set(`merged_into = '${id('3010')}'`, '3050'), 'account_merged_is_not_the_systems'],
      ['a heading where postings stand', () => set(`role = 'heading'`, '4010'), 'account_heading_without_postings'],
      ['going while postings stand there', () => broken('DELETE FROM account WHERE chart_id = $1 AND id = $2', [chart, id('4010')]), 'entry_line_account_in_chart'],
      ['going while others stand below', () => broken('DELETE FROM account WHERE chart_id = $1 AND id = $2', [chart, id('1000')]), 'account_parent_in_chart'],
      ['another chart', () => set(`chart_id = '${other}'`, '6210'), 'account_stays'],
      ['another practice', () => set(`practice_id = '00000000-0000-4000-8000-0000000000aa'`, '6210'), 'account_stays'],
      ['another identity', () => set(`id = '${randomUUID()}'`, '6210'), 'account_stays'],
      ['a parent in another chart', () => broken(`UPDATE account SET parent_id = (SELECT id FROM account WHERE chart_id = $2 LIMIT 1), position = 90 WHERE chart_id = $1 AND id = $3`, [chart, other, id('6210')]), 'account_parent_in_chart'],
      ['a merge into another chart', () => broken(`UPDATE account SET merged_into = (SELECT id FROM account WHERE chart_id = $2 AND role = 'posting' LIMIT 1) WHERE chart_id = $1 AND id = $3`, [chart, other, id('6210')]), 'account_merged_into_in_chart'],
      ['a chart of another practice', () => account({ practice_id: '00000000-0000-4000-8000-0000000000aa' }), 'account_practice_id_chart_id_fkey'],
    ] as const)('%s', async (_what, attempt, rule) => {
      expect(await attempt()).toBe(rule);
    }); // prettier-ignore

    it('a tree that is too deep', async () => {
      const rows = Array.from({ length: 41 }, (_, level) => ({ id: randomUUID(), level }));
      expect(
        await broken(
          `INSERT INTO account (id, practice_id, chart_id, parent_id, position, number, name, short_label, guidance, notes, role, kind)
           SELECT own, practice_id, $1, parent, CASE WHEN parent IS NULL THEN 900 ELSE 0 END, 'D' || level, 'Deep ' || level, '', '', '', 'heading', 'bank'
           FROM chart, unnest($2::uuid[], $3::uuid[]) WITH ORDINALITY AS row (own, parent, level) WHERE chart.id = $1`,
          [chart, rows.map((row) => row.id), [null, ...rows.slice(0, -1).map((row) => row.id)]],
        ),
      ).toBe('account_tree_not_too_deep');
    });
  });

  describe('of entries', () => {
    it.each([
      ['one that does not balance', () => entry({}, [[id('1010'), 500], [id('4010'), -499]]), 'entry_balances'],
      ['one without lines', () => broken(`INSERT INTO entry (id, practice_id, chart_id, entry_date, source, comment) SELECT $2, practice_id, id, '2026-11-02', 'journal', '' FROM chart WHERE id = $1`, [chart, randomUUID()]), 'entry_has_lines'],
      ['a line of nothing', () => entry({}, [[id('1010'), 0]]), 'entry_line_amount_check'],
      ['an amount that is not counted exactly', () => entry({}, [[id('1010'), 9007199254740993], [id('4010'), -9007199254740993]]), 'entry_line_amount_counted'],
      ['a line on a heading', () => entry({}, [[id('1000'), 5], [id('4010'), -5]]), 'entry_line_not_on_heading'],
      ['a line on an account of another chart', () => broken(`WITH posted AS (INSERT INTO entry (id, practice_id, chart_id, entry_date, source, comment) SELECT $3, practice_id, id, '2026-11-02', 'journal', '' FROM chart WHERE id = $1 RETURNING id), elsewhere AS (SELECT id FROM account WHERE chart_id = $2 AND role = 'posting' LIMIT 1) INSERT INTO entry_line (chart_id, entry_id, line_number, account_id, amount) SELECT $1, posted.id, 1, elsewhere.id, 5 FROM posted, elsewhere UNION ALL SELECT $1, posted.id, 2, $4, -5 FROM posted`, [chart, other, randomUUID(), id('4010')]), 'entry_line_account_in_chart'],
      ['lines added to one that was posted', () => broken(`INSERT INTO entry_line (chart_id, entry_id, line_number, account_id, amount) SELECT chart_id, id, 90 + n, CASE n WHEN 1 THEN $2::uuid ELSE $3 END, CASE n WHEN 1 THEN 5 ELSE -5 END FROM (SELECT chart_id, id FROM entry WHERE chart_id = $1 LIMIT 1) AS one, generate_series(1, 2) AS n`, [chart, id('1010'), id('4010')]), 'entry_balances'],
      ['lines that go on after those that were posted', () => broken(`INSERT INTO entry_line (chart_id, entry_id, line_number, account_id, amount) SELECT chart_id, entry_id, last + n, CASE n WHEN 1 THEN $2::uuid ELSE $3 END, CASE n WHEN 1 THEN 5 ELSE -5 END FROM (SELECT chart_id, entry_id, max(line_number) AS last FROM entry_line WHERE chart_id = $1 GROUP BY 1, 2 LIMIT 1) AS one, generate_series(1, 2) AS n`, [chart, id('1010'), id('4010')]), 'entry_balances'],
      ['lines of no entry', () => broken(`INSERT INTO entry_line (chart_id, entry_id, line_number, account_id, amount, entry_date, sequence) SELECT $1, $4, n, CASE n WHEN 1 THEN $2::uuid ELSE $3 END, CASE n WHEN 1 THEN 5 ELSE -5 END, '2026-11-02', 1 FROM generate_series(1, 2) AS n`, [chart, id('1010'), id('4010'), randomUUID()]), 'entry_line_of_entry'],
      ['a day that never comes', () => entry({ date: 'infinity' }, [[id('1010'), 5], [id('4010'), -5]]), 'entry_on_a_day'],
      ['a day beyond the calendar', () => entry({ date: '10000-01-01' }, [[id('1010'), 5], [id('4010'), -5]]), 'entry_on_a_day'],
      ['another day', () => broken(`UPDATE entry SET entry_date = '2020-01-01'`), 'entry_stays'],
      ['another comment', () => broken(`UPDATE entry SET comment = 'x'`), 'entry_stays'],
      ['going', () => broken('DELETE FROM entry'), 'entry_stays'],
      ['another amount', () => broken('UPDATE entry_line SET amount = 1'), 'entry_line_immutable'],
      ['another account', () => broken(`UPDATE entry_line SET account_id = '${id('4010')}'`), 'entry_line_immutable'],
      ['lines that go', () => broken('DELETE FROM entry_line'), 'entry_line_immutable'],
      ['a source that there is not', () => broken(`INSERT INTO entry (id, practice_id, chart_id, entry_date, source, comment) SELECT $2, practice_id, id, '2026-11-02', 'other', '' FROM chart WHERE id = $1`, [chart, randomUUID()]), 'entry_source_check'],
      ['totals by month, changed by hand', () => broken('UPDATE account_month_total SET amount = amount + 1'), 'account_month_total_is_counted'],
      ['totals by month, added by hand', () => broken(`INSERT INTO account_month_total (chart_id, account_id, month, amount) VALUES ($1, $2, '2020-01-01', 5)`, [chart, id('4010')]), 'account_month_total_is_counted'],
      ['totals by month, removed by hand', () => broken('DELETE FROM account_month_total'), 'account_month_total_is_counted'],
      ['totals of splits, changed by hand', () => broken('DELETE FROM account_split_month_total'), 'account_split_month_total_is_counted'],
      ['values in use, changed by hand', () => broken('DELETE FROM dimension_value_use'), 'dimension_value_use_is_counted'],
      ['lines of a split, removed by hand', () => broken('DELETE FROM account_split_line'), 'account_split_line_is_counted'],
    ] as const)('%s', async (_what, attempt, rule) => {
      expect(await attempt()).toBe(rule);
    }); // prettier-ignore

    it('lines on what was retired or merged, and takes what is older', async () => {
      await server.pool.query(`UPDATE account SET retired_on = '2026-11-01' WHERE chart_id = $1 AND id = $2`, [chart, id('6350')]); // prettier-ignore
      const on = (date: string) => entry({ date }, [[id('6350'), 500], [id('1010'), -500]]); // prettier-ignore
      expect(await on('2026-11-01')).toBe('entry_line_not_on_retired');
      expect(await on('2026-10-31')).toBe('nothing');
    });

    it('a line on what becomes a heading at the same moment, whoever is first', async () => {
      const fresh = randomUUID();
      await server.pool.query(
        `INSERT INTO account (id, practice_id, chart_id, position, number, name, short_label, guidance, notes, role, kind)
         SELECT $2, practice_id, id, 950, '9955', 'Fresh', '', '', '', 'posting', 'operatingExpense' FROM chart WHERE id = $1`,
        [chart, fresh],
      );
      const heading = await server.pool.connect();
      await heading.query('BEGIN');
      await heading.query(`UPDATE account SET role = 'heading' WHERE chart_id = $1 AND id = $2`, [chart, fresh]); // prettier-ignore
      const posting = entry({}, [[fresh, 5], [id('1010'), -5]]); // prettier-ignore
      await new Promise((resolve) => setTimeout(resolve, 150));
      await heading.query('COMMIT');
      heading.release();
      expect(await posting).toBe('entry_line_not_on_heading');
    });
  });

  describe('of revisions and proposals', () => {
    const revision = (number: number): Promise<string> =>
      broken(
        `INSERT INTO revision (practice_id, chart_id, number, author_id, note, comment, operations, inverse)
         SELECT practice_id, chart_id, $2, author_id, '', '', operations, inverse FROM revision WHERE chart_id = $1 AND number = 1`,
        [chart, number],
      );

    it.each([
      ['one that is changed', () => broken(`UPDATE revision SET note = 'x'`), 'revision_stays'],
      ['one that goes', () => broken('DELETE FROM revision'), 'revision_stays'],
      ['a gap', () => revision(9), 'revision_follows'],
      ['one beside the newest of the chart', () => revision(4), 'revision_follows'],
      ['a chart that says it is elsewhere', () => broken('UPDATE chart SET revision = 2 WHERE id = $1', [chart]), 'revision_follows'],
      ['one that changes nothing', () => broken(`INSERT INTO revision (practice_id, chart_id, number, author_id, note, comment, operations, inverse) SELECT practice_id, chart_id, 4, author_id, '', '', '[]', '[]' FROM revision WHERE chart_id = $1 AND number = 1`, [chart]), 'revision_changes_something'],
      ['an author of another practice', () => broken(`INSERT INTO revision (practice_id, chart_id, number, author_id, note, comment, operations, inverse) SELECT practice_id, chart_id, 4, '00000000-0000-4000-8000-0000000000ab', '', '', operations, inverse FROM revision WHERE chart_id = $1 AND number = 1`, [chart]), 'revision_practice_id_author_id_fkey'],
      ['a proposal that goes back', () => broken('UPDATE proposal SET version = version - 1 WHERE version > 1'), 'proposal_goes_on'],
      ['other steps under the same version', () => broken(`UPDATE proposal SET steps = '[{"id": "x"}]'`), 'proposal_goes_on'],
      ['other steps that stay approved', () => broken(`UPDATE proposal SET steps = '[{"id": "x"}]', version = version + 1, state = 'approved' WHERE reviewer_id IS NOT NULL`), 'proposal_goes_on'],
      ['a proposal without steps', () => broken(`UPDATE proposal SET conflicts = '{}'`), 'proposal_is_steps'],
      ['another author', () => broken(`UPDATE proposal SET user_id = '00000000-0000-4000-8000-0000000000ab'`), 'proposal_stays'],
      ['a reviewer of another practice', () => broken(`UPDATE proposal SET state = 'handedOver', reviewer_id = '00000000-0000-4000-8000-0000000000ab'`), 'proposal_reviewer_in_practice'],
    ] as const)('%s', async (_what, attempt, rule) => {
      expect(await attempt()).toBe(rule);
    }); // prettier-ignore
  });

  describe('of practices, people and clients', () => {
    it.each([
      ['a client that changes hands', () => broken(`UPDATE client SET practice_id = '00000000-0000-4000-8000-0000000000aa'`), 'client_stays'],
      ['somebody who changes practice', () => broken(`UPDATE app_user SET practice_id = '00000000-0000-4000-8000-0000000000aa'`), 'app_user_stays'],
      ['a chart that changes client', () => broken(`UPDATE chart SET client_id = (SELECT id FROM client WHERE name LIKE 'Heron%') WHERE id = $1`, [chart]), 'chart_stays'],
      ['an onlooker who sees no client', () => broken(`UPDATE app_user SET role = 'onlooker'`), 'app_user_onlooker_sees_one_client'],
      ['somebody else bound to a client', () => broken(`UPDATE app_user SET client_id = (SELECT id FROM client LIMIT 1) WHERE email = '${MAREN}'`), 'app_user_onlooker_sees_one_client'],
      ['an onlooker of another practice’s client', () => broken(`UPDATE app_user SET role = 'onlooker', client_id = (SELECT id FROM client LIMIT 1) WHERE email = 'e@e.example'`), 'app_user_client_in_practice'],
      ['an address that somebody has', () => broken(`UPDATE app_user SET email = '${MAREN}' WHERE email = 'e@e.example'`), 'app_user_email_unique'],
      ['a session without an end', () => broken(`INSERT INTO session (token_hash, user_id, expires_at) SELECT 'x', id, 'infinity' FROM app_user LIMIT 1`), 'session_ends'],
      ['a country that is none', () => broken(`UPDATE client SET country = 'usa'`), 'client_country_check'],
      ['a year that begins in no month', () => broken('UPDATE client SET fiscal_year_start = 13'), 'client_fiscal_year_start_check'],
      ['a kept version by somebody of another practice', () => broken(`WITH kept AS (INSERT INTO kept_chart (id, practice_id, name) VALUES (gen_random_uuid(), '5f0c9a52-6b1e-4f7a-9d5c-3f0a8b1c2d01', 'K') RETURNING id, practice_id) INSERT INTO kept_chart_version (practice_id, kept_chart_id, number, made_by, note, content) SELECT practice_id, id, 1, '00000000-0000-4000-8000-0000000000ab', '', '{}' FROM kept`), 'kept_chart_version_by_one_of_the_practice'],
    ] as const)('%s', async (_what, attempt, rule) => {
      expect(await attempt()).toBe(rule);
    }); // prettier-ignore

    it('a table that is emptied, whichever it is', async () => {
      const { rows } = await server.pool.query<{ name: string }>(
        `SELECT tablename AS name FROM pg_tables WHERE schemaname = 'public' AND tablename <> 'schema_migration'`,
      );
      expect(rows.length).toBeGreaterThan(25);
      for (const { name } of rows)
        expect([name, await broken(`TRUNCATE ${name} CASCADE`)]).toEqual([name, expect.stringMatching(/_stays$/)]); // prettier-ignore
    });
  });

  describe('of the application’s own role', () => {
    const denied = async (text: string): Promise<string> =>
      application.query(text).then(
        () => 'nothing',
        (error: { code: string }) => error.code,
      );

    it('that it owns something, or is more than it must be', async () => {
      const { rows } = await application.query(`
        SELECT rolsuper, rolcreatedb, rolcreaterole, rolreplication, rolbypassrls,
               (SELECT count(*)::int FROM pg_class WHERE relowner = pg_roles.oid) AS owned
        FROM pg_roles WHERE rolname = current_user`);
      expect(rows).toEqual([{ rolsuper: false, rolcreatedb: false, rolcreaterole: false, rolreplication: false, rolbypassrls: false, owned: 0 }]); // prettier-ignore
    });

    it.each([
      'DELETE FROM revision', 'UPDATE revision SET note = note', 'UPDATE entry SET comment = comment', 'DELETE FROM entry_line',
      'UPDATE account_month_total SET amount = 0', 'INSERT INTO kind VALUES (\'x\', \'asset\')', 'UPDATE practice SET name = \'x\'',
      'DELETE FROM client', 'DELETE FROM app_user', 'UPDATE app_user SET practice_id = practice_id', 'DELETE FROM proposal',
      'INSERT INTO schema_migration (name) VALUES (\'x\')', 'TRUNCATE entry', 'DROP TABLE entry', 'ALTER TABLE entry DISABLE TRIGGER USER',
      'CREATE TABLE mine (x int)', 'SET ROLE iunctus', 'SET session_replication_role = replica',
    ])('%s', async (text) => {
      expect(await denied(text)).toBe('42501');
    }); // prettier-ignore
  });
});
