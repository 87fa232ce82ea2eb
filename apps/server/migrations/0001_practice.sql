-- Practices, their users and sign-ins, and the clients whose books they keep.

CREATE TABLE practice (
  id   uuid PRIMARY KEY,
  name text NOT NULL CHECK (name <> '')
);

CREATE TABLE app_user (
  id            uuid PRIMARY KEY,
  practice_id   uuid NOT NULL REFERENCES practice,
  email         text NOT NULL CHECK (email = lower(email)),
  name          text NOT NULL CHECK (name <> ''),
  password_hash text NOT NULL,
  CONSTRAINT app_user_email_unique UNIQUE (email),
  UNIQUE (practice_id, id)
);

CREATE TABLE session (
  -- SHA-256 of the cookie's token: the table alone signs nobody in.
  token_hash bytea PRIMARY KEY,
  user_id    uuid NOT NULL REFERENCES app_user ON DELETE CASCADE,
  expires_at timestamptz NOT NULL
);

CREATE TABLE client (
  id                uuid PRIMARY KEY,
  practice_id       uuid NOT NULL REFERENCES practice,
  name              text NOT NULL CHECK (name <> ''),
  legal_form        text NOT NULL CHECK (legal_form IN ('soleOwner', 'partnership', 'corporation')),
  industry          text,
  country           text NOT NULL CHECK (country ~ '^[A-Z]{2}$'),
  currency          text NOT NULL CHECK (currency ~ '^[A-Z]{3}$'),
  fiscal_year_start smallint NOT NULL CHECK (fiscal_year_start BETWEEN 1 AND 12),
  CONSTRAINT client_name_unique UNIQUE (practice_id, name),
  UNIQUE (practice_id, id)
);
