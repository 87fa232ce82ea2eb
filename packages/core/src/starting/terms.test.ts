import { AUSTRALIA } from '../countries/australia';
import { CANADA } from '../countries/canada';
import { IRELAND } from '../countries/ireland';
import { NEW_ZEALAND } from '../countries/new-zealand';
import { SLOTS } from '../countries/starting-account';
import { UNITED_KINGDOM } from '../countries/united-kingdom';
import { UNITED_STATES } from '../countries/united-states';
import { INDUSTRIES } from './industries';
import { BASE } from './modules/base';
import { TOPIC_MODULES } from './modules/topic-modules';

const COUNTRIES = { UNITED_STATES, UNITED_KINGDOM, CANADA, IRELAND, AUSTRALIA, NEW_ZEALAND };

describe.each(Object.entries(COUNTRIES))('the words of %s', (_name, country) => {
  it('are for accounts and groups that there are', () => {
    const modules = [
      BASE,
      ...Object.values(INDUSTRIES).flatMap((industry) => industry.modules),
      ...Object.values(TOPIC_MODULES),
      ...country.modules,
      ...Object.values(country.legalForms),
    ];
    const names = new Set([
      ...Object.values(SLOTS).map(({ name }): string => name),
      ...modules.flatMap(({ accounts }) => accounts.map(({ name }) => name)),
    ]);
    const said = [...Object.keys(country.terms), ...Object.keys(country.nonProfitTerms)];
    expect(said.filter((name) => !names.has(name))).toEqual([]);
  });
});
