-- Kinds that were lacking: money held for others, tax on profit that comes back, leases, provisions.
INSERT INTO kind (code, element) VALUES
  ('restrictedCash', 'asset'),
  ('incomeTaxRecoverable', 'asset'),
  ('leaseAsset', 'asset'),
  ('provision', 'liability'),
  ('leaseLiability', 'liability');

-- A company of one member files another return, and has another equity, than one of several.
ALTER TABLE client DROP CONSTRAINT client_legal_form_check;
ALTER TABLE client ADD CONSTRAINT client_legal_form_check CHECK (
  legal_form IN ('soleOwner', 'partnership', 'oneMemberCompany', 'limitedCompany', 'corporation',
                 'sCorporation', 'nonProfit')
);

-- A plan that kept a range for the kind of which a new one was part keeps it for the new one too.
UPDATE chart SET plan = jsonb_set(plan, '{ranges}', (
  SELECT jsonb_agg(
    jsonb_set(range, '{kinds}', (range -> 'kinds') || coalesce((
      SELECT jsonb_agg(added.code)
      FROM (VALUES
        ('restrictedCash', 'bank'),
        ('incomeTaxRecoverable', 'otherCurrentAsset'),
        ('leaseAsset', 'propertyAndEquipment'),
        ('provision', 'accruedExpense'),
        ('leaseLiability', 'longTermBorrowing')
      ) AS added (code, was_part_of)
      WHERE range -> 'kinds' ? added.was_part_of AND NOT range -> 'kinds' ? added.code
    ), '[]'::jsonb))
    ORDER BY place)
  FROM jsonb_array_elements(plan -> 'ranges') WITH ORDINALITY AS listed (range, place)
))
WHERE jsonb_array_length(plan -> 'ranges') > 0;
