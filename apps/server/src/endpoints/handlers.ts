import type { EndpointName } from '@iunctus/contract';
import type { Viewer } from '../access/viewer';
import { balancesOf } from '../balances/balances.service';
import { monthlyByValueOf, monthlyOf } from '../balances/monthly.service';
import { postedWordsOf } from '../balances/posted-words.service';
import {
  addClient,
  changeClient,
  changeNature,
  clientOf,
  listClients,
  putAway,
} from '../clients/clients.service';
import { postOpeningOf } from '../openings/openings.service';
import { overviewOf } from '../overviews/overview.service';
import { idIn, numberIn } from '../problems/read-request';
import { problem } from '../problems/problem';
import { dropOpenItems, keepOpenItems, openItemsOf } from '../ledger/open-items.service';
import { dropFindingNote, findingNotesOf, noteFinding } from '../findings/findings.service';
import { keepClientRules, keepPracticeRules, rulesOfClient } from '../findings/rule-wishes.service';
import { figuresOf } from '../fronts/figures.service';
import { tidyCheckOf } from '../fronts/tidy-check.service';
import { findAccounts } from '../fronts/found-accounts.service';
import { findIndustries } from '../industries/industries.service';
import {
  keepChartOf,
  keptVersion,
  listKeptCharts,
  originOf,
  removeKeptChart,
  renameKeptChart,
  setOrigin,
} from '../kept-charts/kept-charts.service';
import { forgetKind, kindLessons, learnKind } from '../kind-lessons/kind-lessons.service';
import { keepKnownList, knownLists } from '../known-lists/known-lists.service';
import { draftsOf, dropDraft, keepDraft } from '../ledger/drafts.service';
import { entryOf, journalOf, knownEntries } from '../ledger/journal.service';
import { journalMemoryOf, keepJournalMemory } from '../ledger/journal-memory.service';
import { lockBooks, locksOf } from '../ledger/locks.service';
import { postEntry, postList, reverseEntry } from '../ledger/posting.service';
import { registerOf } from '../ledger/register.service';
import { dropStanding, keepStanding, skipStanding, standingsOf } from '../ledger/standing.service';
import { bankFeedOf, marketFeedOf } from '../routes/feeds.service';
import { dropLayout, keepLayout, layoutsOfClient } from '../layouts/layouts.service';
import {
  dropRoute,
  keepRoute,
  linesSetAside,
  routesOfClient,
  setLineAside,
} from '../routes/routes.service';
import {
  changeStanding,
  endSessions,
  invite,
  letGo,
  resetPassword,
  staffOf,
} from '../people/people.service';
import { saveProposal } from '../proposals/proposals.service';
import {
  handOverTo,
  judgeProposal,
  people,
  remarkOn,
  reviewOf,
  takeBackFromReview,
} from '../reviews/reviews.service';
import { adopt } from '../adopting/adopt';
import { chartAt, listRevisions, restoreOf, undoOf } from '../revisions/revisions.service';
import { quoteOf } from '../simulated/quotes';
import { receiveReturn } from '../simulated/tax-software';
import { lookAtSplits, postingsOf } from '../splits/splits.service';
import type { Handlers } from './call';
import { beginChart, benchOf } from '../benches/benches.service';

interface Asked {
  readonly viewer: Viewer;
  readonly params: Readonly<Record<string, string | undefined>>;
}

