import { lookOf, rowName, type SheetRow } from '@iunctus/core';
import { terms } from './terms';

/** What a row of a statement is called, in the words of the client. */
export const statementRowWords = (row: SheetRow): string => rowName(row, terms());

/** How far a row of a statement is indented, in pixels. */
export const statementRowIndent = (row: SheetRow): number => lookOf(row).depth * 14;
