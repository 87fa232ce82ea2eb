-- Statements as a client wants them: rows one by one, and columns. Accounts are named, not referred to: a layout follows
-- the chart when they are moved, merged, or come back by undoing.
CREATE TABLE layout (
  practice_id uuid NOT NULL,
  chart_id    uuid NOT NULL,
  id          uuid NOT NULL,
  -- Grows with every change, so that none is overwritten unseen.
  version     integer NOT NULL CHECK (version > 0),
  content     jsonb NOT NULL CHECK (
    jsonb_typeof(content) = 'object'
    AND content ->> 'statement' IN ('balanceSheet', 'profitAndLoss')
    AND jsonb_typeof(content -> 'rows') = 'array'
    AND char_length(content ->> 'name') BETWEEN 1 AND 80
  ),
  author_id   uuid NOT NULL,
  changed_at  timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (chart_id, id),
  FOREIGN KEY (practice_id, chart_id) REFERENCES chart (practice_id, id),
  FOREIGN KEY (practice_id, author_id) REFERENCES app_user (practice_id, id)
);
CREATE TRIGGER layout_is_not_emptied BEFORE TRUNCATE ON layout
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
