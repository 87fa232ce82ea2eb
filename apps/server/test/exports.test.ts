import Ajv from 'ajv';
import { parse } from 'csv-parse/sync';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { readSheet } from 'read-excel-file/node';
import { chartFileSchema } from '../src/exports/chart-file';
import { benchChart, clientNamed, MAREN, serveDemo, type Caller, type Running } from './harness';

describe('taking a chart out', () => {
  let server: Running;
  let maren: Caller;
  let clientId: string;
  let cookie: string;
  beforeAll(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
    clientId = (await clientNamed(maren, 'Kestrel Lane Cider Works')).id;
    cookie = maren.cookie;
  });
  afterAll(async () => {
    await server.stop();
  });

  const base = () => `${server.base}/api`;
  const take = (format: string, query = '', as = cookie) =>
    fetch(`${base()}/clients/${clientId}/exports/${format}${query}`, { headers: { cookie: as } });

  it('gives a table with every account and its amount', async () => {
    const response = await take('csv', '?first=2026-07&last=2026-10');
    expect(response.headers.get('content-disposition')).toContain('Kestrel Lane Cider Works');
    const [head, ...rows]: string[][] = parse(await response.text(), { bom: true });
    const { accounts } = await benchChart(maren, clientId);
    expect(rows).toHaveLength(accounts.length);
    const rent = rows.find(([number]) => number === '6110');
    expect([head?.at(-1), rent?.at(-1)]).toEqual(['Amount USD', '8600.00']);
  });

  it('gives a workbook that another reader opens', async () => {
    const bytes = Buffer.from(await (await take('xlsx')).arrayBuffer());
    const rows = await readSheet(bytes, 'Chart of accounts');
    expect(rows.find(([number]) => number === '6110')?.[1]).toBe('Rent');
  });

  it('gives everything as JSON, with the history', async () => {
    const whole = (await (await take('json')).json()) as Record<string, unknown[]>;
    expect(whole['accounts']).toHaveLength((await benchChart(maren, clientId)).accounts.length);
    expect(whole['history']).toHaveLength(3);
  });

  const YEAR = '?first=2026-01&last=2026-10';

  it('gives a printed chart, by number or by statement', async () => {
    const printed = await take('pdf', `${YEAR}&by=statement&guidance=yes`);
    expect(printed.headers.get('content-type')).toContain('application/pdf');
    expect((await printed.text()).slice(0, 5)).toBe('%PDF-');
  });

  describe('a statement', () => {
    const QUERY = '?sheet=profitAndLoss&first=2026-07&last=2026-10';

    it('is given as PDF, as a workbook with formulas, and as CSV', async () => {
      const printed = await take('statement-pdf', `${QUERY}&columns=yearBefore`);
      expect(printed.headers.get('content-disposition')).toContain('profit and loss.pdf');
      expect((await printed.text()).slice(0, 5)).toBe('%PDF-');
      const bytes = Buffer.from(await (await take('statement-xlsx', `${QUERY}&depth=1`)).arrayBuffer()); // prettier-ignore
      const cells = await readSheet(bytes, 'Profit and loss');
      expect(cells.find(([name]) => name === 'Net revenue')?.[1]).toBeCloseTo(120_417.89, 6);
      const csv = await (await take('statement-csv', `${QUERY}&depth=1&columns=quarters`)).text();
      const rows: string[][] = parse(csv, { bom: true });
      expect(rows[0]).toEqual(['USD', 'Jul – Sep 2026', 'Oct 2026', 'Jul – Oct 2026']);
      expect(rows.find(([name]) => name === 'Net revenue')?.[3]).toBe('120417.89');
    });

    it.each([
      ['columns=jan to marhc', 'columns', '“marhc” is no period'],
      ['columns=difference 1 2', 'columns', 'refer to columns before them, forty at most'],
    ])('is refused in words: %s', async (more, field, rule) => {
      const response = await take('statement-csv', `${QUERY}&${more}`);
      expect(response.status).toBe(400);
      expect(await response.json()).toMatchObject({ issues: [{ field, rule }] });
    });

    it('has the lines open that are open, whatever the depth', async () => {
      const { accounts } = await benchChart(maren, clientId);
      const people = accounts.find(({ name }) => name === 'People')?.id ?? '';
      const linesOf = async (more: string): Promise<string> =>
        (await take('statement-csv', `${QUERY}&depth=1${more}`)).text();
      expect(await linesOf('')).not.toContain('Wages');
      expect(await linesOf(`&open=operatingExpenses/${people}`)).toContain('Wages');
      const all = `&depth=all&closed=operatingExpenses/${people}`;
      expect(await (await take('statement-csv', `${QUERY}${all}`)).text()).not.toContain('Wages');
    });

    it('goes into a packet with others', async () => {
      const packet = '?sheets=profitAndLoss,cashFlow&first=2026-07&last=2026-10&notes=Counted%20in%20October';
      const printed = await take('packet-pdf', packet);
      expect((await printed.text()).slice(0, 5)).toBe('%PDF-');
      const bytes = Buffer.from(await (await take('packet-xlsx', packet)).arrayBuffer());
      expect((await readSheet(bytes, 'Notes'))[0]).toEqual(['Counted in October']);
      for (const sheets of ['', 'profitAndLoss,misc', 'cashFlow,cashFlow'])
        expect((await take('packet-pdf', `?sheets=${sheets}&first=2026-07&last=2026-10`)).status).toBe(400);
    }); // prettier-ignore

    it('wants to be named, and its months', async () => {
      expect((await take('statement-csv', '?first=2026-07&last=2026-10')).status).toBe(400);
      expect((await take('statement-csv', '?sheet=cashFlow')).status).toBe(400);
    });
  });

  it('gives JSON that the published schema describes, as a validator of schemas finds it', async () => {
    const published: unknown = JSON.parse(
      await readFile(join(__dirname, '../../../docs/chart.schema.json'), 'utf8'),
    );
    expect(published).toEqual(JSON.parse(JSON.stringify(chartFileSchema())));
    const validate = new Ajv({ strict: false, formats: { uuid: true, 'date-time': true } }).compile(
      published as object,
    );
    const file = (await (await take('json')).json()) as Record<string, unknown>;
    expect([validate(file), validate.errors]).toEqual([true, null]);
    expect(validate({ ...file, accounts: [{}] })).toBe(false);
  });

  it('gives auditors debits and credits that lead from each opening balance to its closing one', async () => {
    const text = await (await take('audit-balances', '?first=2026-07&last=2026-10')).text();
    const [, ...rows]: string[][] = parse(text, { delimiter: '|' });
    const cents = (row: string[], column: number) => Math.round(Number(row[column]) * 100);
    expect(rows.some((row) => cents(row, 6) !== 0 && cents(row, 7) !== 0)).toBe(true);
    const wrong = rows.filter(
      (row) => cents(row, 5) + cents(row, 6) - cents(row, 7) !== cents(row, 8),
    );
    // The result of the year before goes to retained earnings without an entry.
    expect(wrong.map(([number]) => number)).toEqual([]);
    expect(new Set(rows.map(([, year, period]) => `${year} ${period}`))).toEqual(
      new Set(['2027 4']),
    );
  });

  it('gives auditors balances that sum to zero at both ends', async () => {
    const [, ...rows]: string[][] = parse(await (await take('audit-balances', YEAR)).text(), {
      delimiter: '|',
    });
    const cents = (column: number) =>
      rows.reduce((sum, row) => sum + Math.round(Number(row[column]) * 100), 0);
    expect([cents(5), cents(8)]).toEqual([0, 0]);
    expect(rows.some((row) => row[8] !== '0.00')).toBe(true);
  });

  it('gives auditors accounts as a standard file and as a table', async () => {
    const { accounts } = await benchChart(maren, clientId);
    const xml = await (await take('audit-file', YEAR)).text();
    expect(xml.match(/<Account>/g)).toHaveLength(accounts.length);
    const table = await (await take('audit-accounts', YEAR)).text();
    expect(table.trim().split('\r\n')).toHaveLength(accounts.length + 1);
  });

  it('gives the return as a sheet and as a file that the simulated tax software accepts', async () => {
    const bytes = Buffer.from(await (await take('return', YEAR)).arrayBuffer());
    const rows = await readSheet(bytes, 'Return lines');
    expect(rows.map(([line]) => line)).toContain('1a');
    const file: unknown = await (await take('return-file', YEAR)).json();
    const answer = await maren.ask('POST', '/simulated/tax-software', file);
    expect(answer.body).toMatchObject({ accepted: true, form: 'Form 1065', objections: [] });
    const wrong = { ...(file as object), amounts: [{ line: '99', copy: 1, amount: 5 }] };
    const refused = await maren.ask('POST', '/simulated/tax-software', wrong);
    expect(refused.body).toMatchObject({
      accepted: false,
      objections: ['Form 1065 has no line 99.'],
    });
  });

  it('asks for the months where a file says nothing without them', async () => {
    const refused = await take('audit-balances');
    expect(refused.status).toBe(400);
    expect(await refused.text()).toContain('names the first month');
    expect((await take('csv', '?first=2026-07')).status).toBe(400);
  });

  it('gives nothing to strangers, nor in a format that there is not', async () => {
    expect((await take('csv', '', '')).status).toBe(401);
    expect((await take('docx')).status).toBe(404);
    expect((await take('csv', '?first=2026-13&last=2026-10')).status).toBe(400);
  });
});
