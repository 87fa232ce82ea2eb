import type { Permission } from '@iunctus/core';
import type * as v from 'valibot';
import * as access from './access';
import * as bench from './bench';
import * as client from './client';
import { ExportQuery } from './exports';
import { IndustriesAnswer, IndustriesQuery } from './industry';
import * as kept from './kept-chart';
import { KindLesson, KindLessonsAnswer } from './kind-lesson';
import { FindingNoteSchema, FindingNotesAnswer } from './finding-note';
import * as rules from './finding-rules';
import * as front from './front';
import * as layouts from './layout';
import * as ledger from './ledger';
import { KnownList, KnownListsAnswer } from './known-list';
import * as items from './open-items';
import * as review from './review';
import * as routes from './routes';
import { ReturnFileRequest, TaxSoftwareAnswer } from './tax-software';

/** One thing that can be asked of the server. */
export interface Endpoint {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  /** Below `/api`; `:name` stands for a part that varies. */
  readonly path: string;
  readonly summary: string;
  /** What one must be allowed to, or that nobody need be signed in. */
  readonly may: Permission | 'anybody';
  readonly query?: v.GenericSchema;
  readonly request?: v.GenericSchema;
  /** Most bytes that a request may have; a small one where nothing is said. */
  readonly most?: number;
  /** What is answered; `file` for something to keep, nothing where only that it was done. */
  readonly answer?: v.GenericSchema | 'file';
}

const KB = 1024;
const MB = 1024 * KB;

/** Most bytes of a request that says nothing else. */
export const USUAL_MOST = 64 * KB;

const CLIENT = '/clients/:clientId';
const KEPT = '/kept-charts/:keptChartId';
const STAFF = '/staff/:personId';
const ENTRY = `${CLIENT}/entries/:entryId`;
const DRAFT = `${CLIENT}/entry-drafts/:draftId`;
const STANDING = `${CLIENT}/standing-entries/:standingId`;
const ROUTE = `${CLIENT}/routes/:itemId`;
const LAYOUT = `${CLIENT}/layouts/:layoutId`;
const OPEN_ITEMS = `${CLIENT}/open-items/:accountId`;
const ASIDE = `${CLIENT}/lines-set-aside/:lineId`;
const REVISION = `${CLIENT}/revisions/:number`;
const REVIEW = `${CLIENT}/reviews/:authorId`;

