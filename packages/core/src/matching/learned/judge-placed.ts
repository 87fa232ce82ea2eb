import type { Chart, ChartNode } from '../../chart/chart';
import { parentIdOf, previousIdOf } from '../../chart/queries';
import type { Guess } from '../infer-kind';
import { judgeAccount, type AccountAsked } from './judge-account';
import { judgeLines } from './judge-lines';
import type { Learned } from './model';

/** The kinds that an account may be by its name alone, the likeliest first. */
export const judgeNamed = (name: string, learned?: Learned): readonly Guess[] =>
  judgeLines([{ name, number: null, parent: null, kind: null }], {
    ...(learned === undefined ? {} : { learned }),
  })(0, null);

/** The kinds that an account of a chart may be by its name, place and number, its own kind unheard; the likeliest first. */
export const judgePlaced = (
  chart: Chart,
  { account }: ChartNode,
  learned?: Learned,
): readonly Guess[] => {
  const { id, name, number } = account;
  const asked: AccountAsked = {
    name,
    number,
    parentId: parentIdOf(chart, id),
    afterId: previousIdOf(chart, id),
    element: null,
    besidesId: id,
  };
  return judgeAccount(chart, asked, learned);
};
