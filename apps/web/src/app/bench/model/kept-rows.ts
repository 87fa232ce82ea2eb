import { Injectable } from '@angular/core';
import { KIND_CODES } from '@iunctus/core';
import * as v from 'valibot';
import { KeptByWindow } from '../../shared/keeping/kept-by-window';

const Row = v.strictObject({
  id: v.string(),
  /** For an account that is to be added: the neighbour after which it goes. */
  adding: v.nullable(v.strictObject({ afterId: v.nullable(v.string()) })),
  number: v.string(),
  name: v.string(),
  kind: v.picklist(KIND_CODES),
  parentId: v.nullable(v.string()),
  above: v.array(v.string()),
});
export type KeptRow = v.InferOutput<typeof Row>;

/** Rows of the chart that were half typed. */
@Injectable({ providedIn: 'root' })
export class KeptRows extends KeptByWindow<KeptRow> {
  constructor() {
    super('row', Row);
  }
}
