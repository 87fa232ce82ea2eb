import type { LayoutPart } from '../layout';

/** What equity consists of; its columns are the start, the change and the end of a period. Source: IAS 1.106(d) (from memory). */
export const CHANGES_IN_EQUITY: readonly LayoutPart[] = [
  { type: 'section', code: 'equity', shows: 'credit' },
];
