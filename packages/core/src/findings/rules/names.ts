import type { Chart } from '../../chart/chart';
import { eachNode } from '../../chart/queries';
import { countryOf, spelledFor } from '../../countries/countries';
import { apply } from '../../operations/apply';
import { neatBlanks, neatCapitals, saysNothing, spelledOut } from '../../text/neat-name';
import { openAccounts } from '../accounts';
import type { FindingOf, FindingRule, Fix } from '../finding';

type NameCode = 'nameBlanks' | 'nameCapitals' | 'nameShortened';

const renamed = (chart: Chart, id: string, to: string): readonly Fix[] => {
  const operation = { type: 'editField', id, field: 'name', value: to } as const;
  // Where the neater name is taken already, the two are to be looked at together instead.
  return apply(chart, operation).ok
    ? [{ says: { does: 'rename', to }, operations: [operation] }]
    : [];
};

/** Names that would be neater otherwise. */
const neater =
  <C extends NameCode>(code: C, neat: (name: string) => string) =>
  (chart: Chart): readonly FindingOf<C>[] =>
    [...eachNode(chart.roots)].flatMap(({ account: { id, name, retiredOn } }) => {
      const to = neat(name);
      if (to === name || retiredOn !== null) return [];
      const fixes = renamed(chart, id, to);
      const found = { code, severity: 'couldBeNeater', accountIds: [id], amount: 0 } as const;
      return [{ ...found, facts: { to }, fixes }];
    });

/** Blanks twice, at an end, or before a comma. */
export const nameBlanks: FindingRule<'nameBlanks'> = ({ chart }) =>
  neater('nameBlanks', neatBlanks)(chart);

/** Names in capitals throughout, or without any. */
export const nameCapitals: FindingRule<'nameCapitals'> = ({ chart }) =>
  neater('nameCapitals', neatCapitals)(chart);

/** Words that are cut short. */
export const namesShortened: FindingRule<'nameShortened'> = ({ chart, country }) =>
  neater('nameShortened', (name) => {
    const whole = spelledOut(name);
    return whole === name ? name : spelledFor(whole, countryOf(country));
  })(chart);

/** Names that say nothing of what belongs there. */
export const namesSayNothing: FindingRule<'nameSaysNothing'> = ({ chart }) =>
  openAccounts(chart)
    .filter(({ account }) => saysNothing(account.name))
    .map(({ account }) => ({
      code: 'nameSaysNothing',
      severity: 'doubtful',
      accountIds: [account.id],
      amount: 0,
      facts: {},
      fixes: [],
    }));
