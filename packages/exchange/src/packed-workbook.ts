import type ExcelJS from 'exceljs';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';

/**
 * Element order as the schema has it: tabColor, outlinePr, pageSetUpPr. The library writes the last two the other way
 * round, which strict readers refuse. Source: ISO/IEC 29500-1, CT_SheetPr (from memory).
 */
const ordered = (sheet: string): string =>
  sheet.replace(/(<pageSetUpPr[^>]*\/>)(<outlinePr[^>]*\/>)/, '$2$1');

/** Says by what the file was written; the library names another program. */
const written = (properties: string): string =>
  properties
    .replace(/<Application>[^<]*<\/Application>/, '<Application>Iunctus</Application>')
    .replace(/<AppVersion>[^<]*<\/AppVersion>/, '');

const mended = (name: string, content: string): string => {
  if (name.startsWith('xl/worksheets/')) return ordered(content);
  return name === 'docProps/app.xml' ? written(content) : content;
};

/** A workbook as the bytes of a file that any reader of the standard takes. */
export const packedWorkbook = async (book: ExcelJS.Workbook): Promise<Uint8Array> => {
  const files = unzipSync(new Uint8Array(await book.xlsx.writeBuffer()));
  return zipSync(
    Object.fromEntries(
      Object.entries(files).map(([name, bytes]) => [
        name,
        /\.xml$/.test(name) ? strToU8(mended(name, strFromU8(bytes))) : bytes,
      ]),
    ),
  );
};
