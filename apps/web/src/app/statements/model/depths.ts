import { DEPTH_CODES, type DepthCode } from '@iunctus/core';
import type { OneOf } from '../../shared/components/one-of.component';

/** Depths as they are chosen between. */
export const DEPTHS: readonly OneOf<DepthCode>[] = DEPTH_CODES.map((value) => ({
  value,
  words: value === 'all' ? $localize`All` : value,
}));
