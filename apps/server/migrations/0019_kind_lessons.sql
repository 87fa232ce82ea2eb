-- What somebody of the practice said that an account of some name is, for the lists of all its clients.
CREATE TABLE kind_lesson (
  practice_id uuid NOT NULL REFERENCES practice (id),
  -- The name without regard to case and white space.
  name_key    text NOT NULL CHECK (char_length(name_key) BETWEEN 1 AND 240),
  id          uuid NOT NULL DEFAULT gen_random_uuid(),
  name        text NOT NULL CHECK (char_length(name) BETWEEN 1 AND 120),
  kind        text NOT NULL REFERENCES kind (code),
  learned_at  timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (practice_id, name_key),
  UNIQUE (practice_id, id)
);

CREATE TRIGGER kind_lesson_is_not_emptied BEFORE TRUNCATE ON kind_lesson
  FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
