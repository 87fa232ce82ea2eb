-- What the columns and types of lists from elsewhere meant, known again by their headings.
CREATE TABLE known_list (
  practice_id uuid NOT NULL REFERENCES practice,
  -- SHA-256 of the headings, whatever their case.
  key         text NOT NULL CHECK (key ~ '^[0-9a-f]{64}$'),
  headings    jsonb NOT NULL CHECK (jsonb_typeof(headings) = 'array'),
  uses        jsonb NOT NULL CHECK (jsonb_typeof(uses) = 'array'),
  types       jsonb NOT NULL CHECK (jsonb_typeof(types) = 'object'),
  kept_at     timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (practice_id, key),
  CHECK (jsonb_array_length(headings) = jsonb_array_length(uses))
);
