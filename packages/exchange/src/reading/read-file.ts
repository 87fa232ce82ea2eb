import { decode } from './decode';
import { FileProblemError, unreadable, type FileProblem } from './file-problem';
import { LIMITS } from './limits';
import { parsedXml } from './parsed-xml';
import { auditSheets } from './read-audit-xml';
import { bankSheets } from './read-bank-xml';
import { readCsv } from './read-csv';
import { readChartJson } from './read-json';
import { readPrint } from './read-print';
import { readWorkbook } from './read-workbook';
import type { FileRead, Sheet } from './sheet';

/** A file read, or why it cannot be. */
export type Reading =
  | { readonly ok: true; readonly file: FileRead }
  | { readonly ok: false; readonly problem: FileProblem };

const ZIP = [0x50, 0x4b];
const OLD_WORKBOOK = [0xd0, 0xcf, 0x11, 0xe0];

const begins = (bytes: Uint8Array, mark: readonly number[]): boolean =>
  mark.every((byte, index) => bytes[index] === byte);

/** Whether a text that begins with a bracket is JSON, and not a table whose first cell does. */
const isJson = (text: string): boolean => {
  try {
    JSON.parse(text);
    return true;
  } catch {
    return false;
  }
};

const xmlSheets = (text: string): readonly Sheet[] => {
  const document = parsedXml(text);
  const sheets = [...auditSheets(document), ...bankSheets(document)];
  return sheets.length === 0 ? unreadable({ code: 'unknownXml' }) : sheets;
};

const readText = (bytes: Uint8Array): FileRead => {
  const { text, encoding } = decode(bytes);
  const bare = text.replace(/^\ufeff/, '');
  const first = bare.trimStart().charAt(0);
  if (first === '') return unreadable({ code: 'empty' });
  if (first === '[' && isJson(bare)) return unreadable({ code: 'jsonList' });
  if (first === '{') {
    const { sheet, whole } = readChartJson(bare);
    return { format: 'json', encoding, separator: null, sheets: [sheet], whole };
  }
  if (first === '<') {
    const sheets = xmlSheets(bare);
    return { format: 'xml', encoding, separator: null, sheets, whole: null };
  }
  const print = readPrint(bare);
  if (print !== null)
    return { format: 'text', encoding, separator: null, sheets: [print], whole: null };
  const { sheet, separator } = readCsv(bare);
  return { format: 'csv', encoding, separator, sheets: [sheet], whole: null };
};

const read = async (bytes: Uint8Array): Promise<FileRead> => {
  if (bytes.length > LIMITS.bytes) return unreadable({ code: 'tooLarge' });
  if (begins(bytes, OLD_WORKBOOK)) return unreadable({ code: 'oldWorkbook' });
  if (!begins(bytes, ZIP)) return readText(bytes);
  const sheets = await readWorkbook(bytes);
  return { format: 'xlsx', encoding: null, separator: null, sheets, whole: null };
};

/** Reads a file by what is in it, whatever it is called. Never throws over data. */
export const readFile = async (bytes: Uint8Array): Promise<Reading> => {
  try {
    const file = await read(bytes);
    const empty = file.sheets.every(({ rows }) => rows.length === 0);
    return empty ? { ok: false, problem: { code: 'empty' } } : { ok: true, file };
  } catch (error) {
    if (error instanceof FileProblemError) return { ok: false, problem: error.problem };
    throw error;
  }
};
