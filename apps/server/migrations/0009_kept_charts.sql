-- The practice's own starting charts, in versions, and which client began from which.
CREATE TABLE kept_chart (
  id          uuid PRIMARY KEY,
  practice_id uuid NOT NULL REFERENCES practice,
  name        text NOT NULL CHECK (name <> ''),
  CONSTRAINT kept_chart_name_unique UNIQUE (practice_id, name),
  UNIQUE (practice_id, id)
);

CREATE TABLE kept_chart_version (
  practice_id   uuid NOT NULL,
  kept_chart_id uuid NOT NULL,
  number        integer NOT NULL CHECK (number > 0),
  made_by       uuid NOT NULL REFERENCES app_user,
  made_at       timestamptz NOT NULL DEFAULT now(),
  note          text NOT NULL,
  content       jsonb NOT NULL,
  PRIMARY KEY (kept_chart_id, number),
  FOREIGN KEY (practice_id, kept_chart_id) REFERENCES kept_chart (practice_id, id)
);

-- Which of the kept chart's accounts and dimensions are which of the client's.
CREATE TABLE client_origin (
  client_id     uuid PRIMARY KEY,
  practice_id   uuid NOT NULL,
  kept_chart_id uuid NOT NULL,
  version       integer NOT NULL,
  ids           jsonb NOT NULL,
  FOREIGN KEY (practice_id, client_id) REFERENCES client (practice_id, id),
  FOREIGN KEY (kept_chart_id, version) REFERENCES kept_chart_version (kept_chart_id, number)
);
