-- Journal entries, and totals by account and month kept beside them.

CREATE TABLE entry (
  id          uuid PRIMARY KEY,
  practice_id uuid NOT NULL,
  chart_id    uuid NOT NULL,
  entry_date  date NOT NULL,
  source      text NOT NULL CHECK (source IN
    ('opening', 'sales', 'purchases', 'bank', 'payroll', 'adjustment', 'journal')),
  comment     text NOT NULL,
  FOREIGN KEY (practice_id, chart_id) REFERENCES chart (practice_id, id),
  UNIQUE (chart_id, id)
);

CREATE INDEX entry_by_date ON entry (chart_id, entry_date);

CREATE TABLE entry_line (
  chart_id    uuid NOT NULL,
  entry_id    uuid NOT NULL,
  line_number integer NOT NULL CHECK (line_number > 0),
  account_id  uuid NOT NULL,
  -- Debit-positive, in minor units of the client's currency.
  amount      bigint NOT NULL CHECK (amount <> 0),
  PRIMARY KEY (entry_id, line_number),
  FOREIGN KEY (chart_id, entry_id) REFERENCES entry (chart_id, id),
  CONSTRAINT entry_line_account_in_chart FOREIGN KEY (chart_id, account_id) REFERENCES account (chart_id, id)
);

CREATE INDEX entry_line_by_account ON entry_line (account_id);

CREATE TABLE account_month_total (
  chart_id   uuid NOT NULL,
  account_id uuid NOT NULL,
  -- First day of the month.
  month      date NOT NULL CHECK (extract(day FROM month) = 1),
  amount     bigint NOT NULL,
  PRIMARY KEY (chart_id, account_id, month),
  FOREIGN KEY (chart_id, account_id) REFERENCES account (chart_id, id)
);

-- The lines of an entry are written by one statement; after it they balance, stand on open
-- posting accounts, and are counted in the month totals.
CREATE FUNCTION check_added_lines() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF EXISTS (
    SELECT 1 FROM entry_line
    WHERE entry_id IN (SELECT entry_id FROM added)
    GROUP BY entry_id HAVING sum(amount) <> 0
  ) THEN
    RAISE EXCEPTION 'an entry does not balance' USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_balances';
  END IF;
  IF EXISTS (SELECT 1 FROM added JOIN account ON account.id = added.account_id WHERE account.role = 'heading') THEN
    RAISE EXCEPTION 'a heading takes no postings' USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_not_on_heading';
  END IF;
  IF EXISTS (
    SELECT 1 FROM added
    JOIN account ON account.id = added.account_id
    JOIN entry ON entry.id = added.entry_id
    WHERE entry.entry_date >= account.retired_on
  ) THEN
    RAISE EXCEPTION 'a retired account takes no new postings' USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_not_on_retired';
  END IF;
  INSERT INTO account_month_total (chart_id, account_id, month, amount)
  SELECT added.chart_id, added.account_id, date_trunc('month', entry.entry_date)::date, sum(added.amount)
  FROM added JOIN entry ON entry.id = added.entry_id
  GROUP BY 1, 2, 3
  ON CONFLICT (chart_id, account_id, month)
    DO UPDATE SET amount = account_month_total.amount + excluded.amount;
  RETURN NULL;
END $$;

CREATE TRIGGER entry_line_added AFTER INSERT ON entry_line
  REFERENCING NEW TABLE AS added FOR EACH STATEMENT EXECUTE FUNCTION check_added_lines();

-- Entries are put right by a reversal, never by changing what was posted.
CREATE FUNCTION refuse_change_of_lines() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION 'posted lines do not change' USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_immutable';
END $$;

CREATE TRIGGER entry_line_immutable BEFORE UPDATE OR DELETE ON entry_line
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change_of_lines();

-- An account that has postings does not become a heading.
CREATE FUNCTION check_account_role() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF NEW.role = 'heading' AND EXISTS (SELECT 1 FROM entry_line WHERE account_id = NEW.id) THEN
    RAISE EXCEPTION 'an account with postings is no heading' USING ERRCODE = 'check_violation', CONSTRAINT = 'account_heading_without_postings';
  END IF;
  RETURN NEW;
END $$;

CREATE TRIGGER account_role_checked BEFORE UPDATE OF role ON account
  FOR EACH ROW WHEN (OLD.role IS DISTINCT FROM NEW.role) EXECUTE FUNCTION check_account_role();
