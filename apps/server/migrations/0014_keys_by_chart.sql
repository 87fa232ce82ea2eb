-- Every key of a large table begins with the chart, so that the tables can be spread by it over several
-- machines: whatever one transaction touches lies together (docs/growing.md).

ALTER TABLE account DROP CONSTRAINT account_chart_id_id_key CASCADE, DROP CONSTRAINT account_pkey CASCADE;
ALTER TABLE entry_line DROP CONSTRAINT entry_line_pkey CASCADE;
ALTER TABLE entry DROP CONSTRAINT entry_chart_id_id_key CASCADE, DROP CONSTRAINT entry_pkey CASCADE;
ALTER TABLE account_split DROP CONSTRAINT account_split_chart_id_id_key CASCADE, DROP CONSTRAINT account_split_pkey CASCADE;
ALTER TABLE account_former DROP CONSTRAINT account_former_pkey;
ALTER TABLE account_split_line DROP CONSTRAINT account_split_line_pkey;
ALTER TABLE account_split_month_total DROP CONSTRAINT account_split_month_total_pkey;
ALTER TABLE proposal_remark DROP CONSTRAINT proposal_remark_pkey;
DROP INDEX entry_line_by_account, account_split_line_by_line, account_former_by_chart;

ALTER TABLE account
  ADD CONSTRAINT account_pkey PRIMARY KEY (chart_id, id),
  ADD CONSTRAINT account_parent_in_chart FOREIGN KEY (chart_id, parent_id)
    REFERENCES account (chart_id, id) DEFERRABLE INITIALLY DEFERRED,
  ADD CONSTRAINT account_merged_into_in_chart FOREIGN KEY (chart_id, merged_into)
    REFERENCES account (chart_id, id) DEFERRABLE INITIALLY DEFERRED;
CREATE INDEX account_by_parent ON account (chart_id, parent_id);
CREATE INDEX account_by_merged_into ON account (chart_id, merged_into) WHERE merged_into IS NOT NULL;
CREATE INDEX account_restricted ON account (chart_id) WHERE settings ? 'restrictedTo';

ALTER TABLE account_former
  ADD CONSTRAINT account_former_pkey PRIMARY KEY (chart_id, account_id, until_revision),
  ADD CONSTRAINT account_former_in_chart FOREIGN KEY (chart_id, account_id)
    REFERENCES account (chart_id, id) ON DELETE CASCADE;

ALTER TABLE entry ADD CONSTRAINT entry_pkey PRIMARY KEY (chart_id, id);
ALTER TABLE entry_line
  ADD CONSTRAINT entry_line_pkey PRIMARY KEY (chart_id, entry_id, line_number),
  ADD CONSTRAINT entry_line_of_entry FOREIGN KEY (chart_id, entry_id) REFERENCES entry (chart_id, id),
  ADD CONSTRAINT entry_line_account_in_chart FOREIGN KEY (chart_id, account_id)
    REFERENCES account (chart_id, id);
CREATE INDEX entry_line_by_account ON entry_line (chart_id, account_id);

ALTER TABLE account_month_total
  ADD CONSTRAINT account_month_total_in_chart FOREIGN KEY (chart_id, account_id)
    REFERENCES account (chart_id, id);

ALTER TABLE account_split
  ADD CONSTRAINT account_split_pkey PRIMARY KEY (chart_id, id),
  ADD CONSTRAINT account_split_from_in_chart FOREIGN KEY (chart_id, from_account_id)
    REFERENCES account (chart_id, id) DEFERRABLE INITIALLY DEFERRED,
  ADD CONSTRAINT account_split_into_in_chart FOREIGN KEY (chart_id, into_account_id)
    REFERENCES account (chart_id, id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE account_split_line
  ADD CONSTRAINT account_split_line_pkey PRIMARY KEY (chart_id, split_id, entry_id, line_number),
  ADD CONSTRAINT account_split_line_of_split FOREIGN KEY (chart_id, split_id)
    REFERENCES account_split (chart_id, id) ON DELETE CASCADE,
  ADD CONSTRAINT account_split_line_of_line FOREIGN KEY (chart_id, entry_id, line_number)
    REFERENCES entry_line (chart_id, entry_id, line_number);
CREATE INDEX account_split_line_by_line ON account_split_line (chart_id, entry_id, line_number);
ALTER TABLE account_split_month_total
  ADD CONSTRAINT account_split_month_total_pkey PRIMARY KEY (chart_id, split_id, month),
  ADD CONSTRAINT account_split_month_total_of_split FOREIGN KEY (chart_id, split_id)
    REFERENCES account_split (chart_id, id) ON DELETE CASCADE;

ALTER TABLE proposal_remark ADD CONSTRAINT proposal_remark_pkey PRIMARY KEY (chart_id, id);
