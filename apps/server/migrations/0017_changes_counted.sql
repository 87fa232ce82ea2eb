-- What a person counts as changes of a proposal: the accounts that its operations are about, the chart's own
-- settings as one, and each list whose balances come along. The same rule as countChanges in the core.
CREATE FUNCTION changes_in(steps jsonb) RETURNS int LANGUAGE sql IMMUTABLE AS $$
  WITH operation AS (
    SELECT listed.operation, listed.operation ->> 'type' AS type
    FROM jsonb_array_elements(steps) AS step,
         jsonb_array_elements(step -> 'operations') AS listed (operation)
  ), subject AS (
    SELECT operation ->> 'id' AS id FROM operation
    WHERE type NOT IN ('setPlan', 'setDimension')
    UNION SELECT operation ->> 'into' FROM operation WHERE type IN ('merge', 'unmerge')
    UNION SELECT operation -> 'account' ->> 'id' FROM operation
    UNION SELECT operation -> 'split' ->> 'from' FROM operation
    UNION SELECT operation -> 'split' ->> 'into' FROM operation
    UNION SELECT numbered ->> 'id'
      FROM operation, jsonb_array_elements(operation -> 'numbers') AS numbered
      WHERE type = 'renumberMany'
  )
  SELECT (SELECT count(id) FROM subject)::int
    + (SELECT count(*) FROM operation WHERE type IN ('setPlan', 'setDimension'))::int::bool::int
    + (SELECT count(*) FROM jsonb_array_elements(steps) AS step WHERE step ? 'opening')::int
$$;
