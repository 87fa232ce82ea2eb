import { randomUUID } from 'node:crypto';
import { plainAccount, type AccountRecord, type KindCode } from '@iunctus/core';

const GROUPS: readonly (readonly [digit: string, kind: KindCode])[] = [
  ['1', 'bank'],
  ['2', 'tradePayable'],
  ['3', 'ownersCapital'],
  ['4', 'saleOfGoods'],
  ['5', 'costOfSales'],
  ['6', 'operatingExpense'],
];

/** Accounts directly below one heading. */
const WIDTH = 10;

/**
 * A chart of `count` accounts in branches of ten: main headings, headings, accounts, as deep as
 * the count needs. Every heading has the kind of its element's usual account.
 */
export const largeChart = (count: number): AccountRecord[] => {
  const records: AccountRecord[] = [];
  const add = (digit: string, kind: KindCode, parent: AccountRecord | null): AccountRecord => {
    const serial = records.length + 1;
    const number = `${digit}${String(serial).padStart(6, '0')}`;
    const name = `Account ${serial}`;
    const account = plainAccount({ id: randomUUID(), number, name, kind });
    const record: AccountRecord = { ...account, parentId: parent?.id ?? null };
    records.push(record);
    return record;
  };
  let level = GROUPS.map(([digit, kind]) => ({ digit, kind, node: add(digit, kind, null) }));
  while (records.length < count) {
    const next: typeof level = [];
    for (const { digit, kind, node } of level)
      for (let child = 0; child < WIDTH && records.length < count; child += 1)
        next.push({ digit, kind, node: add(digit, kind, node) });
    level = next;
  }
  return records;
};