/** Everything that can be asked of the server: the one table from which routes, limits, rights and OpenAPI come. */
export const ENDPOINTS = {
  signIn: { method: 'post', path: '/sign-in', summary: 'Sign in', may: 'anybody', request: access.SignInRequest, most: 2 * KB, answer: access.SessionAnswer },
  signOut: { method: 'post', path: '/sign-out', summary: 'Sign out', may: 'anybody', most: KB },
  session: { method: 'get', path: '/session', summary: 'Who is signed in', may: 'anybody', answer: access.WhoAnswer },
  entrance: { method: 'get', path: '/entrance', summary: 'Who may sign in to the demo practice', may: 'anybody', answer: access.EntranceAnswer },
  lookAtInvitation: { method: 'post', path: '/welcome/look', summary: 'Whom an invitation is for', may: 'anybody', request: access.InvitationRequest, most: KB, answer: access.InvitationAnswer },
  takeUpInvitation: { method: 'post', path: '/welcome', summary: 'Set a password by an invitation, and sign in', may: 'anybody', request: access.WelcomeRequest, most: 2 * KB, answer: access.SessionAnswer },
  openApi: { method: 'get', path: '/openapi.json', summary: 'This description', may: 'keepOwnAccess' },
  sessions: { method: 'get', path: '/sessions', summary: 'One’s own sign-ins that last', may: 'keepOwnAccess', answer: access.SessionsAnswer },
  endSession: { method: 'delete', path: '/sessions/:sessionId', summary: 'End one of them', may: 'keepOwnAccess' },
  changePassword: { method: 'put', path: '/password', summary: 'Set another password; other sessions end', may: 'keepOwnAccess', request: access.PasswordRequest, most: 2 * KB },
  staff: { method: 'get', path: '/staff', summary: 'Everybody, with what they may', may: 'keepPeople', answer: access.StaffAnswer },
  invite: { method: 'post', path: '/staff', summary: 'Invite somebody', may: 'keepPeople', request: access.NewPersonRequest, answer: access.InvitedAnswer },
  changeStanding: { method: 'put', path: STAFF, summary: 'Say anew what somebody may', may: 'keepPeople', request: access.StandingRequest },
  resetPassword: { method: 'post', path: `${STAFF}/reset`, summary: 'Let somebody set a password anew; their sessions end', may: 'keepPeople', answer: access.InvitedAnswer },
  endSessions: { method: 'post', path: `${STAFF}/end-sessions`, summary: 'End somebody’s sessions', may: 'keepPeople' },
  removePerson: { method: 'delete', path: STAFF, summary: 'Remove somebody; what they did stays', may: 'keepPeople' },
  people: { method: 'get', path: '/people', summary: 'Everybody of the practice', may: 'readAll', answer: review.PeopleAnswer },
  clients: { method: 'get', path: '/clients', summary: 'The clients that are open to one', may: 'lookOn', answer: client.ClientsAnswer },
  addClient: { method: 'post', path: '/clients', summary: 'Add a client', may: 'keepClients', request: client.NewClientRequest, answer: client.ClientAnswer },
  client: { method: 'get', path: CLIENT, summary: 'One client', may: 'lookOn', answer: client.ClientAnswer },
  figures: { method: 'get', path: `${CLIENT}/figures`, summary: 'What the books came to last', may: 'readAll', answer: front.FiguresAnswer },
  findAccounts: { method: 'get', path: '/accounts', summary: 'Accounts of all clients by number and name', may: 'readAll', query: front.FindAccountsQuery, answer: front.FoundAccountsAnswer },
  overview: { method: 'get', path: `${CLIENT}/overview`, summary: 'The chart as adopted, for somebody who looks on', may: 'lookOn', answer: bench.OverviewAnswer },
  changeClient: { method: 'put', path: CLIENT, summary: 'Say anew what a client is called and is', may: 'keepClients', request: client.ClientChange, answer: client.ClientAnswer },
  putClientAway: { method: 'post', path: `${CLIENT}/put-away`, summary: 'Put a client away; it keeps everything', may: 'keepClients', answer: client.ClientAnswer },
  bringClientBack: { method: 'post', path: `${CLIENT}/bring-back`, summary: 'Bring a client back that was put away', may: 'keepClients', answer: client.ClientAnswer },
  changeNature: { method: 'put', path: `${CLIENT}/nature`, summary: 'Say anew what a client is: legal form, trade, country', may: 'keepClients', request: client.ClientNature, answer: client.ClientAnswer },
  beginChart: { method: 'post', path: `${CLIENT}/chart`, summary: 'Begin an empty chart', may: 'change' },
  bench: { method: 'get', path: `${CLIENT}/bench`, summary: 'Chart and proposal', may: 'readAll', answer: bench.BenchAnswer },
  balances: { method: 'get', path: `${CLIENT}/balances`, summary: 'Amounts by account', may: 'lookOn', query: bench.BalancesQuery, answer: bench.BalancesAnswer },
  monthly: { method: 'get', path: `${CLIENT}/monthly`, summary: 'Amounts by account and month', may: 'lookOn', answer: bench.MonthlyAnswer },
  monthlyByValue: { method: 'get', path: `${CLIENT}/monthly-by-value`, summary: 'Amounts by account and month for each value of a dimension', may: 'readAll', query: bench.MonthlyByValueQuery, answer: bench.MonthlyByValueAnswer },
  postings: { method: 'post', path: `${CLIENT}/postings`, summary: 'What the postings of accounts can be chosen by', may: 'readAll', request: bench.PostingsRequest, answer: bench.PostingsAnswer },
  splits: { method: 'post', path: `${CLIENT}/splits`, summary: 'What splits would move', may: 'readAll', request: bench.SplitsRequest, most: MB, answer: bench.SplitsAnswer },
  journal: { method: 'post', path: `${CLIENT}/journal`, summary: 'Posted entries, newest first', may: 'readAll', request: ledger.JournalRequest, answer: ledger.JournalAnswer },
  entry: { method: 'get', path: ENTRY, summary: 'One entry', may: 'readAll', answer: ledger.EntryAnswer },
  postEntry: { method: 'post', path: `${CLIENT}/entries`, summary: 'Post an entry', may: 'post', request: ledger.PostEntryRequest, most: 512 * KB, answer: ledger.PostedAnswer },
  reverseEntry: { method: 'post', path: `${ENTRY}/reversal`, summary: 'Take an entry back by its opposite', may: 'post', request: ledger.ReverseRequest, answer: ledger.PostedAnswer },
  knownEntries: { method: 'post', path: `${CLIENT}/known-entries`, summary: 'Which entries of a list are in the books already', may: 'readAll', request: ledger.KnownEntriesRequest, most: MB, answer: ledger.KnownEntriesAnswer },
  postList: { method: 'post', path: `${CLIENT}/entry-lists`, summary: 'Post the entries of a list', may: 'post', request: ledger.PostListRequest, most: 16 * MB, answer: ledger.PostListAnswer },
  journalMemory: { method: 'get', path: `${CLIENT}/journal-memory`, summary: 'What columns and names mean in lists of entries', may: 'post', answer: ledger.JournalMemory },
  keepJournalMemory: { method: 'put', path: `${CLIENT}/journal-memory`, summary: 'Keep what columns and names mean in a list of entries', may: 'post', request: ledger.JournalMemory, most: MB },
  register: { method: 'post', path: `${CLIENT}/register`, summary: 'The lines of accounts, newest first', may: 'readAll', request: ledger.RegisterRequest, most: 2 * MB, answer: ledger.RegisterAnswer },
  drafts: { method: 'get', path: `${CLIENT}/entry-drafts`, summary: 'Entries that one is typing', may: 'post', answer: ledger.DraftsAnswer },
  keepDraft: { method: 'put', path: DRAFT, summary: 'Keep an entry that one is typing', may: 'post', request: ledger.DraftRequest, most: 512 * KB, answer: ledger.DraftKept },
  dropDraft: { method: 'delete', path: DRAFT, summary: 'Drop an entry that one was typing', may: 'post' },
  standings: { method: 'get', path: `${CLIENT}/standing-entries`, summary: 'Entries that come again and again', may: 'readAll', answer: ledger.StandingEntriesAnswer },
  keepStanding: { method: 'put', path: STANDING, summary: 'Keep one of them', may: 'post', request: ledger.StandingEntryRequest, most: 512 * KB },
  dropStanding: { method: 'delete', path: STANDING, summary: 'End one of them; what it posted stays', may: 'post' },
  skipStanding: { method: 'post', path: `${STANDING}/days`, summary: 'Skip one of its days, or offer it again', may: 'post', request: ledger.SkipRequest, most: KB },
  locks: { method: 'get', path: `${CLIENT}/locks`, summary: 'Through which day the books are locked, and by whom', may: 'readAll', answer: ledger.LocksAnswer },
  lock: { method: 'post', path: `${CLIENT}/locks`, summary: 'Lock the books through a day, or open them again', may: 'lockBooks', request: ledger.LockRequest, answer: ledger.LocksAnswer },
  postOpening: { method: 'post', path: `${CLIENT}/openings`, summary: 'Bring accounts to their opening balances', may: 'post', request: ledger.PostOpeningRequest, most: 8 * MB, answer: ledger.OpeningPosted },
  postedWords: { method: 'get', path: `${CLIENT}/posted-words`, summary: 'What was said of the postings of each account', may: 'readAll', answer: bench.PostedWordsAnswer },
  findingNotes: { method: 'get', path: `${CLIENT}/finding-notes`, summary: 'Findings that were put off or set aside', may: 'readAll', answer: FindingNotesAnswer },
  noteFinding: { method: 'put', path: `${CLIENT}/finding-notes`, summary: 'Put a finding off, or set it aside', may: 'change', request: FindingNoteSchema, most: 4 * KB },
  dropFindingNote: { method: 'delete', path: `${CLIENT}/finding-notes/:noteId`, summary: 'Bring a finding back', may: 'change' },
  findingRules: { method: 'get', path: `${CLIENT}/finding-rules`, summary: 'What the practice and the client want of the rules of Tidy', may: 'readAll', answer: rules.FindingRulesAnswer },
  keepFindingRules: { method: 'put', path: `${CLIENT}/finding-rules`, summary: 'Keep what the client wants of them', may: 'change', request: rules.FindingRulesRequest, answer: rules.FindingRulesKept },
  keepPracticeRules: { method: 'put', path: '/finding-rules', summary: 'Keep what the practice wants of them, for all its clients', may: 'change', request: rules.FindingRulesRequest, answer: rules.FindingRulesKept },
  tidyCheck: { method: 'get', path: `${CLIENT}/tidy-check`, summary: 'How tidy the chart is, with the books through their newest month', may: 'readAll', answer: front.TidyCheckAnswer },
  openItems: { method: 'get', path: `${CLIENT}/open-items`, summary: 'What stands open in accounts by customer or supplier, as lists said', may: 'readAll', answer: items.OpenItemsAnswer },
  keepOpenItems: { method: 'put', path: OPEN_ITEMS, summary: 'Keep what stood open in an account at the end of a month', may: 'post', request: items.OpenItemsRequest, most: 2 * MB, answer: items.OpenItemsKept },
  dropOpenItems: { method: 'delete', path: OPEN_ITEMS, summary: 'Drop the list of an account', may: 'post' },
  layouts: { method: 'get', path: `${CLIENT}/layouts`, summary: 'Statements as the client wants them', may: 'readAll', answer: layouts.LayoutsAnswer },
  keepLayout: { method: 'put', path: LAYOUT, summary: 'Keep one of them', may: 'change', request: layouts.LayoutRequest, most: 256 * KB, answer: layouts.LayoutKept },
  dropLayout: { method: 'delete', path: LAYOUT, summary: 'Drop one of them', may: 'change' },
  routes: { method: 'get', path: `${CLIENT}/routes`, summary: 'Default accounts, word rules, sales tax, proofs', may: 'readAll', answer: routes.RoutesAnswer },
  keepRoute: { method: 'put', path: ROUTE, summary: 'Keep one piece of the routes', may: 'change', request: routes.RouteRequest, most: 8 * KB, answer: routes.RouteKept },
  dropRoute: { method: 'delete', path: ROUTE, summary: 'Drop one piece of the routes', may: 'change' },
  linesSetAside: { method: 'get', path: `${CLIENT}/lines-set-aside`, summary: 'Bank lines that are not to be posted', may: 'readAll', answer: routes.LinesSetAside },
  setLineAside: { method: 'put', path: ASIDE, summary: 'Set a bank line aside', may: 'post', most: KB },
  bringLineBack: { method: 'delete', path: ASIDE, summary: 'Bring a bank line back that was set aside', may: 'post' },
  bankFeed: { method: 'get', path: `${CLIENT}/simulated/bank-lines`, summary: 'The simulated bank: the lines of an account', may: 'readAll', query: routes.BankFeedQuery, answer: routes.BankFeedAnswer },
  marketFeed: { method: 'get', path: `${CLIENT}/simulated/market-lines`, summary: 'The simulated marketplace: sales, refunds, fees, reserve and payouts', may: 'readAll', answer: routes.MarketFeedAnswer },
  saveProposal: { method: 'put', path: `${CLIENT}/proposal`, summary: 'Keep the proposal', may: 'change', request: bench.SaveProposalRequest, most: 24 * MB, answer: bench.SaveProposalAnswer },
  handOver: { method: 'post', path: `${CLIENT}/proposal/hand-over`, summary: 'Hand the proposal to a colleague', may: 'change', request: review.HandOverRequest },
  takeBack: { method: 'post', path: `${CLIENT}/proposal/take-back`, summary: 'Take the proposal back from a colleague', may: 'change' },
  review: { method: 'get', path: REVIEW, summary: 'A colleague’s proposal', may: 'readAll', answer: bench.ReviewAnswer },
  remark: { method: 'post', path: `${REVIEW}/remarks`, summary: 'Remark on an operation', may: 'review', request: review.RemarkRequest, answer: review.Remark },
  judge: { method: 'post', path: `${REVIEW}/verdict`, summary: 'Approve a proposal or send it back', may: 'review', request: review.VerdictRequest },
  revisions: { method: 'get', path: `${CLIENT}/revisions`, summary: 'All revisions', may: 'readAll', answer: bench.RevisionsAnswer },
  adopt: { method: 'post', path: `${CLIENT}/revisions`, summary: 'Adopt the proposal', may: 'change', request: bench.AdoptRequest, answer: bench.AdoptAnswer },
  undo: { method: 'get', path: `${REVISION}/undo`, summary: 'What takes a revision back', may: 'readAll', answer: bench.UndoAnswer },
  revisionChart: { method: 'get', path: `${REVISION}/chart`, summary: 'The chart as it was', may: 'readAll', answer: bench.RevisionChartAnswer },
  restore: { method: 'get', path: `${REVISION}/restore`, summary: 'What brings the chart back to a revision', may: 'readAll', answer: bench.UndoAnswer },
  exportChart: { method: 'get', path: `${CLIENT}/exports/:format`, summary: 'The chart as a file: csv, xlsx, json, pdf, journal, journal-closed, audit-file, audit-accounts, audit-balances, return, return-file, statement-pdf, statement-xlsx, statement-csv, packet-pdf or packet-xlsx', may: 'readAll', query: ExportQuery, answer: 'file' },
  industries: { method: 'get', path: '/industries', summary: 'Industries by plain words or NAICS code', may: 'readAll', query: IndustriesQuery, answer: IndustriesAnswer },
  knownLists: { method: 'get', path: '/known-lists', summary: 'What columns and types of lists from elsewhere mean', may: 'change', answer: KnownListsAnswer },
  keepKnownList: { method: 'put', path: '/known-lists', summary: 'Keep what a list’s columns and types mean', may: 'change', request: KnownList, most: 512 * KB },
  kindLessons: { method: 'get', path: '/kind-lessons', summary: 'What the practice was taught of kinds', may: 'change', answer: KindLessonsAnswer },
  learnKind: { method: 'put', path: '/kind-lessons', summary: 'Keep what an account of a name is', may: 'change', request: KindLesson, most: 2 * KB },
  forgetKind: { method: 'delete', path: '/kind-lessons/:lessonId', summary: 'Take one lesson back', may: 'change' },
  keptCharts: { method: 'get', path: '/kept-charts', summary: 'The practice’s own starting charts', may: 'readAll', answer: kept.KeptChartsAnswer },
  keptVersion: { method: 'get', path: `${KEPT}/versions/:number`, summary: 'One version of one of them', may: 'readAll', answer: kept.KeptChartSchema },
  renameKeptChart: { method: 'put', path: KEPT, summary: 'Give one of them another name', may: 'keepCharts', request: kept.RenameKeptChartRequest },
  removeKeptChart: { method: 'delete', path: KEPT, summary: 'Remove one of them; clients keep their charts', may: 'keepCharts' },
  keepChart: { method: 'post', path: `${CLIENT}/kept-chart`, summary: 'Keep the chart as one of the practice’s own', may: 'keepCharts', request: kept.KeepChartRequest, answer: kept.KeepChartAnswer },
  origin: { method: 'get', path: `${CLIENT}/origin`, summary: 'From which of them the client began', may: 'readAll', answer: kept.OriginAnswer },
  setOrigin: { method: 'put', path: `${CLIENT}/origin`, summary: 'Note from which of them the client began', may: 'change', request: kept.OriginRequest, most: 6 * MB },
  backUpPractice: { method: 'get', path: '/backup', summary: 'Everything of the practice in one file', may: 'backUp', query: access.BackupQuery, answer: 'file' },
  backUpClient: { method: 'get', path: `${CLIENT}/backup`, summary: 'Everything of one client in one file', may: 'backUp', answer: 'file' },
  sendReturn: { method: 'post', path: '/simulated/tax-software', summary: 'The simulated tax software takes a return', may: 'readAll', request: ReturnFileRequest, most: 2 * MB, answer: TaxSoftwareAnswer },
  quote: { method: 'get', path: '/simulated/quotes/:symbol', summary: 'The simulated source of quotes: what a unit was worth on a day', may: 'readAll', query: ledger.QuoteQuery, answer: ledger.QuoteAnswer },
} as const satisfies Readonly<Record<string, Endpoint>>; // prettier-ignore

export type EndpointName = keyof typeof ENDPOINTS;
