import { randomUUID } from 'node:crypto';
import {
  apply,
  applyAll,
  idByNumber,
  inferPlan,
  parseAmount,
  planChild,
  plainAccount,
  planMoveUnder,
  type Account,
  type Chart,
  type DimensionValues,
  type Operation,
} from '@iunctus/core';
import type { Entry, EntryLine } from '../postings/entries.queries';
import type { DemoAccount, DemoGesture, DemoLine } from './demo-files';

const idOf = (chart: Chart, number: string): string => {
  const id = idByNumber(chart, number);
  if (id === undefined) throw new Error(`the demo has no account ${number}`);
  return id;
};

const accountOf = ({ number, name, kind, role, guidance, system }: DemoAccount): Account =>
  plainAccount(
    { id: randomUUID(), number, name, kind },
    { role, guidance, systemUse: system === '' ? null : system },
  );

/** The operations that make a chart from its rows, parents first. */
export const operationsOf = (rows: readonly DemoAccount[]): readonly Operation[] => {
  const ids = new Map<string, string>();
  const last = new Map<string, string>();
  return rows.map((row) => {
    const account = accountOf(row);
    const parentId = row.parent === '' ? null : (ids.get(row.parent) ?? '');
    const afterId = last.get(row.parent) ?? null;
    ids.set(row.number, account.id);
    last.set(row.parent, account.id);
    return { type: 'addAccount', account, parentId, afterId };
  });
};

const additionOf = (chart: Chart, gesture: Extract<DemoGesture, { add: string }>): Operation => {
  const plan = planChild(chart, idOf(chart, gesture.under));
  if (plan === null || !plan.number.ok) throw new Error(`no room for ${gesture.add}`);
  const account = plainAccount(
    { id: randomUUID(), number: plan.number.number, name: gesture.add, kind: plan.kind },
    { guidance: gesture.guidance, role: plan.role },
  );
  return { type: 'addAccount', account, parentId: plan.parentId, afterId: plan.afterId };
};

/** A new dimension, and an account whose postings are to carry it. */
const dimensionOf = (
  chart: Chart,
  { dimension: name, values, askedOf }: Extract<DemoGesture, { dimension: string }>,
): readonly Operation[] => {
  const id = randomUUID();
  const dimension = { id, name, values: values.map((one) => ({ id: randomUUID(), name: one })) };
  return [
    { type: 'setDimension', id, dimension, afterId: null },
    {
      type: 'changeSetting',
      id: idOf(chart, askedOf),
      setting: 'dimensions',
      value: [{ dimensionId: id, valueId: null, demanded: true }],
    },
  ];
};

/** The operations of one gesture, as the bench would make them. */
const gestureOperations = (chart: Chart, gesture: DemoGesture): readonly Operation[] => {
  if ('add' in gesture) return [additionOf(chart, gesture)];
  if ('plan' in gesture) return [{ type: 'setPlan', plan: inferPlan(chart), numbered: true }];
  if ('dimension' in gesture) return dimensionOf(chart, gesture);
  const id = idOf(chart, gesture.account);
  if ('field' in gesture)
    return [{ type: 'editField', id, field: gesture.field, value: gesture.value }];
  return planMoveUnder(chart, id, {
    parentId: idOf(chart, gesture.under),
    afterId: gesture.after === '' ? null : idOf(chart, gesture.after),
  });
};

/** One step per gesture, each planned on the chart that the one before leaves. */
export const gestureSteps = (
  chart: Chart,
  gestures: readonly DemoGesture[],
): readonly (readonly Operation[])[] => {
  let current = chart;
  return gestures.map((gesture) => {
    const operations = gestureOperations(current, gesture);
    const outcome = applyAll(current, operations);
    if (!outcome.ok) throw new Error(`the demo’s gesture is refused: ${outcome.refusal.code}`);
    current = outcome.chart;
    return operations;
  });
};

/** The chart that rows give, or an error that names the refused row. */
export const chartOfRows = (empty: Chart, operations: readonly Operation[]): Chart =>
  operations.reduce((chart, operation) => {
    const outcome = apply(chart, operation);
    if (!outcome.ok) throw new Error(`${outcome.refusal.code}: ${JSON.stringify(operation)}`);
    return outcome.chart;
  }, empty);

const cents = (text: string, currency: string): number => {
  const amount = text === '' ? 0 : parseAmount(text, currency);
  if (amount === null) throw new Error(`no amount: ${text}`);
  return amount;
};

/** The value of that name, in whichever dimension has it; none for an empty name. */
const carried = (chart: Chart, name: string): DimensionValues => {
  if (name === '') return {};
  for (const { id, values } of chart.settings.dimensions)
    for (const value of values) if (value.name === name) return { [id]: value.id };
  throw new Error(`the demo has no dimension value ${name}`);
};

/** The entries that a file's lines make up; lines of one entry share its number. */
export const entriesOf = (
  chart: Chart,
  lines: readonly DemoLine[],
  currency: string,
): readonly Entry[] => {
  const entries = new Map<string, Entry & { lines: EntryLine[] }>();
  for (const { entry, date, source, comment, account, debit, credit, market } of lines) {
    const own = entries.get(entry) ?? { id: randomUUID(), date, source, comment, lines: [] };
    const amount = cents(debit, currency) - cents(credit, currency);
    own.lines.push({ accountId: idOf(chart, account), amount, values: carried(chart, market) });
    entries.set(entry, own);
  }
  return [...entries.values()];
};
