-- The books of a chart: entries are numbered, bear an author and may take another back; their lines stand in an order in
-- which an account can be read; periods are locked; what is not posted yet is kept.

ALTER TABLE chart
  -- The number of the newest entry.
  ADD COLUMN entries bigint NOT NULL DEFAULT 0 CHECK (entries >= 0),
  -- The last day to which nothing is posted any more; written beside `period_lock`.
  ADD COLUMN locked_through date;

ALTER TABLE entry DISABLE TRIGGER entry_stays;
ALTER TABLE entry
  ADD COLUMN number    bigint,
  -- Typed by somebody; what comes from files and programs is not.
  ADD COLUMN by_hand   boolean NOT NULL DEFAULT false,
  ADD COLUMN author_id uuid,
  ADD COLUMN posted_at timestamptz,
  -- The entry that this one takes back, and the one in whose stead it is posted.
  ADD COLUMN reverses  uuid,
  ADD COLUMN corrects  uuid;
UPDATE entry SET number = counted.number
FROM (SELECT chart_id, id, row_number() OVER (PARTITION BY chart_id ORDER BY sequence) AS number FROM entry) AS counted
WHERE counted.chart_id = entry.chart_id AND counted.id = entry.id;
UPDATE chart SET entries = (SELECT count(*) FROM entry WHERE entry.chart_id = chart.id);
ALTER TABLE entry
  ALTER COLUMN number SET NOT NULL,
  ALTER COLUMN posted_at SET DEFAULT now(),
  ADD CONSTRAINT entry_numbered_once UNIQUE (chart_id, number),
  ADD CONSTRAINT entry_by_one_of_the_practice FOREIGN KEY (practice_id, author_id) REFERENCES app_user (practice_id, id),
  ADD CONSTRAINT entry_by_hand_has_author CHECK (author_id IS NOT NULL OR NOT by_hand),
  ADD CONSTRAINT entry_reverses_in_chart FOREIGN KEY (chart_id, reverses) REFERENCES entry (chart_id, id),
  ADD CONSTRAINT entry_corrects_in_chart FOREIGN KEY (chart_id, corrects) REFERENCES entry (chart_id, id),
  ADD CONSTRAINT entry_reverses_another CHECK (reverses <> id AND corrects <> id);
CREATE UNIQUE INDEX entry_reversed_once ON entry (chart_id, reverses) WHERE reverses IS NOT NULL;
CREATE UNIQUE INDEX entry_corrected_once ON entry (chart_id, corrects) WHERE corrects IS NOT NULL;
ALTER TABLE entry ENABLE TRIGGER entry_stays;
DROP INDEX entry_by_date;
CREATE INDEX entry_in_order ON entry (chart_id, entry_date, sequence);

ALTER TABLE entry_line DISABLE TRIGGER entry_line_immutable;
ALTER TABLE entry_line
  -- As the entry has them, so that an account is read in order by an index of its own.
  ADD COLUMN entry_date     date,
  ADD COLUMN sequence       bigint,
  ADD COLUMN comment        text NOT NULL DEFAULT '' CHECK (char_length(comment) <= 500),
  ADD COLUMN currency       text CHECK (currency ~ '^[A-Z]{3}$'),
  ADD COLUMN foreign_amount bigint CHECK (foreign_amount BETWEEN -9007199254740991 AND 9007199254740991),
  ADD COLUMN rate           numeric CHECK (rate > 0);
UPDATE entry_line SET entry_date = entry.entry_date, sequence = entry.sequence
FROM entry WHERE entry.chart_id = entry_line.chart_id AND entry.id = entry_line.entry_id;
ALTER TABLE entry_line
  ALTER COLUMN entry_date SET NOT NULL,
  ALTER COLUMN sequence SET NOT NULL,
  ADD CONSTRAINT entry_line_foreign_whole CHECK (
    num_nonnulls(currency, foreign_amount, rate) IN (0, 3) AND (foreign_amount IS NULL OR foreign_amount * sign(amount) >= 0));
ALTER TABLE entry_line ENABLE TRIGGER entry_line_immutable;
DROP INDEX entry_line_by_account;
CREATE UNIQUE INDEX entry_line_in_order
  ON entry_line (chart_id, account_id, entry_date, sequence, line_number) INCLUDE (amount, entry_id);

