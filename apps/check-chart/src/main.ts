import { readFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import { COUNTRIES, LEGAL_FORMS, SEVERITY_NAMES } from '@iunctus/core';
import { readFile as readSheets, type Sheet } from '@iunctus/exchange/reading';
import { readSpelling } from '@iunctus/exchange/dictionaries';
import { checkList } from './check-list';
import { fileProblemWords } from './file-problem-words';
import { printed } from './printed';

const USAGE = `bin/check-chart FILE [--json] [--country US] [--form soleOwner] [--sheet NUMBER]

Looks a chart of accounts through: a CSV, a workbook, a chart file, an audit file. Prints what is
wrong, doubtful, or could be neater, or the same as JSON. Ends with 0 where nothing is wrong, with 1
where something is (${SEVERITY_NAMES.wrong.toLowerCase()}), and with 2 where the file cannot be read.`;

/** Ends with a sentence on what was asked wrongly. */
const stop = (words: string): never => {
  process.stderr.write(`${words}\n`);
  process.exit(2);
};

const asked = () => {
  try {
    return parseArgs({
      allowPositionals: true,
      options: {
        json: { type: 'boolean', default: false },
        help: { type: 'boolean', default: false },
        country: { type: 'string', default: 'US' },
        form: { type: 'string', default: 'soleOwner' },
        sheet: { type: 'string', default: '1' },
      },
    });
  } catch (error) {
    return stop(`${error instanceof Error ? error.message : String(error)}\n\n${USAGE}`);
  }
};

const bytesOf = async (file: string): Promise<Uint8Array> => {
  try {
    return await readFile(file);
  } catch {
    return stop(`${file}: there is no such file, or it may not be read.`);
  }
};

const sheetOf = async (file: string, number: string): Promise<Sheet> => {
  const reading = await readSheets(await bytesOf(file));
  if (!reading.ok) return stop(`${file}: it cannot be read: ${fileProblemWords(reading.problem)}.`);
  const { sheets } = reading.file;
  return sheets[Number(number) - 1] ?? stop(`--sheet: it has ${sheets.length} sheets.`);
};

const { values, positionals } = asked();
if (values.help) {
  process.stdout.write(`${USAGE}\n`);
  process.exit(0);
}
const [file = stop(USAGE), ...more] = positionals;
if (more.length > 0) stop(USAGE);
const country =
  COUNTRIES.find((code) => code === values.country) ??
  stop(`--country: one of ${COUNTRIES.join(', ')}.`);
const legalForm =
  LEGAL_FORMS.find((form) => form === values.form) ??
  stop(`--form: one of ${LEGAL_FORMS.join(', ')}.`);
const sheet = await sheetOf(file, values.sheet);
const today = new Date().toISOString().slice(0, 10);
const spelling = await readSpelling(country);
const list = checkList(sheet.rows, { terms: { country, legalForm }, today, spelling });
const text = values.json ? JSON.stringify({ file, ...list }, null, 2) : printed(file, list);
process.stdout.write(`${text}\n`);
process.exitCode = list.findings.some(({ severity }) => severity === 'wrong') ? 1 : 0;
