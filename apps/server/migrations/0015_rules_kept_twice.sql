-- The database refuses what the core refuses, whoever asks it.

-- Every kind with its element. A new kind comes with a migration of its own.
CREATE TABLE kind (
  code    text PRIMARY KEY,
  element text NOT NULL CHECK (element IN ('asset', 'liability', 'equity', 'revenue', 'expense', 'memorandum'))
);
INSERT INTO kind (code, element)
SELECT code, element FROM (VALUES
    ('asset', ARRAY['cashOnHand', 'bank', 'clearing', 'shortTermInvestment', 'tradeReceivable',
    'receivableAllowance', 'otherReceivable', 'inventory', 'prepaidExpense', 'salesTaxRecoverable',
    'otherCurrentAsset', 'propertyAndEquipment', 'accumulatedDepreciation', 'intangibleAsset',
    'accumulatedAmortisation', 'longTermInvestment', 'loanGiven', 'otherNonCurrentAsset']),
    ('liability', ARRAY['tradePayable', 'cardPayable', 'payrollPayable', 'salesTaxPayable',
    'incomeTaxPayable', 'accruedExpense', 'deferredRevenue', 'shortTermBorrowing', 'dueToOwner',
    'otherCurrentLiability', 'longTermBorrowing', 'deferredTax', 'otherNonCurrentLiability']),
    ('equity', ARRAY['ownersCapital', 'drawings', 'shareCapital', 'additionalPaidInCapital',
    'treasuryShares', 'retainedEarnings', 'openingBalanceEquity', 'netAssetsWithoutRestrictions',
    'netAssetsWithRestrictions']),
    ('revenue', ARRAY['saleOfGoods', 'services', 'returnsAndDiscounts', 'grantsAndDonations',
    'otherOperatingRevenue', 'investmentIncome', 'gains']),
    ('expense', ARRAY['costOfSales', 'operatingExpense', 'depreciation', 'otherExpense',
    'financeCost', 'incomeTax']),
    ('memorandum', ARRAY['memorandum'])
) AS listed (element, codes), unnest(codes) AS code;

ALTER TABLE account
  ADD CONSTRAINT account_kind_known FOREIGN KEY (kind) REFERENCES kind (code),
  ADD CONSTRAINT account_texts_within_limits CHECK (
    char_length(name) <= 120 AND char_length(short_label) <= 40 AND char_length(guidance) <= 1000
    AND char_length(notes) <= 4000 AND char_length(number) <= 20),
  ADD CONSTRAINT account_retired_on_a_day CHECK (retired_on BETWEEN '0001-01-01' AND '9999-12-31');

ALTER TABLE entry ADD CONSTRAINT entry_on_a_day CHECK (entry_date BETWEEN '0001-01-01' AND '9999-12-31');
ALTER TABLE entry_line ADD CONSTRAINT entry_line_amount_counted
  CHECK (amount BETWEEN -9007199254740991 AND 9007199254740991);
ALTER TABLE account_month_total ADD CONSTRAINT account_month_total_on_a_day
  CHECK (month BETWEEN '0001-01-01' AND '9999-12-31');
ALTER TABLE revision
  ADD CONSTRAINT revision_at_a_time CHECK (isfinite(adopted_at)),
  ADD CONSTRAINT revision_changes_something CHECK (
    jsonb_typeof(operations) = 'array' AND jsonb_typeof(inverse) = 'array' AND jsonb_array_length(operations) > 0);
ALTER TABLE proposal
  ADD CONSTRAINT proposal_is_steps CHECK (jsonb_typeof(steps) = 'array' AND jsonb_typeof(conflicts) = 'array');

-- Nobody's ids but one's own.
ALTER TABLE kept_chart_version
  DROP CONSTRAINT kept_chart_version_made_by_fkey,
  ADD CONSTRAINT kept_chart_version_by_one_of_the_practice FOREIGN KEY (practice_id, made_by)
    REFERENCES app_user (practice_id, id);
ALTER TABLE client_origin ADD CONSTRAINT client_origin_of_the_practice
  FOREIGN KEY (practice_id, kept_chart_id) REFERENCES kept_chart (practice_id, id) ON DELETE CASCADE;
ALTER TABLE client_origin_pending
  DROP CONSTRAINT client_origin_pending_user_id_fkey,
  ADD CONSTRAINT client_origin_pending_user_of_the_practice FOREIGN KEY (practice_id, user_id)
    REFERENCES app_user (practice_id, id),
  ADD CONSTRAINT client_origin_pending_of_the_practice
    FOREIGN KEY (practice_id, kept_chart_id) REFERENCES kept_chart (practice_id, id) ON DELETE CASCADE;
