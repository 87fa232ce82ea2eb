-- What the columns and types of a client's lists from elsewhere meant, known again by their headings.
CREATE TABLE known_list (
  practice_id uuid NOT NULL,
  client_id   uuid NOT NULL,
  -- SHA-256 of the headings, whatever their case.
  key         text NOT NULL CHECK (key ~ '^[0-9a-f]{64}$'),
  headings    jsonb NOT NULL CHECK (jsonb_typeof(headings) = 'array'),
  uses        jsonb NOT NULL CHECK (jsonb_typeof(uses) = 'array'),
  types       jsonb NOT NULL CHECK (jsonb_typeof(types) = 'object'),
  kept_at     timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (client_id, key),
  FOREIGN KEY (practice_id, client_id) REFERENCES client (practice_id, id),
  CHECK (jsonb_array_length(headings) = jsonb_array_length(uses))
);

CREATE INDEX known_list_by_practice ON known_list (practice_id, kept_at);
