-- A merged account is out of the tree and points at the account that counts its postings now. Its
-- row stays, for its entries do; its number, name and place are free again.

ALTER TABLE account ADD COLUMN merged_into uuid;

ALTER TABLE account
  ADD CONSTRAINT account_merged_into_in_chart FOREIGN KEY (chart_id, merged_into)
    REFERENCES account (chart_id, id) DEFERRABLE INITIALLY DEFERRED,
  ADD CONSTRAINT account_not_merged_into_itself CHECK (merged_into <> id),
  ADD CONSTRAINT account_merged_is_not_the_systems CHECK (merged_into IS NULL OR system_use IS NULL),
  DROP CONSTRAINT account_number_unique,
  DROP CONSTRAINT account_position_unique,
  DROP CONSTRAINT account_name_unique_among_siblings,
  ADD CONSTRAINT account_number_unique EXCLUDE USING btree (chart_id WITH =, number WITH =)
    WHERE (merged_into IS NULL) DEFERRABLE INITIALLY DEFERRED,
  ADD CONSTRAINT account_position_unique EXCLUDE USING btree (
    chart_id WITH =,
    (coalesce(parent_id, '00000000-0000-0000-0000-000000000000'::uuid)) WITH =,
    position WITH =
  ) WHERE (merged_into IS NULL) DEFERRABLE INITIALLY DEFERRED,
  ADD CONSTRAINT account_name_unique_among_siblings EXCLUDE USING btree (
    chart_id WITH =,
    (coalesce(parent_id, '00000000-0000-0000-0000-000000000000'::uuid)) WITH =,
    (lower(name)) WITH =
  ) WHERE (merged_into IS NULL) DEFERRABLE INITIALLY DEFERRED;

-- Nothing new is posted to an account that was merged.
CREATE FUNCTION check_merged_takes_no_lines() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF EXISTS (
    SELECT 1 FROM added JOIN account ON account.id = added.account_id
    WHERE account.merged_into IS NOT NULL
  ) THEN
    RAISE EXCEPTION 'a merged account takes no postings'
      USING ERRCODE = 'check_violation', CONSTRAINT = 'entry_line_not_on_merged';
  END IF;
  RETURN NULL;
END $$;

CREATE TRIGGER entry_line_not_on_merged AFTER INSERT ON entry_line
  REFERENCING NEW TABLE AS added FOR EACH STATEMENT EXECUTE FUNCTION check_merged_takes_no_lines();
