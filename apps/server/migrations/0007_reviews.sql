-- A proposal's name and comment, its way to a colleague and back, and remarks on its operations.

ALTER TABLE proposal
  ADD COLUMN name text NOT NULL DEFAULT '',
  ADD COLUMN comment text NOT NULL DEFAULT '',
  ADD COLUMN state text NOT NULL DEFAULT 'draft'
    CHECK (state IN ('draft', 'handedOver', 'approved', 'sentBack')),
  ADD COLUMN reviewer_id uuid,
  ADD CONSTRAINT proposal_reviewer_in_practice FOREIGN KEY (practice_id, reviewer_id)
    REFERENCES app_user (practice_id, id),
  ADD CONSTRAINT proposal_has_reviewer_unless_draft CHECK ((state = 'draft') = (reviewer_id IS NULL)),
  ADD CONSTRAINT proposal_not_reviewed_by_its_author CHECK (reviewer_id <> user_id);

CREATE INDEX proposal_by_reviewer ON proposal (reviewer_id) WHERE state = 'handedOver';

CREATE TABLE proposal_remark (
  id              uuid PRIMARY KEY,
  practice_id     uuid NOT NULL,
  chart_id        uuid NOT NULL,
  -- Whose proposal it is about.
  user_id         uuid NOT NULL,
  author_id       uuid NOT NULL,
  step_id         uuid NOT NULL,
  operation_index integer NOT NULL CHECK (operation_index >= 0),
  words           text NOT NULL CHECK (words <> ''),
  written_at      timestamptz NOT NULL DEFAULT now(),
  FOREIGN KEY (chart_id, user_id) REFERENCES proposal (chart_id, user_id) ON DELETE CASCADE,
  FOREIGN KEY (practice_id, author_id) REFERENCES app_user (practice_id, id)
);

CREATE INDEX proposal_remark_by_proposal ON proposal_remark (chart_id, user_id);

-- Who approved the proposal that became the revision; nobody where it was not handed over.
ALTER TABLE revision
  ADD COLUMN approved_by uuid,
  ADD CONSTRAINT revision_approver_in_practice FOREIGN KEY (practice_id, approved_by)
    REFERENCES app_user (practice_id, id);