-- Who locked the books through which day, and who opened them again: the newest counts.
CREATE TABLE period_lock (
  practice_id uuid NOT NULL,
  chart_id    uuid NOT NULL,
  number      integer NOT NULL CHECK (number > 0),
  -- The last day that is locked; NULL where everything was opened.
  through     date CHECK (through BETWEEN '0001-01-01' AND '9999-12-31'),
  author_id   uuid NOT NULL,
  locked_at   timestamptz NOT NULL DEFAULT now(),
  note        text NOT NULL CHECK (char_length(note) <= 500),
  PRIMARY KEY (chart_id, number),
  FOREIGN KEY (practice_id, chart_id) REFERENCES chart (practice_id, id),
  FOREIGN KEY (practice_id, author_id) REFERENCES app_user (practice_id, id)
);
CREATE TRIGGER period_lock_stays BEFORE UPDATE OR DELETE ON period_lock
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
CREATE TRIGGER period_lock_is_not_emptied BEFORE TRUNCATE ON period_lock
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();

CREATE FUNCTION lock_books() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path FROM CURRENT AS $$
BEGIN
  UPDATE chart SET locked_through = (
    SELECT through FROM period_lock WHERE chart_id = NEW.chart_id ORDER BY number DESC LIMIT 1)
  WHERE id = NEW.chart_id;
  RETURN NULL;
END $$;
CREATE TRIGGER period_lock_counts AFTER INSERT ON period_lock FOR EACH ROW EXECUTE FUNCTION lock_books();
CREATE TRIGGER chart_is_locked_by_its_log BEFORE UPDATE OF locked_through ON chart
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_hands();

-- An entry that comes without a number gets the next one.
CREATE FUNCTION number_entry() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path FROM CURRENT AS $$
BEGIN
  UPDATE chart SET entries = entries + 1 WHERE id = NEW.chart_id RETURNING entries INTO NEW.number;
  RETURN NEW;
END $$;
CREATE TRIGGER entry_is_numbered BEFORE INSERT ON entry
  FOR EACH ROW WHEN (NEW.number IS NULL) EXECUTE FUNCTION number_entry();

-- Nothing is posted to a locked period. The chart is held meanwhile, so that nobody locks it.
CREATE FUNCTION check_added_entries() RETURNS trigger LANGUAGE plpgsql
SECURITY DEFINER SET search_path FROM CURRENT AS $$
BEGIN
  PERFORM 1 FROM chart WHERE id IN (SELECT chart_id FROM added) ORDER BY id FOR SHARE;
  IF EXISTS (
    SELECT 1 FROM added JOIN chart ON chart.id = added.chart_id WHERE added.entry_date <= chart.locked_through
  ) THEN
    RAISE EXCEPTION 'a locked period takes no postings'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_in_open_period';
  END IF;
  IF EXISTS (SELECT 1 FROM added JOIN chart ON chart.id = added.chart_id WHERE added.number > chart.entries) THEN
    RAISE EXCEPTION 'an entry is numbered beyond the newest'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_numbers_follow';
  END IF;
  RETURN NULL;
END $$;
CREATE TRIGGER entry_in_open_period AFTER INSERT ON entry
  REFERENCING NEW TABLE AS added FOR EACH STATEMENT EXECUTE FUNCTION check_added_entries();

-- A line that comes without its entry's day and place in the order gets them.
CREATE FUNCTION place_line() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path FROM CURRENT AS $$
BEGIN
  SELECT entry.entry_date, entry.sequence INTO NEW.entry_date, NEW.sequence
  FROM entry WHERE entry.chart_id = NEW.chart_id AND entry.id = NEW.entry_id;
  RETURN NEW;
