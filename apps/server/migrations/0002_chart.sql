-- Charts of accounts, their revisions, and the proposals that are to become revisions.

CREATE TABLE chart (
  id           uuid PRIMARY KEY,
  practice_id  uuid NOT NULL,
  client_id    uuid NOT NULL,
  digits       smallint NOT NULL CHECK (digits BETWEEN 1 AND 15),
  numbered     boolean NOT NULL,
  unique_names text NOT NULL CHECK (unique_names IN ('chart', 'siblings')),
  revision     integer NOT NULL DEFAULT 0 CHECK (revision >= 0),
  CONSTRAINT chart_one_per_client UNIQUE (client_id),
  UNIQUE (practice_id, id),
  FOREIGN KEY (practice_id, client_id) REFERENCES client (practice_id, id)
);

CREATE TABLE account (
  id          uuid PRIMARY KEY,
  practice_id uuid NOT NULL,
  chart_id    uuid NOT NULL,
  parent_id   uuid,
  -- Place among the siblings, from 0.
  position    integer NOT NULL CHECK (position >= 0),
  number      text CHECK (number <> ''),
  name        text NOT NULL CHECK (name <> ''),
  short_label text NOT NULL,
  guidance    text NOT NULL,
  notes       text NOT NULL,
  role        text NOT NULL CHECK (role IN ('heading', 'posting')),
  kind        text NOT NULL,
  retired_on  date,
  system_use  text CHECK (system_use IN ('retainedEarnings')),
  UNIQUE (chart_id, id),
  FOREIGN KEY (practice_id, chart_id) REFERENCES chart (practice_id, id),
  CONSTRAINT account_parent_in_chart FOREIGN KEY (chart_id, parent_id) REFERENCES account (chart_id, id)
    DEFERRABLE INITIALLY DEFERRED,
  CONSTRAINT account_not_its_own_parent CHECK (parent_id <> id),
  CONSTRAINT account_number_unique UNIQUE (chart_id, number) DEFERRABLE INITIALLY DEFERRED,
  CONSTRAINT account_position_unique UNIQUE NULLS NOT DISTINCT (chart_id, parent_id, position)
    DEFERRABLE INITIALLY DEFERRED,
  CONSTRAINT account_name_unique_among_siblings EXCLUDE USING btree (
    chart_id WITH =,
    (coalesce(parent_id, '00000000-0000-0000-0000-000000000000'::uuid)) WITH =,
    (lower(name)) WITH =
  ) DEFERRABLE INITIALLY DEFERRED,
  CONSTRAINT account_system_use_is_open CHECK (system_use IS NULL OR (role = 'posting' AND retired_on IS NULL))
);

CREATE UNIQUE INDEX account_system_use_unique ON account (chart_id, system_use) WHERE system_use IS NOT NULL;

CREATE TABLE revision (
  practice_id uuid NOT NULL,
  chart_id    uuid NOT NULL,
  number      integer NOT NULL CHECK (number > 0),
  author_id   uuid NOT NULL,
  adopted_at  timestamptz NOT NULL DEFAULT now(),
  note        text NOT NULL,
  operations  jsonb NOT NULL,
  -- inverse[i] takes operations[i] back; applied from the last to the first.
  inverse     jsonb NOT NULL,
  PRIMARY KEY (chart_id, number),
  FOREIGN KEY (practice_id, chart_id) REFERENCES chart (practice_id, id),
  FOREIGN KEY (practice_id, author_id) REFERENCES app_user (practice_id, id),
  CHECK (jsonb_array_length(operations) = jsonb_array_length(inverse))
);

CREATE TABLE proposal (
  practice_id   uuid NOT NULL,
  chart_id      uuid NOT NULL,
  user_id       uuid NOT NULL,
  version       integer NOT NULL CHECK (version > 0),
  base_revision integer NOT NULL CHECK (base_revision >= 0),
  steps         jsonb NOT NULL,
  conflicts     jsonb NOT NULL,
  PRIMARY KEY (chart_id, user_id),
  FOREIGN KEY (practice_id, chart_id) REFERENCES chart (practice_id, id),
  FOREIGN KEY (practice_id, user_id) REFERENCES app_user (practice_id, id)
);