ALTER TABLE proposal_remark ADD CONSTRAINT proposal_remark_of_the_practice
  FOREIGN KEY (practice_id, chart_id) REFERENCES chart (practice_id, id);

-- What is written once.
CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION '% of % is refused: what is written there stays', TG_OP, TG_TABLE_NAME
    USING ERRCODE = 'check_violation', CONSTRAINT = TG_TABLE_NAME || '_stays';
END $$;

CREATE TRIGGER revision_stays BEFORE UPDATE OR DELETE ON revision
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
CREATE TRIGGER entry_stays BEFORE UPDATE OR DELETE ON entry
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
CREATE TRIGGER kept_chart_version_stays BEFORE UPDATE ON kept_chart_version
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
CREATE TRIGGER account_former_stays BEFORE UPDATE ON account_former
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();

-- What keeps its identity, its chart and its practice.
CREATE TRIGGER app_user_keeps_practice BEFORE UPDATE OF id, practice_id ON app_user
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
CREATE TRIGGER client_keeps_practice BEFORE UPDATE OF id, practice_id ON client
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
CREATE TRIGGER chart_keeps_client BEFORE UPDATE OF id, practice_id, client_id ON chart
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
CREATE TRIGGER account_keeps_chart BEFORE UPDATE OF id, practice_id, chart_id ON account
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
CREATE TRIGGER proposal_keeps_author BEFORE UPDATE OF practice_id, chart_id, user_id ON proposal
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
CREATE TRIGGER account_split_stays BEFORE UPDATE ON account_split
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
CREATE TRIGGER kept_chart_keeps_practice BEFORE UPDATE OF id, practice_id ON kept_chart
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();

-- What only the database itself writes, beside the lines that it counts.
CREATE FUNCTION refuse_hands() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF pg_trigger_depth() < 2 THEN
    RAISE EXCEPTION '% is counted, never written by hand', TG_TABLE_NAME
      USING ERRCODE = 'check_violation', CONSTRAINT = TG_TABLE_NAME || '_is_counted';
  END IF;
  RETURN NULL;
END $$;

CREATE TRIGGER account_month_total_is_counted BEFORE INSERT OR UPDATE OR DELETE ON account_month_total
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_hands();
CREATE TRIGGER account_split_month_total_is_counted BEFORE INSERT OR UPDATE OR DELETE ON account_split_month_total
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_hands();
CREATE TRIGGER dimension_value_use_is_counted BEFORE INSERT OR UPDATE OR DELETE ON dimension_value_use
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_hands();
CREATE TRIGGER account_split_line_stays BEFORE UPDATE OR DELETE ON account_split_line
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_hands();

-- Nothing is emptied.
DO $$
DECLARE name text;
BEGIN
  FOR name IN SELECT tablename FROM pg_tables WHERE schemaname = current_schema() LOOP
    EXECUTE format(
      'CREATE TRIGGER %I BEFORE TRUNCATE ON %I FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()',
      name || '_is_not_emptied', name);
  END LOOP;
END $$;

