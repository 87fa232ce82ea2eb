-- Where a chart will come from once the step that brings it there is adopted; until then it does not.
CREATE TABLE client_origin_pending (
  client_id     uuid NOT NULL,
  user_id       uuid NOT NULL REFERENCES app_user,
  practice_id   uuid NOT NULL,
  step_id       uuid NOT NULL,
  kept_chart_id uuid NOT NULL,
  version       integer NOT NULL,
  ids           jsonb NOT NULL,
  PRIMARY KEY (client_id, user_id),
  FOREIGN KEY (practice_id, client_id) REFERENCES client (practice_id, id),
  FOREIGN KEY (kept_chart_id, version) REFERENCES kept_chart_version (kept_chart_id, number)
);
