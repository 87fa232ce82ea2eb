-- A chart that the practice kept goes with its versions and with what says that clients came from it.
ALTER TABLE kept_chart_version
  DROP CONSTRAINT kept_chart_version_practice_id_kept_chart_id_fkey,
  ADD CONSTRAINT kept_chart_version_of_chart
    FOREIGN KEY (practice_id, kept_chart_id) REFERENCES kept_chart (practice_id, id) ON DELETE CASCADE;

ALTER TABLE client_origin
  DROP CONSTRAINT client_origin_kept_chart_id_version_fkey,
  ADD CONSTRAINT client_origin_from_version
    FOREIGN KEY (kept_chart_id, version) REFERENCES kept_chart_version (kept_chart_id, number) ON DELETE CASCADE;

ALTER TABLE client_origin_pending
  DROP CONSTRAINT client_origin_pending_kept_chart_id_version_fkey,
  ADD CONSTRAINT client_origin_pending_from_version
    FOREIGN KEY (kept_chart_id, version) REFERENCES kept_chart_version (kept_chart_id, number) ON DELETE CASCADE;
