import { readFile } from './read-file';

const utf8 = (text: string): Uint8Array => new TextEncoder().encode(text);

const entry = (parts: string): string => `<Ntry>${parts}</Ntry>`;
const message = (entries: string, version = '02'): string => `<?xml version="1.0" encoding="UTF-8"?>
<Document xmlns="urn:iso:std:iso:20022:tech:xsd:camt.053.001.${version}"><BkToCstmrStmt>
  <GrpHdr><MsgId>1</MsgId></GrpHdr>
  <Stmt><Id>7</Id><Acct><Id><IBAN>XX00 4471</IBAN></Id></Acct>${entries}</Stmt>
</BkToCstmrStmt></Document>`;

const RENT = entry(`<Amt Ccy="EUR">1250.00</Amt><CdtDbtInd>DBIT</CdtDbtInd><Sts>BOOK</Sts>
  <BookgDt><Dt>2026-10-01</Dt></BookgDt><AcctSvcrRef>A1</AcctSvcrRef>
  <NtryDtls><TxDtls><RltdPties><Cdtr><Nm>Hollow Lane Properties</Nm></Cdtr></RltdPties>
  <RmtInf><Ustrd>Rent</Ustrd><Ustrd>October</Ustrd></RmtInf></TxDtls></NtryDtls>`);
const TAKINGS =
  entry(`<Amt Ccy="EUR">415.90</Amt><CdtDbtInd>CRDT</CdtDbtInd><Sts><Cd>BOOK</Cd></Sts>
  <BookgDt><DtTm>2026-10-02T08:00:00</DtTm></BookgDt>
  <NtryDtls><TxDtls><RltdPties><Dbtr><Pty><Nm>Heron Inn</Nm></Pty></Dbtr></RltdPties></TxDtls></NtryDtls>
  <AddtlNtryInf>Transfer</AddtlNtryInf>`);
const ANNOUNCED = entry(
  '<Amt Ccy="EUR">9.00</Amt><CdtDbtInd>DBIT</CdtDbtInd><Sts>PDNG</Sts><BookgDt><Dt>2026-10-03</Dt></BookgDt>',
);

const sheetsOf = async (text: string) => {
  const reading = await readFile(utf8(text));
  if (!reading.ok) throw new Error(reading.problem.code);
  return reading.file.sheets;
};

// ISO 20022, BankToCustomerStatement (from memory).
describe('a bank’s statement in the message camt.053', () => {
  it('is a sheet for each statement, a row for each booked entry, money in positive', async () => {
    const [sheet] = await sheetsOf(message(RENT + TAKINGS + ANNOUNCED));
    expect(sheet?.name).toBe('XX00 4471');
    expect(sheet?.rows.slice(1).map(({ cells }) => cells)).toEqual([
      ['2026-10-01', 'Hollow Lane Properties Rent October', '-1250.00', 'EUR', 'A1'],
      ['2026-10-02', 'Heron Inn Transfer', '415.90', 'EUR'],
    ]);
  });

  it('is read with one entry, and with several statements', async () => {
    const one = await sheetsOf(message(RENT, '08'));
    expect(one[0]?.rows).toHaveLength(2);
    const two = message(RENT).replace('</Stmt>', `</Stmt><Stmt>${TAKINGS}</Stmt>`);
    expect((await sheetsOf(two)).map(({ rows }) => rows.length)).toEqual([2, 2]);
  });

  it('is refused with entities of its own, and as something else where it is', async () => {
    const bomb = message(RENT).replace('<Document', '<!DOCTYPE x [<!ENTITY a "b">]><Document');
    expect(await readFile(utf8(bomb))).toMatchObject({ problem: { code: 'xmlEntities' } });
    expect(await readFile(utf8('<Document><Other/></Document>'))).toMatchObject({
      problem: { code: 'unknownXml' },
    });
  });
});
