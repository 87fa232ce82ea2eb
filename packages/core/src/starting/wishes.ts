import {
  composeStartingChart,
  startingCount,
  type StartingChoice,
  type StartingGroup,
} from './compose';
import type { IndustryCode } from './industries';
import type { CountryCode } from '../countries/countries';
import { TOPICS, type Topic } from '../countries/starting-account';
import { usualAnswers, type Channels, type StartingAnswers } from './questions';

/** What a starting chart is for, with every question answered. */
export type AnsweredChoice = StartingChoice & { readonly answers: StartingAnswers };

const countOf = (choice: StartingChoice): number => startingCount(composeStartingChart(choice));

/** How many accounts each topic would add, or take when it is negative, if it were answered otherwise. */
export const effectsOf = (choice: AnsweredChoice): Readonly<Record<Topic, number>> => {
  const now = countOf(choice);
  const { answers } = choice;
  const turned = (topic: Topic): number => {
    const has = { ...answers.has, [topic]: !answers.has[topic] };
    return countOf({ ...choice, answers: { ...answers, has } }) - now;
  };
  return Object.fromEntries(TOPICS.map((topic) => [topic, turned(topic)])) as Record<Topic, number>;
};

/** How many accounts the chart has with its channels kept apart one way and the other. */
export const channelCountsOf = (
  choice: AnsweredChoice,
): Readonly<Record<Channels['apart'], number>> => {
  const { answers } = choice;
  const withApart = (apart: Channels['apart']): number =>
    countOf({ ...choice, answers: { ...answers, channels: { ...answers.channels, apart } } });
  return { accounts: withApart('accounts'), dimension: withApart('dimension') };
};

/** Topics that are answered otherwise than is usual for the trade. */
const askedFor = (
  industry: IndustryCode,
  country: CountryCode | undefined,
  { has }: StartingAnswers,
): ReadonlySet<Topic> => {
  const usual = usualAnswers(industry, country).has;
  return new Set(TOPICS.filter((topic) => usual[topic] !== has[topic]));
};

/**
 * The names that are not wanted. On a new chart those that the user struck out; to a living one nothing
 * comes but what an answer asks for and what the user ticked. `turned` are the names that the user struck
 * out or ticked.
 */
export const unwantedNames = (
  groups: readonly StartingGroup[],
  choice: Pick<AnsweredChoice, 'industry' | 'country' | 'answers'>,
  { living, turned }: { readonly living: boolean; readonly turned: ReadonlySet<string> },
): ReadonlySet<string> => {
  const asked = askedFor(choice.industry, choice.country, choice.answers);
  const lines = groups.flatMap(({ accounts }) => accounts);
  const wanted = new Set(
    lines
      .filter(({ name, topic }) => {
        const isAsked = topic !== null && topic !== 'payouts' && asked.has(topic);
        return (!living || isAsked) !== turned.has(name);
      })
      .map(({ name }) => name),
  );
  return new Set(lines.map(({ name }) => name).filter((name) => !wanted.has(name)));
};
