import { minor } from '@iunctus/core';

/** An int8 as it comes from the database, read exactly. Throws `AmountError` outside the exact range of a number. */
export const exactInteger = (text: string): number => minor(Number(text));
