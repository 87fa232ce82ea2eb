import type { Chart } from '../../chart/chart';
import { eachNode } from '../../chart/queries';
import { apply } from '../../operations/apply';
import { misspelledIn, respelled, type Misspelled } from '../../spelling/spelling';
import type { FindingRule, Fix } from '../finding';

const renamings = (
  chart: Chart,
  { id, name }: { readonly id: string; readonly name: string },
  { word, meant }: Misspelled,
): readonly Fix[] =>
  meant.flatMap((one) => {
    const to = respelled(name, word, one);
    const operation = { type: 'editField', id, field: 'name', value: to } as const;
    return apply(chart, operation).ok
      ? [{ says: { does: 'rename', to }, operations: [operation] }]
      : [];
  });

/** Names with a word that is one slip of the hand away from one that there is. */
export const misspelled: FindingRule<'misspelled'> = ({ chart, spelling }) =>
  spelling === null
    ? []
    : [...eachNode(chart.roots)].flatMap(({ account }) => {
        const { id, name, retiredOn } = account;
        const [first] = retiredOn === null ? misspelledIn(name, spelling) : [];
        const to = first?.meant[0];
        if (first === undefined || to === undefined) return [];
        return [
          {
            code: 'misspelled',
            severity: 'couldBeNeater',
            accountIds: [id],
            amount: 0,
            facts: { word: first.word, to },
            fixes: renamings(chart, account, first),
          },
        ];
      });
