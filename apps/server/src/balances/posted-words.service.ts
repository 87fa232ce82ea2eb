import type { PostedWordsAnswer } from '@iunctus/contract';
import { addMonths } from '@iunctus/core';
import type { Viewer } from '../access/viewer';
import { inChart } from '../charts/in-chart';
import { hiddenIds, madeOfVeiled } from '../charts/veil';
import type { Veiled } from '../charts/veiled';
import { onSnapshotOf, type Source } from '../database/transaction';
import { maybeMonthsPosted } from '../postings/monthly.queries';
import { manyPostedWords } from '../postings/posted-words.queries';
import { newestSequence } from '../postings/splits.queries';

const YEAR = 12;

/** What was said of the postings of each account in the twelve months that end with the newest in the books. */
export const postedWordsOf = (
  source: Source,
  viewer: Viewer,
  clientId: string,
): Promise<Veiled<PostedWordsAnswer>> =>
  onSnapshotOf(source, (on) =>
    inChart(on, { viewer, clientId }, async ({ head, personal }) => {
      const posted = await maybeMonthsPosted(on, head);
      if (posted === undefined) return madeOfVeiled({ upTo: 0, accounts: [] });
      const within = { first: addMonths(posted.last, 1 - YEAR), last: posted.last };
      const hidden = await hiddenIds(on, head, personal);
      const accounts = await manyPostedWords(on, head, { within, hidden });
      return madeOfVeiled({
        upTo: await newestSequence(on, head),
        accounts: accounts.map(([id, said]) => ({ id, said: [...said] })),
      });
    }),
  );
