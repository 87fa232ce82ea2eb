-- What people may do, invitations and resets, sessions that can be told apart, and tries to sign in.

ALTER TABLE app_user
  -- Whoever was here before could do everything.
  ADD COLUMN role text NOT NULL DEFAULT 'administrator'
    CHECK (role IN ('administrator', 'bookkeeper', 'reviewer', 'onlooker')),
  -- The one client that an onlooker sees.
  ADD COLUMN client_id uuid,
  -- Somebody who left: signs in no more, and stays as the author of what they did.
  ADD COLUMN removed_at timestamptz CHECK (isfinite(removed_at)),
  -- None until an invitation is taken up.
  ALTER COLUMN password_hash DROP NOT NULL,
  ADD CONSTRAINT app_user_client_in_practice FOREIGN KEY (practice_id, client_id)
    REFERENCES client (practice_id, id),
  ADD CONSTRAINT app_user_onlooker_sees_one_client CHECK ((role = 'onlooker') = (client_id IS NOT NULL)),
  DROP CONSTRAINT app_user_email_unique;
ALTER TABLE app_user ALTER COLUMN role DROP DEFAULT;
UPDATE app_user SET password_hash = NULL WHERE password_hash = '';

-- The address of somebody who left is free again.
CREATE UNIQUE INDEX app_user_email_unique ON app_user (email) WHERE removed_at IS NULL;
CREATE INDEX app_user_by_practice ON app_user (practice_id);

ALTER TABLE session
  ADD COLUMN id uuid NOT NULL DEFAULT gen_random_uuid(),
  ADD COLUMN started_at timestamptz NOT NULL DEFAULT now(),
  ADD COLUMN used_at timestamptz NOT NULL DEFAULT now(),
  ADD CONSTRAINT session_id_unique UNIQUE (id),
  ADD CONSTRAINT session_ends CHECK (isfinite(expires_at));
CREATE INDEX session_by_user ON session (user_id);

CREATE TABLE invitation (
  user_id    uuid PRIMARY KEY REFERENCES app_user ON DELETE CASCADE,
  -- SHA-256 of the token in the address: the table alone lets nobody in.
  token_hash bytea NOT NULL UNIQUE,
  expires_at timestamptz NOT NULL CHECK (isfinite(expires_at))
);

-- Tries to sign in that failed, by account and by address, neither of them in the clear.
CREATE TABLE sign_in_try (
  key        bytea PRIMARY KEY,
  failures   integer NOT NULL CHECK (failures > 0),
  last_at    timestamptz NOT NULL,
  wait_until timestamptz NOT NULL
);
CREATE INDEX sign_in_try_by_age ON sign_in_try (last_at);

-- What its author said of a proposal that became a revision.
ALTER TABLE revision ADD COLUMN comment text NOT NULL DEFAULT '';
ALTER TABLE revision ALTER COLUMN comment DROP DEFAULT;
