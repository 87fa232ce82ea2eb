-- Lines that are added together are looked at together: once by entry, once by account, once by month.

-- The lines of an entry bear the numbers from 1 on without a gap. With the key of the lines, nothing can be added to an
-- entry that has lines, for its 1 is taken.
CREATE OR REPLACE FUNCTION check_added_lines() RETURNS trigger LANGUAGE plpgsql
SECURITY DEFINER SET search_path FROM CURRENT AS $$
DECLARE
  by_entry   record;
  by_account record;
BEGIN
  PERFORM 1 FROM account
  WHERE (chart_id, id) IN (SELECT DISTINCT chart_id, account_id FROM added)
  ORDER BY chart_id, id FOR SHARE;

  SELECT bool_or(entry.id IS NULL) AS strays,
         bool_or(fresh.total <> 0 OR fresh.lines <> fresh.newest) AS unbalanced,
         bool_or((fresh.first_date, fresh.first_sequence) <> (entry.entry_date, entry.sequence)
              OR (fresh.last_date, fresh.last_sequence) <> (entry.entry_date, entry.sequence)) AS elsewhere,
         bool_or(entry.by_hand) AS typed,
         bool_or(entry.reverses IS NOT NULL) AS reverses
  INTO by_entry
  FROM (
    SELECT chart_id, entry_id, sum(amount) AS total, count(*) AS lines, max(line_number) AS newest,
           min(entry_date) AS first_date, max(entry_date) AS last_date,
           min(sequence) AS first_sequence, max(sequence) AS last_sequence
    FROM added GROUP BY 1, 2
  ) AS fresh
  LEFT JOIN entry ON entry.chart_id = fresh.chart_id AND entry.id = fresh.entry_id;
  IF by_entry.strays THEN
    RAISE EXCEPTION 'a line belongs to no entry'
      USING ERRCODE = 'foreign_key_violation', CONSTRAINT = 'entry_line_of_entry';
  END IF;
  IF by_entry.unbalanced THEN
    RAISE EXCEPTION 'an entry does not balance, or was posted before'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_balances';
  END IF;
  IF by_entry.elsewhere THEN
    RAISE EXCEPTION 'a line stands elsewhere than its entry'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_stands_with_entry';
  END IF;

  SELECT bool_or(account.role = 'heading') AS heading,
         bool_or(account.merged_into IS NOT NULL) AS merged,
         bool_or(used.last_date >= account.retired_on) AS retired,
         -- Stock is the system's own unless the account says otherwise.
         bool_or(coalesce((account.settings ->> 'systemPostedOnly')::boolean, account.kind = 'inventory')) AS system_only
  INTO by_account
  FROM (SELECT chart_id, account_id, max(entry_date) AS last_date FROM added GROUP BY 1, 2) AS used
  JOIN account ON account.chart_id = used.chart_id AND account.id = used.account_id;
  IF by_account.heading THEN
    RAISE EXCEPTION 'a heading takes no postings'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_not_on_heading';
  END IF;
  IF by_account.merged THEN
    RAISE EXCEPTION 'a merged account takes no postings'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_not_on_merged';
  END IF;
  IF by_account.retired THEN
    RAISE EXCEPTION 'a retired account takes no new postings'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_not_on_retired';
  END IF;
  IF by_entry.typed AND by_account.system_only AND EXISTS (
    SELECT 1 FROM added
    JOIN entry ON entry.chart_id = added.chart_id AND entry.id = added.entry_id
    JOIN account ON account.chart_id = added.chart_id AND account.id = added.account_id
    WHERE entry.by_hand AND coalesce((account.settings ->> 'systemPostedOnly')::boolean, account.kind = 'inventory')
  ) THEN
    RAISE EXCEPTION 'an account of the system’s own takes nothing that is typed'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_not_on_system_only';
  END IF;
  -- What takes an entry back is its opposite, line for line.
  IF by_entry.reverses AND EXISTS (
    SELECT 1 FROM (SELECT DISTINCT chart_id, entry_id FROM added) AS fresh
    JOIN entry ON entry.chart_id = fresh.chart_id AND entry.id = fresh.entry_id AND entry.reverses IS NOT NULL
    WHERE EXISTS (
      SELECT 1
      FROM (SELECT line_number, amount FROM entry_line
            WHERE chart_id = entry.chart_id AND entry_id = entry.id) AS back
      FULL JOIN (SELECT line_number, amount FROM entry_line
                 WHERE chart_id = entry.chart_id AND entry_id = entry.reverses) AS there USING (line_number)
      WHERE back.amount IS DISTINCT FROM -there.amount)
  ) THEN
    RAISE EXCEPTION 'what takes an entry back is not its opposite'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_reverses_whole';
  END IF;

  INSERT INTO account_month_total (chart_id, account_id, month, amount)
  SELECT chart_id, account_id, date_trunc('month', entry_date)::date, sum(amount)
  FROM added
  GROUP BY 1, 2, 3
  ORDER BY 1, 2, 3
  ON CONFLICT (chart_id, account_id, month)
    DO UPDATE SET amount = account_month_total.amount + excluded.amount;
  RETURN NULL;