-- The lines of an entry are written by one statement; after it they balance, stand on open posting
-- accounts, and are counted. The accounts are held until the transaction ends, so that none of them
-- becomes a heading, is retired or merged meanwhile.
CREATE OR REPLACE FUNCTION check_added_lines() RETURNS trigger LANGUAGE plpgsql
SECURITY DEFINER SET search_path FROM CURRENT AS $$
BEGIN
  PERFORM 1 FROM account
  WHERE (chart_id, id) IN (SELECT chart_id, account_id FROM added)
  ORDER BY chart_id, id FOR SHARE;
  IF EXISTS (
    SELECT 1 FROM (
      SELECT chart_id, entry_id, count(*) AS lines, sum(amount) AS total FROM added GROUP BY 1, 2
    ) AS fresh
    WHERE fresh.total <> 0 OR fresh.lines <> (
      SELECT count(*) FROM entry_line AS line
      WHERE line.chart_id = fresh.chart_id AND line.entry_id = fresh.entry_id)
  ) THEN
    RAISE EXCEPTION 'an entry does not balance, or was posted before'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_balances';
  END IF;
  IF EXISTS (
    SELECT 1 FROM added JOIN account ON account.chart_id = added.chart_id AND account.id = added.account_id
    WHERE account.role = 'heading'
  ) THEN
    RAISE EXCEPTION 'a heading takes no postings'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_not_on_heading';
  END IF;
  IF EXISTS (
    SELECT 1 FROM added JOIN account ON account.chart_id = added.chart_id AND account.id = added.account_id
    WHERE account.merged_into IS NOT NULL
  ) THEN
    RAISE EXCEPTION 'a merged account takes no postings'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_not_on_merged';
  END IF;
  IF EXISTS (
    SELECT 1 FROM added
    JOIN account ON account.chart_id = added.chart_id AND account.id = added.account_id
    JOIN entry ON entry.chart_id = added.chart_id AND entry.id = added.entry_id
    WHERE entry.entry_date >= account.retired_on
  ) THEN
    RAISE EXCEPTION 'a retired account takes no new postings'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_not_on_retired';
  END IF;
  INSERT INTO account_month_total (chart_id, account_id, month, amount)
  SELECT added.chart_id, added.account_id, date_trunc('month', entry.entry_date)::date, sum(added.amount)
  FROM added JOIN entry ON entry.chart_id = added.chart_id AND entry.id = added.entry_id
  GROUP BY 1, 2, 3
  ORDER BY 1, 2, 3
  ON CONFLICT (chart_id, account_id, month)
    DO UPDATE SET amount = account_month_total.amount + excluded.amount;
  RETURN NULL;
END $$;
DROP TRIGGER entry_line_not_on_merged ON entry_line;
DROP FUNCTION check_merged_takes_no_lines();

CREATE OR REPLACE FUNCTION check_line_dimensions() RETURNS trigger LANGUAGE plpgsql
SECURITY DEFINER SET search_path FROM CURRENT AS $$
BEGIN
  IF EXISTS (
    SELECT 1 FROM added, jsonb_each_text(added.dimension_values) AS carried (dimension_id, value_id)
    WHERE NOT EXISTS (
      SELECT 1 FROM chart, jsonb_array_elements(chart.dimensions) AS listed (dimension),
                    jsonb_array_elements(listed.dimension -> 'values') AS known (entry)
      WHERE chart.id = added.chart_id
        AND listed.dimension ->> 'id' = carried.dimension_id
        AND known.entry ->> 'id' = carried.value_id
    )
  ) THEN
    RAISE EXCEPTION 'a line carries a value that the chart does not have'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_value_known';
  END IF;
  IF EXISTS (
    SELECT 1 FROM added
    JOIN account ON account.chart_id = added.chart_id AND account.id = added.account_id,
      jsonb_array_elements(coalesce(account.settings -> 'dimensions', '[]')) AS asked (use)
    WHERE (asked.use ->> 'demanded')::boolean
      AND NOT added.dimension_values ? (asked.use ->> 'dimensionId')
  ) THEN
    RAISE EXCEPTION 'a line lacks a value that its account demands'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_value_demanded';
  END IF;
  INSERT INTO dimension_value_use (chart_id, value_id)
  SELECT DISTINCT added.chart_id, carried.value_id::uuid
  FROM added, jsonb_each_text(added.dimension_values) AS carried (dimension_id, value_id)
  ON CONFLICT DO NOTHING;
  RETURN NULL;
END $$;

-- What a split moves is counted by month.
CREATE FUNCTION count_split_lines() RETURNS trigger LANGUAGE plpgsql
SECURITY DEFINER SET search_path FROM CURRENT AS $$
BEGIN
  INSERT INTO account_split_month_total (chart_id, split_id, month, amount)
  SELECT added.chart_id, added.split_id, date_trunc('month', entry.entry_date)::date, sum(line.amount)
  FROM added
  JOIN entry_line AS line USING (chart_id, entry_id, line_number)
  JOIN entry ON entry.chart_id = added.chart_id AND entry.id = added.entry_id
  GROUP BY 1, 2, 3
  ON CONFLICT (chart_id, split_id, month)
    DO UPDATE SET amount = account_split_month_total.amount + excluded.amount;
  RETURN NULL;
END $$;
CREATE TRIGGER account_split_line_counted AFTER INSERT ON account_split_line
  REFERENCING NEW TABLE AS added FOR EACH STATEMENT EXECUTE FUNCTION count_split_lines();

-- No entry without lines.
CREATE FUNCTION check_entry_has_lines() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF NOT EXISTS (SELECT 1 FROM entry_line WHERE chart_id = NEW.chart_id AND entry_id = NEW.id) THEN
    RAISE EXCEPTION 'an entry has no lines'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_has_lines';
  END IF;
  RETURN NULL;
