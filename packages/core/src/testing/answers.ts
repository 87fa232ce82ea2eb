import { TOPICS } from '../countries/starting-account';
import type { StartingAnswers } from '../starting/questions';

/** Yes to everything that a client may be asked, or no. */
export const answersAll = (yes: boolean): StartingAnswers => ({
  has: Object.fromEntries(TOPICS.map((topic) => [topic, yes])) as StartingAnswers['has'],
  payouts: yes ? 'monthly' : 'none',
  channels: { names: [], apart: 'accounts' },
});