END $$;

-- Entries neither go nor change their ids (`entry_stays`), and the check above looks for the entry of every line: a
-- second look, line by line, finds nothing more.
ALTER TABLE entry_line DROP CONSTRAINT entry_line_of_entry;

-- What accounts demand is looked up once for each, what lines carry only where they carry something.
CREATE OR REPLACE FUNCTION check_line_dimensions() RETURNS trigger LANGUAGE plpgsql
SECURITY DEFINER SET search_path FROM CURRENT AS $$
BEGIN
  IF EXISTS (SELECT 1 FROM added WHERE dimension_values <> '{}') THEN
    IF EXISTS (
      SELECT 1 FROM (
        SELECT DISTINCT added.chart_id, carried.dimension_id, carried.value_id
        FROM added, jsonb_each_text(added.dimension_values) AS carried (dimension_id, value_id)
      ) AS carried
      WHERE NOT EXISTS (
        SELECT 1 FROM chart, jsonb_array_elements(chart.dimensions) AS listed (dimension),
                      jsonb_array_elements(listed.dimension -> 'values') AS known (entry)
        WHERE chart.id = carried.chart_id
          AND listed.dimension ->> 'id' = carried.dimension_id
          AND known.entry ->> 'id' = carried.value_id
      )
    ) THEN
      RAISE EXCEPTION 'a line carries a value that the chart does not have'
        USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_value_known';
    END IF;
    INSERT INTO dimension_value_use (chart_id, value_id)
    SELECT DISTINCT added.chart_id, carried.value_id::uuid
    FROM added, jsonb_each_text(added.dimension_values) AS carried (dimension_id, value_id)
    ORDER BY 1, 2
    ON CONFLICT DO NOTHING;
  END IF;
  IF EXISTS (
    WITH demanding AS MATERIALIZED (
      SELECT account.chart_id, account.id AS account_id, asked.use ->> 'dimensionId' AS dimension_id
      FROM (SELECT DISTINCT chart_id, account_id FROM added) AS used
      JOIN account ON account.chart_id = used.chart_id AND account.id = used.account_id,
        jsonb_array_elements(coalesce(account.settings -> 'dimensions', '[]')) AS asked (use)
      WHERE (asked.use ->> 'demanded')::boolean
    )
    SELECT 1 FROM demanding
    JOIN added ON added.chart_id = demanding.chart_id AND added.account_id = demanding.account_id
    WHERE NOT added.dimension_values ? demanding.dimension_id
  ) THEN
    RAISE EXCEPTION 'a line lacks a value that its account demands'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_value_demanded';
  END IF;
  RETURN NULL;
END $$;
