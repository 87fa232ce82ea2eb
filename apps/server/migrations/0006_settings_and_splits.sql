-- An account's further settings, dimensions and what postings carry in them, and splits.

-- Only what differs from the usual of the account's kind.
ALTER TABLE account ADD COLUMN settings jsonb NOT NULL DEFAULT '{}' CHECK (jsonb_typeof(settings) = 'object');

-- The chart's dimensions in order, each with its values.
ALTER TABLE chart ADD COLUMN dimensions jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(dimensions) = 'array');

-- The order in which entries were posted, whatever their date.
ALTER TABLE entry ADD COLUMN sequence bigint GENERATED ALWAYS AS IDENTITY;
CREATE UNIQUE INDEX entry_by_sequence ON entry (chart_id, sequence);

-- Value id by dimension id.
ALTER TABLE entry_line ADD COLUMN dimension_values jsonb NOT NULL DEFAULT '{}'
  CHECK (jsonb_typeof(dimension_values) = 'object');

-- Values that postings carry; such a value is not removed.
CREATE TABLE dimension_value_use (
  chart_id uuid NOT NULL REFERENCES chart,
  value_id uuid NOT NULL,
  PRIMARY KEY (chart_id, value_id)
);

-- Lines carry values that the chart has, and one in every dimension that their account demands.
CREATE FUNCTION check_line_dimensions() RETURNS trigger LANGUAGE plpgsql AS $$
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
    JOIN account ON account.id = added.account_id,
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

CREATE TRIGGER entry_line_dimensions AFTER INSERT ON entry_line
  REFERENCING NEW TABLE AS added FOR EACH STATEMENT EXECUTE FUNCTION check_line_dimensions();

-- Some postings of an account that count with another. The lines stay as they were posted.
CREATE TABLE account_split (
  id              uuid PRIMARY KEY,
  practice_id     uuid NOT NULL,
  chart_id        uuid NOT NULL,
  from_account_id uuid NOT NULL,
  into_account_id uuid NOT NULL,
  choice          jsonb NOT NULL,
  -- A line that several splits moved counts where the last one put it.
  position        bigint GENERATED ALWAYS AS IDENTITY,
  UNIQUE (chart_id, id),
  FOREIGN KEY (practice_id, chart_id) REFERENCES chart (practice_id, id),
  CONSTRAINT account_split_from_in_chart FOREIGN KEY (chart_id, from_account_id)
    REFERENCES account (chart_id, id) DEFERRABLE INITIALLY DEFERRED,
  CONSTRAINT account_split_into_in_chart FOREIGN KEY (chart_id, into_account_id)
    REFERENCES account (chart_id, id) DEFERRABLE INITIALLY DEFERRED,
  CONSTRAINT account_split_not_into_itself CHECK (from_account_id <> into_account_id)
);

CREATE INDEX account_split_by_from ON account_split (chart_id, from_account_id);
CREATE INDEX account_split_by_into ON account_split (chart_id, into_account_id);

CREATE TABLE account_split_line (
  chart_id    uuid NOT NULL,
  split_id    uuid NOT NULL,
  entry_id    uuid NOT NULL,
  line_number integer NOT NULL,
  PRIMARY KEY (split_id, entry_id, line_number),
  FOREIGN KEY (chart_id, split_id) REFERENCES account_split (chart_id, id) ON DELETE CASCADE,
  FOREIGN KEY (entry_id, line_number) REFERENCES entry_line (entry_id, line_number)
);

CREATE INDEX account_split_line_by_line ON account_split_line (entry_id, line_number);

CREATE TABLE account_split_month_total (
  chart_id uuid NOT NULL,
  split_id uuid NOT NULL,
  -- First day of the month.
  month    date NOT NULL CHECK (extract(day FROM month) = 1),
  amount   bigint NOT NULL,
  PRIMARY KEY (split_id, month),
  FOREIGN KEY (chart_id, split_id) REFERENCES account_split (chart_id, id) ON DELETE CASCADE
);

-- Accounts in operations from before had no further settings.
CREATE FUNCTION with_settings(operations jsonb) RETURNS jsonb LANGUAGE sql IMMUTABLE AS $$
  SELECT coalesce(jsonb_agg(
    CASE WHEN operation ? 'account' AND NOT operation -> 'account' ? 'settings'
      THEN jsonb_set(operation, '{account,settings}', '{}') ELSE operation END
    ORDER BY place), '[]')
  FROM jsonb_array_elements(operations) WITH ORDINALITY AS listed (operation, place)
$$;

CREATE FUNCTION steps_with_settings(steps jsonb) RETURNS jsonb LANGUAGE sql IMMUTABLE AS $$
  SELECT coalesce(jsonb_agg(
    jsonb_set(step, '{operations}', with_settings(step -> 'operations')) ORDER BY place), '[]')
  FROM jsonb_array_elements(steps) WITH ORDINALITY AS listed (step, place)
$$;

UPDATE revision SET operations = with_settings(operations), inverse = with_settings(inverse);
UPDATE proposal SET
  steps = steps_with_settings(steps),
  conflicts = (
    SELECT coalesce(jsonb_agg(
      jsonb_set(conflict, '{step,operations}', with_settings(conflict -> 'step' -> 'operations'))
      ORDER BY place), '[]')
    FROM jsonb_array_elements(conflicts) WITH ORDINALITY AS listed (conflict, place)
  );

DROP FUNCTION steps_with_settings(jsonb);
DROP FUNCTION with_settings(jsonb);
