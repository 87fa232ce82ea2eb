import type { TypedEntry } from '../entries/typed-entry';
import type { AccountId } from '../chart/account';
import { findKey } from '../text/find-key';
import type { Purpose } from './purpose';
import type {
  DefaultAccount,
  Party,
  Proof,
  ProofGate,
  RouteContent,
  RouteItem,
  RouteType,
  TaxCode,
  WordRule,
} from './route-item';

/** A piece with what its words are found by, made once for all lines. */
export type Keyed<C extends RouteContent> = RouteItem<C> & { readonly key: string };

/** All pieces of a client's routes, by what they are. */
export interface Routes {
  readonly defaults: ReadonlyMap<Purpose, RouteItem<DefaultAccount>>;
  readonly parties: readonly Keyed<Party>[];
  /** In the order in which they are tried. */
  readonly rules: readonly Keyed<WordRule>[];
  readonly taxCodes: readonly RouteItem<TaxCode>[];
  readonly proofs: readonly RouteItem<Proof>[];
  readonly gate: RouteItem<ProofGate> | null;
}

const byName = (one: RouteItem<{ name: string } & RouteContent>, other: typeof one): number =>
  one.content.name.localeCompare(other.content.name, 'en') || (one.id < other.id ? -1 : 1);

/** Sorts the pieces of a client's routes. */
export const routesOf = (items: readonly RouteItem[]): Routes => {
  const of = <T extends RouteType>(type: T) =>
    items.filter(
      (item): item is RouteItem<Extract<RouteContent, { type: T }>> => item.content.type === type,
    );
  return {
    defaults: new Map(of('default').map((item) => [item.content.purpose, item])),
    parties: of('party')
      .sort(byName)
      .map((item) => ({ ...item, key: findKey(item.content.name) })),
    rules: of('rule')
      .sort((one, other) => one.content.place - other.content.place || (one.id < other.id ? -1 : 1))
      .map((item) => ({ ...item, key: findKey(item.content.words) })),
    taxCodes: of('taxCode').sort(byName),
    proofs: of('proof').sort(byName),
    gate: of('gate')[0] ?? null,
  };
};

export const NO_ROUTES: Routes = routesOf([]);

/** The accounts that a piece names. */
export const accountsIn = (content: RouteContent): readonly AccountId[] => {
  const named = ((): (AccountId | null)[] => {
    switch (content.type) {
      case 'default':
      case 'rule':
        return [content.accountId];
      case 'party':
        return [content.saleId, content.purchaseId];
      case 'proof':
        return [
          content.sample.by === 'account' ? content.sample.accountId : null,
          content.expected.underId,
        ];
      case 'taxCode':
      case 'gate':
        return [];
      default:
        return content satisfies never;
    }
  })();
  return named.filter((id) => id !== null);
};

/** The accounts that pieces of routes, and entries that come again and again, lead to. */
export const accountsLedTo = (
  contents: readonly RouteContent[],
  entries: readonly Pick<TypedEntry, 'lines'>[],
): ReadonlySet<AccountId> =>
  new Set([
    ...contents.flatMap(accountsIn),
    ...entries.flatMap(({ lines }) => lines.flatMap(({ accountId }) => accountId ?? [])),
  ]);
