import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import {
  ENTRY_SOURCES,
  INDUSTRY_CODES,
  KIND_CODES,
  LEGAL_FORMS,
  PARTY_ROLES,
  PURPOSE_CODES,
  ROLES,
  SECTION_CODES,
} from '@iunctus/core';
import { parse } from 'csv-parse/sync';
import * as v from 'valibot';

const Practice = v.strictObject({
  id: v.pipe(v.string(), v.uuid()),
  name: v.string(),
  password: v.string(),
  users: v.array(v.strictObject({ name: v.string(), email: v.string(), role: v.picklist(ROLES) })),
  clients: v.array(
    v.strictObject({
      folder: v.nullable(v.string()),
      name: v.string(),
      legalForm: v.picklist(LEGAL_FORMS),
      industry: v.nullable(v.picklist(INDUSTRY_CODES)),
      country: v.string(),
      currency: v.string(),
      fiscalYearStart: v.number(),
    }),
  ),
});
export type DemoPractice = v.InferOutput<typeof Practice>;
export type DemoClient = DemoPractice['clients'][number];

const ChartRow = v.strictObject({
  number: v.string(),
  name: v.string(),
  kind: v.picklist(KIND_CODES),
  role: v.picklist(['heading', 'posting']),
  parent: v.string(),
  system: v.picklist(['', 'retainedEarnings']),
  guidance: v.string(),
});
export type DemoAccount = v.InferOutput<typeof ChartRow>;

const EntryRow = v.strictObject({
  entry: v.string(),
  date: v.string(),
  source: v.picklist(ENTRY_SOURCES),
  comment: v.string(),
  account: v.string(),
  debit: v.string(),
  credit: v.string(),
  market: v.string(),
});
export type DemoLine = v.InferOutput<typeof EntryRow>;

/** A gesture of the demo, by account number. */
const Gesture = v.union([
  v.strictObject({ account: v.string(), under: v.string(), after: v.string() }),
  v.strictObject({
    account: v.string(),
    field: v.picklist(['name', 'guidance', 'notes', 'shortLabel']),
    value: v.string(),
  }),
  v.strictObject({ add: v.string(), under: v.string(), guidance: v.string() }),
  v.strictObject({ plan: v.literal('asNumbered') }),
  v.strictObject({ dimension: v.string(), values: v.array(v.string()), askedOf: v.string() }),
]);
export type DemoGesture = v.InferOutput<typeof Gesture>;

const Revision = v.strictObject({
  author: v.string(),
  note: v.string(),
  gestures: v.array(Gesture),
});
export type DemoRevision = v.InferOutput<typeof Revision>;

const Proposal = v.strictObject({
  author: v.string(),
  name: v.string(),
  comment: v.string(),
  handedTo: v.nullable(v.string()),
  gestures: v.array(Gesture),
});
export type DemoProposal = v.InferOutput<typeof Proposal>;

const proofParts = {
  name: v.string(),
  section: v.picklist(SECTION_CODES),
  under: v.nullable(v.string()),
};
const Proof = v.union([
  v.strictObject({ ...proofParts, line: v.string(), amount: v.number() }),
  v.strictObject({ ...proofParts, account: v.string() }),
]);
export type DemoProof = v.InferOutput<typeof Proof>;

/** Routes, by account number. */
const Routes = v.strictObject({
  author: v.string(),
  defaults: v.record(v.picklist(PURPOSE_CODES), v.string()),
  parties: v.array(
    v.strictObject({
      role: v.picklist(PARTY_ROLES),
      name: v.string(),
      sale: v.nullable(v.string()),
      purchase: v.nullable(v.string()),
    }),
  ),
  taxRates: v.array(v.strictObject({ name: v.string(), rate: v.string(), reclaims: v.boolean() })),
  rules: v.array(
    v.strictObject({
      words: v.string(),
      sign: v.picklist(['in', 'out']),
      account: v.string(),
      tax: v.nullable(v.string()),
    }),
  ),
  proofs: v.array(Proof),
});
export type DemoRoutes = v.InferOutput<typeof Routes>;

/** What stood open in an account, by its number; debit-positive minor units. */
const OpenItems = v.strictObject({
  author: v.string(),
  account: v.string(),
  month: v.string(),
  items: v.array(
    v.strictObject({
      party: v.string(),
      reference: v.string(),
      date: v.nullable(v.string()),
      amount: v.number(),
    }),
  ),
});
export type DemoOpenItems = v.InferOutput<typeof OpenItems>;

const readJson = async <T>(schema: v.GenericSchema<unknown, T>, file: string): Promise<T> =>
  v.parse(schema, JSON.parse(await readFile(file, 'utf8')));

const readCsv = async <T>(schema: v.GenericSchema<unknown, T>, file: string): Promise<T[]> =>
  v.parse(v.array(schema), parse(await readFile(file, 'utf8'), { columns: true }));

/** The practice, its users and clients. */
export const readPractice = (folder: string): Promise<DemoPractice> =>
  readJson(Practice, join(folder, 'practice.json'));

/** All files of one client. */
export interface ClientFiles {
  readonly accounts: readonly DemoAccount[];
  readonly lines: readonly DemoLine[];
  readonly revisions: readonly DemoRevision[];
  readonly proposal: DemoProposal | null;
  readonly routes: DemoRoutes | null;
  readonly openItems: DemoOpenItems | null;
}

/** Reads a file that a client need not have. */
const maybeJson = async <T>(
  schema: v.GenericSchema<unknown, T>,
  file: string,
): Promise<T | null> => {
  const isThere = await readFile(file).then(
    () => true,
    () => false,
  );
  return isThere ? readJson(schema, file) : null;
};

/** Reads a client's folder; a client need not have a proposal, routes or open items. */
export const readClientFiles = async (folder: string): Promise<ClientFiles> => ({
  accounts: await readCsv(ChartRow, join(folder, 'chart.csv')),
  lines: await readCsv(EntryRow, join(folder, 'entries.csv')),
  revisions: await readJson(v.array(Revision), join(folder, 'revisions.json')),
  proposal: await maybeJson(Proposal, join(folder, 'proposal.json')),
  routes: await maybeJson(Routes, join(folder, 'routes.json')),
  openItems: await maybeJson(OpenItems, join(folder, 'open-items.json')),
});