END $$;
CREATE TRIGGER entry_line_is_placed BEFORE INSERT ON entry_line
  FOR EACH ROW WHEN (NEW.sequence IS NULL OR NEW.entry_date IS NULL) EXECUTE FUNCTION place_line();

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
    SELECT 1 FROM added JOIN entry ON entry.chart_id = added.chart_id AND entry.id = added.entry_id
    WHERE (entry.entry_date, entry.sequence) <> (added.entry_date, added.sequence)
  ) THEN
    RAISE EXCEPTION 'a line stands elsewhere than its entry'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_stands_with_entry';
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
    SELECT 1 FROM added JOIN account ON account.chart_id = added.chart_id AND account.id = added.account_id
    WHERE added.entry_date >= account.retired_on
  ) THEN
    RAISE EXCEPTION 'a retired account takes no new postings'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_not_on_retired';
  END IF;
  IF EXISTS (
    SELECT 1 FROM added
    JOIN entry ON entry.chart_id = added.chart_id AND entry.id = added.entry_id
    JOIN account ON account.chart_id = added.chart_id AND account.id = added.account_id
    -- Stock is the system's own unless the account says otherwise.
    WHERE entry.by_hand AND coalesce((account.settings ->> 'systemPostedOnly')::boolean, account.kind = 'inventory')
  ) THEN
    RAISE EXCEPTION 'an account of the system’s own takes nothing that is typed'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_not_on_system_only';
  END IF;
  -- What takes an entry back is its opposite, line for line.
  IF EXISTS (
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

-- Entries that somebody is typing, as they are typed.
CREATE TABLE entry_draft (
  practice_id uuid NOT NULL,
  chart_id    uuid NOT NULL,
  id          uuid NOT NULL,
  author_id   uuid NOT NULL,
  -- Grows with every change, so that none is overwritten unseen.
  version     integer NOT NULL CHECK (version > 0),
  content     jsonb NOT NULL CHECK (jsonb_typeof(content) = 'object'),
  changed_at  timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (chart_id, id),
  FOREIGN KEY (practice_id, chart_id) REFERENCES chart (practice_id, id),
  FOREIGN KEY (practice_id, author_id) REFERENCES app_user (practice_id, id)
);

-- Entries that come again and again, and what became of each day on which they came.
CREATE TABLE standing_entry (
  practice_id uuid NOT NULL,
  chart_id    uuid NOT NULL,
  id          uuid NOT NULL,
  name        text NOT NULL CHECK (name <> '' AND char_length(name) <= 120),
  frequency   text NOT NULL CHECK (frequency IN
    ('weekly', 'everyTwoWeeks', 'twiceAMonth', 'monthly', 'quarterly', 'yearly')),
  first_day   date NOT NULL CHECK (first_day BETWEEN '0001-01-01' AND '9999-12-31'),
  last_day    date CHECK (last_day >= first_day AND last_day <= '9999-12-31'),
  times       integer CHECK (times > 0),
  content     jsonb NOT NULL CHECK (jsonb_typeof(content) = 'object'),
  author_id   uuid NOT NULL,
  PRIMARY KEY (chart_id, id),
  FOREIGN KEY (practice_id, chart_id) REFERENCES chart (practice_id, id),
  FOREIGN KEY (practice_id, author_id) REFERENCES app_user (practice_id, id)
);
CREATE TABLE standing_entry_day (
  chart_id    uuid NOT NULL,
  standing_id uuid NOT NULL,
  due         date NOT NULL,
  -- The entry that was posted for it; NULL where it was skipped.
  entry_id    uuid,
  PRIMARY KEY (chart_id, standing_id, due),
  FOREIGN KEY (chart_id, standing_id) REFERENCES standing_entry (chart_id, id) ON DELETE CASCADE,
  FOREIGN KEY (chart_id, entry_id) REFERENCES entry (chart_id, id)
);
CREATE UNIQUE INDEX standing_entry_day_of_entry ON standing_entry_day (chart_id, entry_id) WHERE entry_id IS NOT NULL;

DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['entry_draft', 'standing_entry', 'standing_entry_day'] LOOP
    EXECUTE format(
      'CREATE TRIGGER %I BEFORE TRUNCATE ON %I FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()',
      name || '_is_not_emptied', name);
  END LOOP;
END $$;

-- What columns and names of accounts mean in the lists of entries that were brought in, one row a chart.
CREATE TABLE journal_memory (
  practice_id uuid NOT NULL,
  chart_id    uuid PRIMARY KEY,
  content     jsonb NOT NULL CHECK (jsonb_typeof(content) = 'object'),
  FOREIGN KEY (practice_id, chart_id) REFERENCES chart (practice_id, id)
);
CREATE TRIGGER journal_memory_is_not_emptied BEFORE TRUNCATE ON journal_memory
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
