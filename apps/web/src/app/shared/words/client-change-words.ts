import type { ClientChange } from '@iunctus/contract';
import { returnFormOf, RETURN_FORMS } from '@iunctus/core';
import { MONTH_NAMES } from './period-words';

/** The return that a client files; empty for the general sheet, which is no return. */
const formName = (client: Pick<ClientChange, 'legalForm' | 'country' | 'industry'>): string => {
  const form = RETURN_FORMS[returnFormOf(client)];
  return form === undefined || form.year === null ? '' : form.name;
};

const returnWords = (before: ClientChange, after: ClientChange): readonly string[] => {
  const [was, now] = [formName(before), formName(after)];
  if (was === now) return [];
  const sleep =
    was === '' ? '' : $localize` Lines chosen for ${was} stay with their accounts and wait.`;
  return now === ''
    ? [
        $localize`No return form is known for it any more: a general sheet by the lines of the statements serves.${sleep}`,
      ]
    : [
        $localize`Its return is ${now} from now on; accounts land on the lines that are usual there.${sleep}`,
      ];
};

const formWords = (before: ClientChange, after: ClientChange): readonly string[] =>
  before.legalForm === after.legalForm
    ? []
    : [
        $localize`The chart keeps the equity accounts that it has. Those of the new form are offered under Start a chart.`,
      ];

const yearWords = (before: ClientChange, after: ClientChange): readonly string[] => {
  if (before.fiscalYearStart === after.fiscalYearStart) return [];
  const month = MONTH_NAMES[after.fiscalYearStart - 1] ?? '';
  return [
    $localize`Years begin in ${month} from now on: net income and retained earnings are counted anew, for past years too. Nothing that was posted changes.`,
    $localize`Budgets by month keep their twelve amounts; the first is that of ${month}.`,
  ];
};

const tradeWords = (before: ClientChange, after: ClientChange): readonly string[] =>
  before.industry === after.industry
    ? []
    : [
        $localize`Another trade changes what is offered under Start a chart, and nothing in the chart.`,
      ];

/** What it does when a client becomes another: to its return, its chart and its amounts. A name alone does nothing. */
export const clientChangeWords = (before: ClientChange, after: ClientChange): readonly string[] => [
  ...returnWords(before, after),
  ...formWords(before, after),
  ...yearWords(before, after),
  ...tradeWords(before, after),
];
