import { Injectable } from '@angular/core';
import * as v from 'valibot';
import { KeptByWindow } from '../../shared/keeping/kept-by-window';

const Outline = v.strictObject({ text: v.string(), under: v.nullable(v.string()) });
type Outline = v.InferOutput<typeof Outline>;

/** Outlines that were typed and not proposed yet. */
@Injectable({ providedIn: 'root' })
export class KeptOutlines extends KeptByWindow<Outline> {
  constructor() {
    super('outline', Outline);
  }
}