const clientIn = ({ params }: Asked): string => idIn(params, 'clientId');
const personIn = ({ params }: Asked): string => idIn(params, 'personId');
const keptIn = ({ params }: Asked): string => idIn(params, 'keptChartId');
const revisionIn = (asked: Asked) => ({
  clientId: clientIn(asked),
  revision: numberIn(asked.params, 'number'),
});
const reviewIn = (asked: Asked) => ({
  clientId: clientIn(asked),
  authorId: idIn(asked.params, 'authorId'),
});
const draftIn = (asked: Asked) => ({
  clientId: clientIn(asked),
  draftId: idIn(asked.params, 'draftId'),
});
const standingIn = (asked: Asked) => ({
  clientId: clientIn(asked),
  standingId: idIn(asked.params, 'standingId'),
});
const layoutIn = (asked: Asked) => ({
  clientId: clientIn(asked),
  layoutId: idIn(asked.params, 'layoutId'),
});
const listedIn = (asked: Asked) => ({
  clientId: clientIn(asked),
  accountId: idIn(asked.params, 'accountId'),
});
const routeIn = (asked: Asked) => ({
  clientId: clientIn(asked),
  itemId: idIn(asked.params, 'itemId'),
});
const lineIn = (asked: Asked) => ({
  clientId: clientIn(asked),
  lineId: idIn(asked.params, 'lineId'),
});
const atFeed = (asked: Asked) => ({
  clientId: clientIn(asked),
  today: today(),
  chance: Math.random(),
});
const booksIn = (asked: Asked) => ({
  viewer: asked.viewer,
  clientId: clientIn(asked),
  today: today(),
});
const today = (): string => new Date().toISOString().slice(0, 10);

