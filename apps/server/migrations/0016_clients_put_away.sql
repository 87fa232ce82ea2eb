-- A client that is put away keeps everything; it only leaves the list of those that are worked on.
ALTER TABLE client ADD COLUMN put_away_at timestamptz;
