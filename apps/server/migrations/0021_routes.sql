-- What leads amounts to accounts: default accounts, customers and suppliers with accounts of their own, word rules,
-- rates of sales tax, and the proofs of where samples land. Accounts are named, not referred to: one that is removed
-- and comes back by undoing finds its routes again.
CREATE TABLE route_item (
  practice_id uuid NOT NULL,
  chart_id    uuid NOT NULL,
  id          uuid NOT NULL,
  type        text NOT NULL CHECK (type IN ('default', 'party', 'rule', 'taxCode', 'proof', 'gate')),
  -- Grows with every change, so that none is overwritten unseen.
  version     integer NOT NULL CHECK (version > 0),
  content     jsonb NOT NULL CHECK (jsonb_typeof(content) = 'object' AND content ->> 'type' = type),
  author_id   uuid NOT NULL,
  changed_at  timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (chart_id, id),
  FOREIGN KEY (practice_id, chart_id) REFERENCES chart (practice_id, id),
  FOREIGN KEY (practice_id, author_id) REFERENCES app_user (practice_id, id)
);
-- One default for a purpose, one wish of what proofs keep from being adopted.
CREATE UNIQUE INDEX route_item_default_once ON route_item (chart_id, (content ->> 'purpose')) WHERE type = 'default';
CREATE UNIQUE INDEX route_item_gate_once ON route_item (chart_id) WHERE type = 'gate';
CREATE TRIGGER route_item_is_not_emptied BEFORE TRUNCATE ON route_item
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();

-- Lines of banks and marketplaces that somebody wants not to be posted.
CREATE TABLE line_set_aside (
  practice_id uuid NOT NULL,
  chart_id    uuid NOT NULL,
  line_id     uuid NOT NULL,
  author_id   uuid NOT NULL,
  set_at      timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (chart_id, line_id),
  FOREIGN KEY (practice_id, chart_id) REFERENCES chart (practice_id, id),
  FOREIGN KEY (practice_id, author_id) REFERENCES app_user (practice_id, id)
);
CREATE TRIGGER line_set_aside_is_not_emptied BEFORE TRUNCATE ON line_set_aside
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