END $$;
CREATE CONSTRAINT TRIGGER entry_has_lines AFTER INSERT ON entry
  DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION check_entry_has_lines();

CREATE OR REPLACE FUNCTION check_account_role() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF NEW.role = 'heading'
     AND EXISTS (SELECT 1 FROM entry_line WHERE chart_id = NEW.chart_id AND account_id = NEW.id) THEN
    RAISE EXCEPTION 'an account with postings is no heading'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'account_heading_without_postings';
  END IF;
  RETURN NEW;
END $$;

-- Revisions follow one another without a gap, and the chart stands at the newest.
CREATE FUNCTION check_revisions() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE own uuid := CASE TG_TABLE_NAME WHEN 'chart' THEN to_jsonb(NEW) ->> 'id' ELSE to_jsonb(NEW) ->> 'chart_id' END;
BEGIN
  IF EXISTS (
    SELECT 1 FROM chart,
      LATERAL (SELECT coalesce(max(number), 0) AS newest, count(*) AS all FROM revision WHERE chart_id = chart.id) AS kept
    WHERE chart.id = own AND (chart.revision <> kept.newest OR kept.newest <> kept.all)
  ) THEN
    RAISE EXCEPTION 'revisions have a gap, or the chart does not stand at the newest'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'revision_follows';
  END IF;
  RETURN NULL;
END $$;
CREATE CONSTRAINT TRIGGER revision_follows AFTER INSERT ON revision
  DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION check_revisions();
CREATE CONSTRAINT TRIGGER chart_at_newest_revision AFTER INSERT OR UPDATE OF revision ON chart
  DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION check_revisions();

-- A proposal goes on, and is approved only as it was read.
CREATE FUNCTION check_proposal() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF NEW.version < OLD.version OR (NEW.steps <> OLD.steps AND (NEW.version = OLD.version OR NEW.state <> 'draft')) THEN
    RAISE EXCEPTION 'other steps make another version, and a draft'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'proposal_goes_on';
  END IF;
  RETURN NEW;
END $$;
CREATE TRIGGER proposal_goes_on BEFORE UPDATE ON proposal
  FOR EACH ROW EXECUTE FUNCTION check_proposal();

-- The tree of a chart is looked at once before a transaction ends, after its last change.
CREATE FUNCTION look_at_tree_again() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM set_config('iunctus.trees', '', true);
  RETURN NULL;
END $$;
CREATE TRIGGER account_tree_changed AFTER INSERT OR UPDATE OR DELETE ON account
  FOR EACH STATEMENT EXECUTE FUNCTION look_at_tree_again();

-- The rule that a chart's tree breaks, or NULL. Many accounts may have come in this very transaction, of which the
-- planner knows nothing: it must not try each against each.
CREATE FUNCTION tree_problem(own uuid) RETURNS text LANGUAGE plpgsql STABLE SET enable_nestloop = off AS $$
DECLARE
  accounts bigint;
  merged   bigint;
  reached  bigint;
  deepest  integer;
  found    bigint;
