import { COUNTRIES, legalFormsIn } from '../countries/countries';
import { emptyChart } from '../chart/build';
import { allFindings, lookAt } from '../findings/all-rules';
import { findingWords } from '../findings/finding-words';
import { placedJudge } from '../matching/learned';
import { applyAll } from '../operations/apply';
import { composeStartingChart, startingOperations } from './compose';
import { INDUSTRY_CODES } from './industries';
import { usualAnswers } from './questions';

const judge = placedJudge();

describe('starting charts have nothing that is untidy', () => {
  it.each(COUNTRIES)('for every trade in %s, whatever the legal form', (country) => {
    for (const industry of INDUSTRY_CODES)
      for (const legalForm of legalFormsIn(country).slice(0, 2)) {
        const answers = usualAnswers(industry, country);
        const groups = composeStartingChart({ industry, legalForm, country, answers });
        let count = 0;
        const newId = (): string => `account-${(count += 1)}`;
        const outcome = applyAll(emptyChart(), startingOperations(groups, { newId }));
        if (!outcome.ok) throw new Error(outcome.refusal.code);
        const { chart } = outcome;
        const says = allFindings(lookAt(chart, { judge, country })).map(
          (finding) => findingWords(finding, { chart }).says,
        );
        expect([industry, legalForm, says]).toEqual([industry, legalForm, []]);
      }
  });
});
