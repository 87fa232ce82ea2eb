import { randomUUID } from 'node:crypto';
import { KIND_CODES, usualPlan, type Operation } from '@iunctus/core';
import * as v from 'valibot';
import {
  BalancesQuery,
  NewClientRequest,
  OperationSchema,
  Problem,
  SaveProposalRequest,
} from './index';

const id = randomUUID();
const account = {
  id,
  number: '1010',
  name: 'Operating account',
  shortLabel: '',
  guidance: '',
  notes: '',
  role: 'posting',
  kind: 'bank',
  retiredOn: null,
  systemUse: null,
  settings: {},
} as const;

const OPERATIONS: readonly Operation[] = [
  { type: 'addAccount', account, parentId: null, afterId: id },
  { type: 'deleteAccount', id },
  { type: 'editField', id, field: 'guidance', value: 'Daily receipts' },
  { type: 'renumber', id, number: null },
  {
    type: 'renumberMany',
    numbers: [
      { id, number: '6010' },
      { id, number: null },
    ],
  },
  { type: 'setPlan', plan: usualPlan(4), numbered: true },
  { type: 'moveNode', id, parentId: id, afterId: null },
  { type: 'changeKind', id, kind: 'clearing' },
  { type: 'changeRole', id, role: 'heading' },
  { type: 'merge', id, into: id, acrossKinds: true },
  { type: 'unmerge', account, into: id, parentId: null, afterId: null },
  { type: 'retire', id, on: '2026-10-31' },
  { type: 'restore', id },
];

const accepts = (schema: v.GenericSchema, data: unknown): boolean =>
  v.safeParse(schema, data).success;

describe('the contract of operations', () => {
  it.each(OPERATIONS.map((operation) => [operation.type, operation] as const))(
    'takes %s as the core makes it, unchanged by a trip through JSON',
    (_type, operation) => {
      expect(v.parse(OperationSchema, JSON.parse(JSON.stringify(operation)))).toEqual(operation);
    },
  );

  it.each(OPERATIONS.map((operation) => [operation.type, operation] as const))(
    'takes no %s with a key that nobody knows',
    (_type, operation) => {
      expect(accepts(OperationSchema, { ...operation, force: true })).toBe(false);
    },
  );

  it.each([
    ['a type that does not exist', { type: 'mergeAll', id }],
    ['an id that is none', { type: 'restore', id: '1' }],
    ['a kind that does not exist', { type: 'changeKind', id, kind: 'misc' }],
    ['a date that does not exist', { type: 'retire', id, on: '2026-02-30' }],
    ['a null character', { type: 'editField', id, field: 'name', value: 'a\u0000b' }],
    ['a number that is too long', { type: 'renumber', id, number: '1'.repeat(21) }],
  ])('refuses %s', (_what, data) => {
    expect(accepts(OperationSchema, data)).toBe(false);
  });

  it('knows every kind of the core', () => {
    const kinds = KIND_CODES.map((kind) => ({ type: 'changeKind', id, kind }));
    expect(kinds.every((operation) => accepts(OperationSchema, operation))).toBe(true);
  });
});

describe('the contract of requests', () => {
  it('names the field that is wrong, however deep', () => {
    const operations = [{ type: 'renumber', id, number: 5 }];
    const request = { version: 0, baseRevision: 0, steps: [{ id, operations }], conflicts: [] };
    const result = v.safeParse(SaveProposalRequest, request);
    expect(result.issues?.map((issue) => v.getDotPath(issue))).toEqual([
      'steps.0.operations.0.number',
    ]);
  });

  it('refuses a period that ends before it begins', () => {
    expect(accepts(BalancesQuery, { first: '2026-07', last: '2026-10' })).toBe(true);
    expect(accepts(BalancesQuery, { first: '2026-07', last: '2026-06' })).toBe(false);
  });

  it('trims the name of a client, and wants one', () => {
    const client = {
      name: '  Larch Row ',
      legalForm: 'soleOwner',
      industry: null,
      country: 'US',
      currency: 'USD',
      fiscalYearStart: 1,
    };
    expect(v.parse(NewClientRequest, client).name).toBe('Larch Row');
    expect(accepts(NewClientRequest, { ...client, name: '   ' })).toBe(false);
  });

  it('says no in one shape', () => {
    expect(
      accepts(Problem, {
        code: 'refused',
        refusal: { code: 'numberTaken', accountId: id, field: 'number', value: '1', otherId: id },
      }),
    ).toBe(true);
    expect(accepts(Problem, { code: 'refused' })).toBe(false);
  });
});