BEGIN
  SELECT count(*) FILTER (WHERE merged_into IS NULL), count(*) FILTER (WHERE merged_into IS NOT NULL)
  INTO accounts, merged FROM account WHERE chart_id = own;
  IF accounts > 25000 THEN RETURN 'account_tree_not_too_large'; END IF;
  WITH RECURSIVE tree AS (
    SELECT id, 1 AS level FROM account WHERE chart_id = own AND parent_id IS NULL AND merged_into IS NULL
    UNION ALL
    SELECT child.id, tree.level + 1 FROM tree
    JOIN account AS child ON child.chart_id = own AND child.parent_id = tree.id AND child.merged_into IS NULL
  )
  SELECT count(*), max(level) INTO reached, deepest FROM tree;
  IF reached <> accounts THEN RETURN 'account_tree_without_circle'; END IF;
  IF deepest > 40 THEN RETURN 'account_tree_not_too_deep'; END IF;
  IF merged > 0 THEN
    WITH RECURSIVE chain AS (
      SELECT account.id FROM account
      JOIN account AS target ON target.chart_id = own AND target.id = account.merged_into AND target.merged_into IS NULL
      WHERE account.chart_id = own
      UNION ALL
      SELECT account.id FROM chain
      JOIN account ON account.chart_id = own AND account.merged_into = chain.id
    )
    SELECT count(*) INTO found FROM chain;
    IF found <> merged THEN RETURN 'account_merged_without_circle'; END IF;
    IF EXISTS (
      SELECT 1 FROM account JOIN account AS target ON target.chart_id = own AND target.id = account.merged_into
      WHERE account.chart_id = own AND account.role = 'posting' AND target.role = 'heading'
    ) THEN RETURN 'account_merged_into_posting'; END IF;
  END IF;
  IF EXISTS (
    SELECT 1 FROM account JOIN account AS parent ON parent.chart_id = own AND parent.id = account.parent_id
    JOIN kind AS below ON below.code = account.kind JOIN kind AS above ON above.code = parent.kind
    WHERE account.chart_id = own AND account.merged_into IS NULL AND below.element <> above.element
  ) THEN RETURN 'account_of_its_parents_element'; END IF;
  IF EXISTS (
    SELECT 1 FROM account JOIN account AS parent ON parent.chart_id = own AND parent.id = account.parent_id
    WHERE account.chart_id = own AND account.merged_into IS NULL
      AND account.retired_on IS NULL AND parent.retired_on IS NOT NULL
  ) THEN RETURN 'account_not_open_below_retired'; END IF;
  IF EXISTS (
    SELECT 1 FROM account JOIN chart ON chart.id = own
    WHERE account.chart_id = own AND account.merged_into IS NULL AND account.number IS NULL AND chart.numbered
  ) THEN RETURN 'account_numbered'; END IF;
  IF EXISTS (
    SELECT lower(name) FROM account JOIN chart ON chart.id = own AND chart.unique_names = 'chart'
    WHERE account.chart_id = own AND account.merged_into IS NULL GROUP BY 1 HAVING count(*) > 1
  ) THEN RETURN 'account_name_unique_in_chart'; END IF;
  RETURN NULL;
END $$;

CREATE FUNCTION check_tree() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
  own    text := CASE WHEN TG_TABLE_NAME = 'chart' THEN to_jsonb(NEW) ->> 'id'
                      ELSE coalesce(to_jsonb(NEW), to_jsonb(OLD)) ->> 'chart_id' END;
  looked text := coalesce(current_setting('iunctus.trees', true), '');
  broken text;
BEGIN
  IF position(own IN looked) > 0 THEN RETURN NULL; END IF;
  broken := tree_problem(own::uuid);
  IF broken IS NOT NULL THEN
    RAISE EXCEPTION 'the chart breaks the rule %', broken USING ERRCODE = 'check_violation', CONSTRAINT = broken;
  END IF;
  PERFORM set_config('iunctus.trees', looked || own, true);
  RETURN NULL;
END $$;
CREATE CONSTRAINT TRIGGER account_tree_stands AFTER INSERT OR UPDATE ON account
  DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION check_tree();
CREATE CONSTRAINT TRIGGER chart_settings_stand AFTER UPDATE OF numbered, unique_names ON chart
  DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION check_tree();

-- An account that is gone and was hidden from some: who saw it. Its history is hidden from the others too.
CREATE TABLE account_veil (
  practice_id uuid NOT NULL,
  chart_id    uuid NOT NULL,
  account_id  uuid NOT NULL,
  -- One list for the account and for each above it that was restricted: whoever is in all of them saw it.
  seen_by     jsonb NOT NULL CHECK (jsonb_typeof(seen_by) = 'array'),
  PRIMARY KEY (chart_id, account_id),
  CONSTRAINT account_veil_of_chart FOREIGN KEY (practice_id, chart_id) REFERENCES chart (practice_id, id)
);
CREATE TRIGGER account_veil_is_not_emptied BEFORE TRUNCATE ON account_veil
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();

-- Accounts that were removed while only some could see them: known by what brings them back.
INSERT INTO account_veil (practice_id, chart_id, account_id, seen_by)
SELECT DISTINCT ON (revision.chart_id, gone.id)
  revision.practice_id, revision.chart_id, gone.id, jsonb_build_array(gone.seen_by)
FROM revision,
  jsonb_array_elements(revision.inverse) AS listed (back),
  LATERAL (SELECT (back -> 'account' ->> 'id')::uuid AS id,
                  back -> 'account' -> 'settings' -> 'restrictedTo' AS seen_by) AS gone
WHERE back ->> 'type' = 'addAccount' AND gone.seen_by IS NOT NULL
  AND NOT EXISTS (SELECT 1 FROM account WHERE account.chart_id = revision.chart_id AND account.id = gone.id)
ORDER BY revision.chart_id, gone.id, revision.number DESC;
