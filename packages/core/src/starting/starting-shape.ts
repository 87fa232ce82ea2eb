import { emptyChart } from '../chart/build';
import type { Chart } from '../chart/chart';
import type { CountryCode } from '../countries/countries';
import type { LegalForm } from '../countries/legal-form';
import { applyAll } from '../operations/apply';
import { composeStartingChart, startingOperations } from './compose';
import type { IndustryCode } from './industries';
import { usualAnswers } from './questions';

/** Whose starting chart is meant. */
export interface StartingShape {
  readonly industry: IndustryCode;
  readonly legalForm: LegalForm;
  readonly country: CountryCode;
}

/** The starting chart of a trade with the usual answers, as a chart; its accounts have ids of their own. */
export const startingShape = ({ industry, legalForm, country }: StartingShape): Chart => {
  const answers = usualAnswers(industry, country);
  const groups = composeStartingChart({ industry, legalForm, country, answers });
  let count = 0;
  const newId = (): string => `starting-${(count += 1)}`;
  const outcome = applyAll(emptyChart(), startingOperations(groups, { newId }));
  if (!outcome.ok) throw new RangeError(`no starting chart: ${outcome.refusal.code}`);
  return outcome.chart;
};
