-- What stood open in an account at the end of a month, as the ledger of customers or suppliers said: the newest list of each.
CREATE TABLE open_item_list (
  practice_id uuid NOT NULL,
  chart_id    uuid NOT NULL,
  account_id  uuid NOT NULL,
  -- Grows with every list, so that none is overwritten unseen.
  version     integer NOT NULL CHECK (version > 0),
  -- The first day of the month at whose end it stood so.
  month       date NOT NULL CHECK (extract(day FROM month) = 1),
  items       jsonb NOT NULL CHECK (
    jsonb_typeof(items) IS NOT DISTINCT FROM 'array' AND jsonb_array_length(items) <= 5000
  ),
  author_id   uuid NOT NULL,
  changed_at  timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (chart_id, account_id),
  FOREIGN KEY (practice_id, chart_id) REFERENCES chart (practice_id, id),
  FOREIGN KEY (practice_id, author_id) REFERENCES app_user (practice_id, id)
);
CREATE TRIGGER open_item_list_is_not_emptied BEFORE TRUNCATE ON open_item_list
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
