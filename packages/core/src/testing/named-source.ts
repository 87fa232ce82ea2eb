import type { KindCode } from '../kinds/kinds';

/** Names of accounts as published, and the kind that each is; several where the published name leaves it open. */
export interface PublishedNames {
  readonly source: string;
  readonly names: readonly (readonly [name: string, ...kinds: KindCode[]])[];
}
