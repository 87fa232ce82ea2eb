-- Findings about a chart that somebody put off until a day, or set aside with a reason. What they are about is named in
-- the key: the rule, and its accounts.
CREATE TABLE finding_note (
  practice_id uuid NOT NULL,
  chart_id    uuid NOT NULL,
  key         text NOT NULL CHECK (char_length(key) BETWEEN 1 AND 400),
  id          uuid NOT NULL DEFAULT gen_random_uuid(),
  -- What was found, so far as a change of it is worth another look.
  print       text NOT NULL CHECK (char_length(print) <= 400),
  until       date,
  reason      text NOT NULL CHECK (char_length(reason) <= 300),
  author_id   uuid NOT NULL,
  noted_at    timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (chart_id, key),
  UNIQUE (chart_id, id),
  FOREIGN KEY (practice_id, chart_id) REFERENCES chart (practice_id, id),
  FOREIGN KEY (practice_id, author_id) REFERENCES app_user (practice_id, id)
);
CREATE TRIGGER finding_note_is_not_emptied BEFORE TRUNCATE ON finding_note
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