/** How each endpoint is answered: a line each, from what is asked to the service that knows. */
export const HANDLERS: Handlers = {
  staff: ({ pool }, { viewer }) => staffOf(pool, viewer),
  invite: ({ pool }, { viewer, body }) => invite(pool, viewer, body),
  changeStanding: ({ pool }, call) =>
    changeStanding(pool, call.viewer, { personId: personIn(call), request: call.body }),
  resetPassword: ({ pool }, call) => resetPassword(pool, call.viewer, personIn(call)),
  endSessions: ({ pool }, call) => endSessions(pool, call.viewer, personIn(call)),
  removePerson: ({ pool }, call) => letGo(pool, call.viewer, personIn(call)),
  people: ({ pool }, { viewer }) => people(pool, viewer),

  clients: ({ pool }, { viewer }) => listClients(pool, viewer),
  addClient: ({ pool }, { viewer, body }) => addClient(pool, viewer, body),
  client: ({ pool }, call) => clientOf(pool, call.viewer, clientIn(call)),
  figures: ({ pool }, call) => figuresOf(pool, call.viewer, clientIn(call)),
  findAccounts: ({ pool }, { viewer, query }) => findAccounts(pool, viewer, query),
  overview: ({ pool }, call) => overviewOf(pool, call.viewer, clientIn(call)),
  changeClient: ({ pool }, call) =>
    changeClient(pool, call.viewer, { clientId: clientIn(call), request: call.body }),
  putClientAway: ({ pool }, call) =>
    putAway(pool, call.viewer, { clientId: clientIn(call), away: true }),
  bringClientBack: ({ pool }, call) =>
    putAway(pool, call.viewer, { clientId: clientIn(call), away: false }),
  changeNature: ({ pool }, call) =>
    changeNature(pool, call.viewer, { clientId: clientIn(call), nature: call.body }),

  beginChart: ({ pool }, call) => beginChart(pool, call.viewer, clientIn(call)),
  bench: ({ pool }, call) => benchOf(pool, call.viewer, clientIn(call)),
  monthly: ({ pool }, call) =>
    monthlyOf(pool, call.viewer, { clientId: clientIn(call), today: today() }),
  monthlyByValue: ({ pool }, call) =>
    monthlyByValueOf(pool, call.viewer, {
      clientId: clientIn(call),
      today: today(),
      dimensionId: call.query.dimension,
    }),
  balances: ({ pool }, call) =>
    balancesOf(pool, call.viewer, { clientId: clientIn(call), ...call.query }),
  postings: ({ pool }, call) =>
    postingsOf(pool, call.viewer, { clientId: clientIn(call), request: call.body }),
  splits: ({ pool }, call) =>
    lookAtSplits(pool, call.viewer, { clientId: clientIn(call), request: call.body }),
  journal: ({ pool }, call) =>
    journalOf(pool, call.viewer, { clientId: clientIn(call), request: call.body }),
  entry: ({ pool }, call) =>
    entryOf(pool, call.viewer, { clientId: clientIn(call), entryId: idIn(call.params, 'entryId') }),
  postEntry: ({ pool }, call) => postEntry(pool, { ...booksIn(call), request: call.body }),
  reverseEntry: ({ pool }, call) =>
    reverseEntry(pool, {
      ...booksIn(call),
      entryId: idIn(call.params, 'entryId'),
      request: call.body,
    }),
  knownEntries: ({ pool }, call) =>
    knownEntries(pool, call.viewer, { clientId: clientIn(call), ids: call.body.ids }),
  postList: ({ pool }, call) => postList(pool, { ...booksIn(call), request: call.body }),
  journalMemory: ({ pool }, call) => journalMemoryOf(pool, call.viewer, clientIn(call)),
  keepJournalMemory: ({ pool }, call) =>
    keepJournalMemory(pool, call.viewer, { clientId: clientIn(call), memory: call.body }),
  register: ({ pool }, call) =>
    registerOf(pool, call.viewer, { clientId: clientIn(call), request: call.body }),
  drafts: ({ pool }, call) => draftsOf(pool, call.viewer, clientIn(call)),
  keepDraft: ({ pool }, call) =>
    keepDraft(pool, call.viewer, { ...draftIn(call), draft: call.body }),
  dropDraft: ({ pool }, call) => dropDraft(pool, call.viewer, draftIn(call)),
  standings: ({ pool }, call) => standingsOf(pool, call.viewer, clientIn(call)),
  keepStanding: ({ pool }, call) =>
    keepStanding(pool, call.viewer, { ...standingIn(call), request: call.body }),
  dropStanding: ({ pool }, call) => dropStanding(pool, call.viewer, standingIn(call)),
  skipStanding: ({ pool }, call) =>
    skipStanding(pool, call.viewer, { ...standingIn(call), request: call.body }),
  locks: ({ pool }, call) => locksOf(pool, call.viewer, clientIn(call)),
  lock: ({ pool }, call) => lockBooks(pool, call.viewer, { ...booksIn(call), request: call.body }),
  postOpening: ({ pool }, call) =>
    postOpeningOf(pool, call.viewer, { clientId: clientIn(call), opening: call.body }),
  postedWords: ({ pool }, call) => postedWordsOf(pool, call.viewer, clientIn(call)),
  findingNotes: ({ pool }, call) => findingNotesOf(pool, call.viewer, clientIn(call)),
  noteFinding: ({ pool }, call) =>
    noteFinding(pool, call.viewer, { clientId: clientIn(call), note: call.body }),
  dropFindingNote: ({ pool }, call) =>
    dropFindingNote(pool, call.viewer, {
      clientId: clientIn(call),
      noteId: idIn(call.params, 'noteId'),
    }),
  findingRules: ({ pool }, call) => rulesOfClient(pool, call.viewer, clientIn(call)),
  keepFindingRules: ({ pool }, call) =>
    keepClientRules(pool, call.viewer, { clientId: clientIn(call), request: call.body }),
  keepPracticeRules: ({ pool }, call) => keepPracticeRules(pool, call.viewer, call.body),
  tidyCheck: ({ pool }, call) =>
    tidyCheckOf(pool, call.viewer, { clientId: clientIn(call), today: today() }),
  openItems: ({ pool }, call) => openItemsOf(pool, call.viewer, clientIn(call)),
  keepOpenItems: ({ pool }, call) =>
    keepOpenItems(pool, call.viewer, { ...listedIn(call), request: call.body }),
  dropOpenItems: ({ pool }, call) => dropOpenItems(pool, call.viewer, listedIn(call)),
  layouts: ({ pool }, call) => layoutsOfClient(pool, call.viewer, clientIn(call)),
  keepLayout: ({ pool }, call) =>
    keepLayout(pool, call.viewer, { ...layoutIn(call), request: call.body }),
  dropLayout: ({ pool }, call) => dropLayout(pool, call.viewer, layoutIn(call)),
  routes: ({ pool }, call) => routesOfClient(pool, call.viewer, clientIn(call)),
  keepRoute: ({ pool }, call) =>
    keepRoute(pool, call.viewer, { ...routeIn(call), request: call.body }),
  dropRoute: ({ pool }, call) => dropRoute(pool, call.viewer, routeIn(call)),
  linesSetAside: ({ pool }, call) => linesSetAside(pool, call.viewer, clientIn(call)),
  setLineAside: ({ pool }, call) =>
    setLineAside(pool, call.viewer, { ...lineIn(call), aside: true }),
  bringLineBack: ({ pool }, call) =>
    setLineAside(pool, call.viewer, { ...lineIn(call), aside: false }),
  bankFeed: ({ pool }, call) =>
    bankFeedOf(pool, call.viewer, { ...atFeed(call), query: call.query }),
  marketFeed: ({ pool }, call) => marketFeedOf(pool, call.viewer, atFeed(call)),
  saveProposal: ({ pool }, call) =>
    saveProposal(pool, call.viewer, { clientId: clientIn(call), request: call.body }),

  handOver: ({ pool }, call) =>
    handOverTo(pool, call.viewer, { clientId: clientIn(call), request: call.body }),
  takeBack: ({ pool }, call) => takeBackFromReview(pool, call.viewer, clientIn(call)),
  review: ({ pool }, call) => reviewOf(pool, call.viewer, reviewIn(call)),
  remark: ({ pool }, call) =>
    remarkOn(pool, call.viewer, { ...reviewIn(call), request: call.body }),
  judge: ({ pool }, call) =>
    judgeProposal(pool, call.viewer, { ...reviewIn(call), request: call.body }),

  revisions: ({ pool }, call) => listRevisions(pool, call.viewer, clientIn(call)),
  adopt: ({ pool }, call) =>
    adopt(pool, call.viewer, { clientId: clientIn(call), request: call.body }),
  undo: ({ pool }, call) => undoOf(pool, call.viewer, revisionIn(call)),
  revisionChart: ({ pool }, call) => chartAt(pool, call.viewer, revisionIn(call)),
  restore: ({ pool }, call) => restoreOf(pool, call.viewer, revisionIn(call)),

  // The libraries that write files are large; a thread loads them when it writes its first.
  exportChart: async ({ pool }, call) => {
    const { EXPORT_FORMATS, exportChart } = await import('../exports/exports.service');
    const format = EXPORT_FORMATS.find((one) => one === call.params['format']);
    return exportChart(pool, call.viewer, {
      clientId: clientIn(call),
      format: format ?? problem({ code: 'notFound' }),
      query: call.query,
      today: today(),
    });
  },
  industries: (_tools, { query }) => Promise.resolve(findIndustries(query.words)),
  knownLists: ({ pool }, { viewer }) => knownLists(pool, viewer),
  keepKnownList: ({ pool }, { viewer, body }) => keepKnownList(pool, viewer, body),
  kindLessons: ({ pool }, { viewer }) => kindLessons(pool, viewer),
  learnKind: ({ pool }, { viewer, body }) => learnKind(pool, viewer, body),
  forgetKind: ({ pool }, { viewer, params }) => forgetKind(pool, viewer, idIn(params, 'lessonId')),

  keptCharts: ({ pool }, { viewer }) => listKeptCharts(pool, viewer),
  keptVersion: ({ pool }, call) =>
    keptVersion(pool, call.viewer, {
      keptChartId: keptIn(call),
      version: numberIn(call.params, 'number'),
    }),
  renameKeptChart: ({ pool }, call) =>
    renameKeptChart(pool, call.viewer, { keptChartId: keptIn(call), request: call.body }),
  removeKeptChart: ({ pool }, call) => removeKeptChart(pool, call.viewer, keptIn(call)),
  keepChart: ({ pool }, call) =>
    keepChartOf(pool, call.viewer, { clientId: clientIn(call), request: call.body }),
  origin: ({ pool }, call) => originOf(pool, call.viewer, clientIn(call)),
  setOrigin: ({ pool }, call) =>
    setOrigin(pool, call.viewer, { clientId: clientIn(call), request: call.body }),

  sendReturn: (_tools, { body }) => Promise.resolve(receiveReturn(body)),
  quote: (_tools, { params, query }) =>
    Promise.resolve(
      quoteOf((params['symbol'] ?? '').toUpperCase(), query, {
        today: today(),
        chance: Math.random(),
      }),
    ),
};

/** Whether an endpoint is answered by work on the database alone. */
export const isWork = (name: EndpointName): name is keyof Handlers => Object.hasOwn(HANDLERS, name);
