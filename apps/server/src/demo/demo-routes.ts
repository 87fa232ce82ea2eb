import {
  idByNumber,
  type AccountId,
  type Chart,
  type RouteContent,
  type RouteItem,
} from '@iunctus/core';
import { randomUUID } from 'node:crypto';
import type { DemoProof, DemoRoutes } from './demo-files';

class RouteMaker {
  private readonly taxIds = new Map<string, string>();

  constructor(private readonly chart: Chart) {}

  private id(number: string): AccountId {
    const id = idByNumber(this.chart, number);
    if (id === undefined)
      throw new Error(`the demo’s routes lead to ${number}, which is not there`);
    return id;
  }

  private maybeId(number: string | null): AccountId | null {
    return number === null ? null : this.id(number);
  }

  taxRates(rates: DemoRoutes['taxRates']): RouteItem[] {
    return rates.map((rate) => {
      const id = randomUUID();
      this.taxIds.set(rate.name, id);
      return { id, content: { type: 'taxCode', ...rate } };
    });
  }

  proof({ name, section, under, ...sample }: DemoProof): RouteContent {
    const expected = { section, underId: this.maybeId(under), returnLine: null };
    return {
      type: 'proof',
      name,
      expected,
      sample:
        'account' in sample
          ? { by: 'account', accountId: this.id(sample.account) }
          : { by: 'line', text: sample.line, amount: sample.amount, source: 'bank' },
    };
  }

  contents({ defaults, parties, rules, proofs }: DemoRoutes): RouteContent[] {
    return [
      ...Object.entries(defaults).map(([purpose, number]): RouteContent => ({
        type: 'default',
        purpose: purpose as keyof typeof defaults,
        accountId: this.id(number),
      })),
      ...parties.map(({ role, name, sale, purchase }): RouteContent => ({
        type: 'party',
        role,
        name,
        saleId: this.maybeId(sale),
        purchaseId: this.maybeId(purchase),
      })),
      ...rules.map(({ words, sign, account, tax }, at): RouteContent => ({
        type: 'rule',
        place: at + 1,
        how: 'contains',
        words,
        sign,
        least: null,
        most: null,
        source: null,
        accountId: this.id(account),
        taxCodeId: tax === null ? null : (this.taxIds.get(tax) ?? null),
      })),
      ...proofs.map((proof) => this.proof(proof)),
    ];
  }
}

/** The pieces of the demo's routes, on its chart. */
export const routeItemsOf = (chart: Chart, routes: DemoRoutes): readonly RouteItem[] => {
  const maker = new RouteMaker(chart);
  const taxRates = maker.taxRates(routes.taxRates);
  const others = maker.contents(routes).map((content) => ({ id: randomUUID(), content }));
  return [...taxRates, ...others];
};
