import { asWritten, harmless, writable } from '@iunctus/core';
import { XMLParser, XMLValidator } from 'fast-xml-parser';
import fc from 'fast-check';
import { writeAuditXml, type AuditRow } from './audit-xml';
import { cellText } from './cell-text';
import { writeCsv } from './csv';
import type { ChartRow } from './chart-table';

describe('text in a cell', () => {
  it.each(['=1+1', '+1', '-1', '@a', '\t=1', '\r=1', ' =1', '＝1+1', '＋1', '－1', '＠a', '\u200b=1', "'=1", '\n-1'])(
    'that begins as a formula does is not run: %j',
    (text) => {
      expect(cellText(text)).toBe(`'${text}`);
    },
  ); // prettier-ignore

  it.each(['Rent', '1010', "Coaches' fees", 'a=b', '', 'Café'])('else stays as it is: %j', (text) => {
    expect(cellText(text)).toBe(text);
  }); // prettier-ignore

  it('comes back as it was written', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (text) => {
        expect(asWritten(harmless(text))).toBe(text);
      }),
    );
  });

  it('holds no control character and no half of one', () => {
    expect(cellText('a\u0001b\u001fc\u007f\ufffe\ud800d\te')).toBe('a�b�c���d\te');
    expect(writable('𝄞')).toBe('𝄞');
  });
});

describe('files that leave', () => {
  const row = (name: string): ChartRow => ({
    number: '1010', name, level: 1, parent: '', role: 'posting', element: 'asset', kind: 'bank', landing: '',
    shortLabel: '', guidance: '', notes: '', retiredOn: '', amount: null,
  }); // prettier-ignore
  const HEAD = { client: 'A & B <c>\u0002', currency: 'USD', country: 'US', created: '2026-11-25', first: '2026-07-01', last: '2026-10-31', fiscal: { year: '2026', number: 10 }, version: '1' }; // prettier-ignore

  it('are never malformed XML, whatever accounts are called', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', minLength: 1 }), (name) => {
        const rows: AuditRow[] = [{ row: row(name), opening: 0, closing: 5, debit: 5, credit: 0 }];
        const text = writeAuditXml(rows, HEAD);
        expect(XMLValidator.validate(text)).toBe(true);
        expect(text).not.toMatch(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/);
        const read = new XMLParser({ trimValues: false, parseTagValue: false, htmlEntities: true }).parse(text); // prettier-ignore
        expect(read.AuditFile).toBeDefined();
      }),
    );
  });

  it('hold no formula in any cell of a table', () => {
    const csv = writeCsv([row('＝cmd'), row('\u0007Bell')], 'USD');
    expect(csv).toContain("'＝cmd");
    expect(csv).not.toContain('\u0007');
  });
});
