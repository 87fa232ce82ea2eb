import { Injectable } from '@angular/core';
import { AMOUNT_SIDES, CLASH_RULES, COLUMN_USES, KIND_CODES, TREE_SOURCES } from '@iunctus/core';
import * as v from 'valibot';
import { KeptByWindow } from '../../shared/keeping/kept-by-window';
import type { Decisions } from '../workers/import-messages';

const Cells = v.partial(
  v.strictObject(v.entriesFromList(COLUMN_USES, v.string())),
) as unknown as v.GenericSchema<unknown, Partial<Record<(typeof COLUMN_USES)[number], string>>>;

const Mended = v.strictObject({
  cells: v.exactOptional(Cells),
  kind: v.exactOptional(v.picklist(KIND_CODES)),
  alone: v.exactOptional(v.boolean()),
  leftOut: v.exactOptional(v.boolean()),
  apart: v.exactOptional(v.boolean()),
});

const KeptDecisions = v.strictObject({
  name: v.string(),
  sheet: v.number(),
  columns: v.strictObject({
    headingLine: v.nullable(v.number()),
    headings: v.array(v.string()),
    uses: v.array(v.nullable(v.picklist(COLUMN_USES))),
  }),
  treeSource: v.nullable(v.picklist(TREE_SOURCES)),
  sides: v.optional(v.nullable(v.picklist(AMOUNT_SIDES)), null),
  mended: v.array(v.tuple([v.number(), Mended])),
  types: v.array(v.tuple([v.string(), v.picklist(KIND_CODES)])),
  answers: v.array(v.tuple([v.number(), v.nullable(v.string())])),
  fates: v.array(v.tuple([v.string(), v.picklist(['leave', 'retire', 'delete'])])),
  clashes: v.optional(v.nullable(v.picklist(CLASH_RULES)), null),
});
export type KeptDecisions = v.InferOutput<typeof KeptDecisions>;

/** Decisions as plain data. */
export const plainDecisions = (
  decisions: Decisions,
  { name, sheet }: { readonly name: string; readonly sheet: number },
): KeptDecisions => ({
  treeSource: decisions.treeSource,
  sides: decisions.sides,
  columns: {
    ...decisions.columns,
    headings: [...decisions.columns.headings],
    uses: [...decisions.columns.uses],
  },
  name,
  sheet,
  mended: [...decisions.mended],
  types: [...decisions.types],
  answers: [...decisions.answers],
  fates: [...decisions.fates],
  clashes: decisions.clashes,
});

const ListFile = v.strictObject({ bytes: v.instance(Uint8Array) });

/** Lists that were opened and not proposed yet. */
@Injectable({ providedIn: 'root' })
export class KeptLists extends KeptByWindow<v.InferOutput<typeof ListFile>> {
  constructor() {
    super('list', ListFile);
  }
}

/** What was decided about them. */
@Injectable({ providedIn: 'root' })
export class KeptImports extends KeptByWindow<KeptDecisions> {
  constructor() {
    super('import', KeptDecisions);
  }
}
