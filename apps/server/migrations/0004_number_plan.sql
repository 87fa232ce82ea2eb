-- A chart's number plan, and the numbers and names that accounts bore before.

ALTER TABLE chart ADD COLUMN plan jsonb;

-- Charts from before follow the usual plan of their digits.
UPDATE chart SET plan = jsonb_build_object(
  'digits', greatest(digits, 2),
  'levels', CASE greatest(digits, 2)
    WHEN 2 THEN '[1, 1]'::jsonb
    WHEN 3 THEN '[1, 1, 1]'::jsonb
    WHEN 4 THEN '[2, 1, 1]'::jsonb
    WHEN 5 THEN '[2, 2, 1]'::jsonb
    WHEN 6 THEN '[2, 2, 2]'::jsonb
    ELSE jsonb_build_array(2, greatest(digits, 2) - 2)
  END,
  'step', greatest(1, (10 ^ (greatest(digits, 2) - 3))::bigint),
  'underParent', true,
  'contraLast', true,
  'segments', '[]'::jsonb,
  'separator', '-',
  'ranges', (
    SELECT jsonb_agg(jsonb_build_object(
      'name', name,
      'first', start * (10 ^ (greatest(digits, 2) - 1))::bigint,
      'last', stop * (10 ^ (greatest(digits, 2) - 1))::bigint - 1,
      'kinds', kinds
    ) ORDER BY start)
    FROM (VALUES
      ('Assets', 1, 2, '["cashOnHand", "bank", "clearing", "shortTermInvestment", "tradeReceivable",
        "receivableAllowance", "otherReceivable", "inventory", "prepaidExpense", "salesTaxRecoverable",
        "otherCurrentAsset", "propertyAndEquipment", "accumulatedDepreciation", "intangibleAsset",
        "accumulatedAmortisation", "longTermInvestment", "loanGiven", "otherNonCurrentAsset"]'::jsonb),
      ('Liabilities', 2, 3, '["tradePayable", "cardPayable", "payrollPayable", "salesTaxPayable",
        "incomeTaxPayable", "accruedExpense", "deferredRevenue", "shortTermBorrowing", "dueToOwner",
        "otherCurrentLiability", "longTermBorrowing", "deferredTax", "otherNonCurrentLiability"]'::jsonb),
      ('Equity', 3, 4, '["ownersCapital", "drawings", "shareCapital", "additionalPaidInCapital",
        "treasuryShares", "retainedEarnings", "openingBalanceEquity", "netAssetsWithoutRestrictions",
        "netAssetsWithRestrictions"]'::jsonb),
      ('Revenue', 4, 5, '["saleOfGoods", "services", "returnsAndDiscounts", "grantsAndDonations",
        "otherOperatingRevenue"]'::jsonb),
      ('Cost of sales', 5, 6, '["costOfSales"]'::jsonb),
      ('Operating expenses', 6, 8, '["operatingExpense", "depreciation"]'::jsonb),
      ('Other income and costs', 8, 9,
        '["investmentIncome", "gains", "financeCost", "incomeTax", "otherExpense"]'::jsonb),
      ('Memorandum', 9, 10, '["memorandum"]'::jsonb)
    ) AS usual (name, start, stop, kinds)
  )
);

ALTER TABLE chart ALTER COLUMN plan SET NOT NULL;
ALTER TABLE chart DROP COLUMN digits;

-- What an account was numbered and called until a revision: old numbers and names still find it.
CREATE TABLE account_former (
  practice_id    uuid NOT NULL,
  chart_id       uuid NOT NULL,
  account_id     uuid NOT NULL,
  until_revision integer NOT NULL CHECK (until_revision > 0),
  number         text,
  name           text NOT NULL,
  PRIMARY KEY (account_id, until_revision),
  FOREIGN KEY (practice_id, chart_id) REFERENCES chart (practice_id, id),
  FOREIGN KEY (chart_id, account_id) REFERENCES account (chart_id, id) ON DELETE CASCADE
);

CREATE INDEX account_former_by_chart ON account_former (chart_id);
