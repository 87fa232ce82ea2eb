import type { DepthCode, Period, RowKey, SheetCode } from '@iunctus/core';
import { addressOf } from '../../shared/api/api.service';
import { plain } from '../../shared/words/terms';

/** A statement as it is shown: what its files are to be like. */
export interface StatementShown {
  readonly of: { readonly sheet: SheetCode } | { readonly layout: string };
  readonly period: Period;
  /** Columns as text; a set's name or one by one. */
  readonly columns: string;
  readonly depth: DepthCode;
  readonly zeroLines: boolean;
  /** Lines that were opened or closed by hand. */
  readonly open: ReadonlyMap<RowKey, boolean>;
}

/** Where the files of a statement are had. */
export interface StatementFiles {
  readonly pdf: string;
  readonly xlsx: string;
  readonly csv: string;
}

const keys = (open: StatementShown['open'], wanted: boolean): string =>
  [...open].flatMap(([key, isOpen]) => (isOpen === wanted ? key : [])).join(',');

/** The files of a statement, with the same columns and open lines; as adopted, and a layout as it is kept. */
export const statementFiles = (
  clientId: string,
  { of, period: { first, last }, columns, depth, zeroLines, open }: StatementShown,
): StatementFiles => {
  const [opened, closed] = [keys(open, true), keys(open, false)];
  const query = {
    ...of,
    first,
    last,
    columns,
    depth,
    zero: zeroLines ? ('yes' as const) : ('no' as const),
    ...(opened === '' ? {} : { open: opened }),
    ...(closed === '' ? {} : { closed }),
    ...(plain() ? { plain: 'yes' as const } : {}),
  };
  const address = (format: string): string => addressOf('exportChart', { clientId, format, query });
  return {
    pdf: address('statement-pdf'),
    xlsx: address('statement-xlsx'),
    csv: address('statement-csv'),
  };
};
