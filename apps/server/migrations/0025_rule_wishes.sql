-- What a practice, and a client of it, want of the rules of Tidy otherwise than they are: how much each matters, from
-- where on, and words that are spelled right. Both grow a version with every change, so that none is overwritten unseen.
CREATE TABLE practice_rule_wishes (
  practice_id uuid PRIMARY KEY REFERENCES practice (id),
  version     integer NOT NULL CHECK (version > 0),
  content     jsonb NOT NULL CHECK (
    jsonb_typeof(content -> 'severities') IS NOT DISTINCT FROM 'object'
    AND jsonb_typeof(content -> 'limits') IS NOT DISTINCT FROM 'object'
    AND jsonb_typeof(content -> 'words') IS NOT DISTINCT FROM 'array'
  ),
  author_id   uuid NOT NULL,
  changed_at  timestamptz NOT NULL DEFAULT now(),
  FOREIGN KEY (practice_id, author_id) REFERENCES app_user (practice_id, id)
);
CREATE TABLE rule_wishes (
  practice_id uuid NOT NULL,
  chart_id    uuid PRIMARY KEY,
  version     integer NOT NULL CHECK (version > 0),
  content     jsonb NOT NULL CHECK (
    jsonb_typeof(content -> 'severities') IS NOT DISTINCT FROM 'object'
    AND jsonb_typeof(content -> 'limits') IS NOT DISTINCT FROM 'object'
    AND jsonb_typeof(content -> 'words') IS NOT DISTINCT FROM 'array'
  ),
  author_id   uuid NOT NULL,
  changed_at  timestamptz NOT NULL DEFAULT now(),
  FOREIGN KEY (practice_id, chart_id) REFERENCES chart (practice_id, id),
  FOREIGN KEY (practice_id, author_id) REFERENCES app_user (practice_id, id)
);
CREATE TRIGGER practice_rule_wishes_are_not_emptied BEFORE TRUNCATE ON practice_rule_wishes
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
CREATE TRIGGER rule_wishes_are_not_emptied BEFORE TRUNCATE ON rule_wishes
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
