-- Companies of members, S corporations and non-profits beside the first three legal forms.
ALTER TABLE client DROP CONSTRAINT client_legal_form_check;
ALTER TABLE client ADD CONSTRAINT client_legal_form_check CHECK (
  legal_form IN ('soleOwner', 'partnership', 'limitedCompany', 'corporation', 'sCorporation', 'nonProfit')
);
