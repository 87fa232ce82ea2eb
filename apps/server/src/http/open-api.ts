import {
  AdoptAnswer,
  AdoptRequest,
  BalancesAnswer,
  BenchAnswer,
  ClientAnswer,
  ClientNature,
  ClientsAnswer,
  HandOverRequest,
  IndustriesAnswer,
  NewClientRequest,
  PeopleAnswer,
  PostingsAnswer,
  PostingsRequest,
  Problem,
  Remark,
  RemarkRequest,
  KeepChartAnswer,
  KeepChartRequest,
  KeptChartSchema,
  KeptChartsAnswer,
  KnownList,
  KnownListsAnswer,
  OriginAnswer,
  OriginRequest,
  RenameKeptChartRequest,
  ReturnFileRequest,
  TaxSoftwareAnswer,
  ReviewAnswer,
  RevisionChartAnswer,
  RevisionsAnswer,
  SaveProposalAnswer,
  SaveProposalRequest,
  SessionAnswer,
  SignInRequest,
  SplitsAnswer,
  SplitsRequest,
  WhoAnswer,
  UndoAnswer,
  VerdictRequest,
} from '@iunctus/contract';
import { toJsonSchema } from '@valibot/to-json-schema';
import type * as v from 'valibot';

interface Route {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  readonly path: string;
  readonly summary: string;
  readonly request?: v.GenericSchema;
  readonly answer?: v.GenericSchema;
  readonly query?: readonly string[];
}

const CLIENT = '/api/clients/{clientId}';

const ROUTES: readonly Route[] = [
  { method: 'post', path: '/api/sign-in', summary: 'Sign in', request: SignInRequest, answer: SessionAnswer },
  { method: 'post', path: '/api/sign-out', summary: 'Sign out' },
  { method: 'get', path: '/api/session', summary: 'Who is signed in', answer: WhoAnswer },
  { method: 'get', path: '/api/clients', summary: 'All clients of the practice', answer: ClientsAnswer },
  { method: 'post', path: '/api/clients', summary: 'Add a client', request: NewClientRequest, answer: ClientAnswer },
  { method: 'get', path: CLIENT, summary: 'One client', answer: ClientAnswer },
  { method: 'put', path: `${CLIENT}/nature`, summary: 'Say anew what a client is: legal form, trade, country', request: ClientNature, answer: ClientAnswer },
  { method: 'post', path: `${CLIENT}/chart`, summary: 'Begin an empty chart' },
  { method: 'get', path: `${CLIENT}/bench`, summary: 'Chart and proposal', answer: BenchAnswer },
  { method: 'get', path: `${CLIENT}/balances`, summary: 'Amounts by account', query: ['first', 'last'], answer: BalancesAnswer },
  { method: 'post', path: `${CLIENT}/postings`, summary: 'What the postings of accounts can be chosen by', request: PostingsRequest, answer: PostingsAnswer },
  { method: 'post', path: `${CLIENT}/splits`, summary: 'What splits would move', request: SplitsRequest, answer: SplitsAnswer },
  { method: 'put', path: `${CLIENT}/proposal`, summary: 'Keep the proposal', request: SaveProposalRequest, answer: SaveProposalAnswer },
  { method: 'get', path: '/api/industries', summary: 'Industries by plain words or NAICS code', query: ['words'], answer: IndustriesAnswer },
  { method: 'get', path: '/api/people', summary: 'Everybody of the practice', answer: PeopleAnswer },
  { method: 'post', path: `${CLIENT}/proposal/hand-over`, summary: 'Hand the proposal to a colleague', request: HandOverRequest },
  { method: 'post', path: `${CLIENT}/proposal/take-back`, summary: 'Take the proposal back from a colleague' },
  { method: 'get', path: `${CLIENT}/reviews/{author}`, summary: 'A colleague’s proposal', answer: ReviewAnswer },
  { method: 'post', path: `${CLIENT}/reviews/{author}/remarks`, summary: 'Remark on an operation', request: RemarkRequest, answer: Remark },
  { method: 'post', path: `${CLIENT}/reviews/{author}/verdict`, summary: 'Approve a proposal or send it back', request: VerdictRequest },
  { method: 'get', path: `${CLIENT}/exports/{format}`, summary: 'The chart as a file: csv, xlsx, json, pdf, audit-file, audit-accounts, audit-balances, return or return-file', query: ['first', 'last', 'by', 'guidance'] },
  { method: 'get', path: '/api/known-lists', summary: 'What columns and types of lists from elsewhere mean', answer: KnownListsAnswer },
  { method: 'put', path: '/api/known-lists', summary: 'Keep what a list’s columns and types mean', request: KnownList },
  { method: 'get', path: '/api/kept-charts', summary: 'The practice’s own starting charts', answer: KeptChartsAnswer },
  { method: 'get', path: '/api/kept-charts/{id}/versions/{number}', summary: 'One version of one of them', answer: KeptChartSchema },
  { method: 'put', path: '/api/kept-charts/{id}', summary: 'Give one of them another name', request: RenameKeptChartRequest },
  { method: 'delete', path: '/api/kept-charts/{id}', summary: 'Remove one of them; clients keep their charts' },
  { method: 'post', path: `${CLIENT}/kept-chart`, summary: 'Keep the chart as one of the practice’s own', request: KeepChartRequest, answer: KeepChartAnswer },
  { method: 'get', path: `${CLIENT}/origin`, summary: 'From which of them the client began', answer: OriginAnswer },
  { method: 'put', path: `${CLIENT}/origin`, summary: 'Note from which of them the client began', request: OriginRequest },
  { method: 'get', path: '/api/backup', summary: 'Everything of the practice in one file' },
  { method: 'get', path: `${CLIENT}/backup`, summary: 'Everything of one client in one file' },
  { method: 'post', path: '/api/simulated/tax-software', summary: 'The simulated tax software takes a return', request: ReturnFileRequest, answer: TaxSoftwareAnswer },
  { method: 'get', path: `${CLIENT}/revisions`, summary: 'All revisions', answer: RevisionsAnswer },
  { method: 'post', path: `${CLIENT}/revisions`, summary: 'Adopt a proposal', request: AdoptRequest, answer: AdoptAnswer },
  { method: 'get', path: `${CLIENT}/revisions/{number}/undo`, summary: 'What takes a revision back', answer: UndoAnswer },
  { method: 'get', path: `${CLIENT}/revisions/{number}/chart`, summary: 'The chart as it was', answer: RevisionChartAnswer },
  { method: 'get', path: `${CLIENT}/revisions/{number}/restore`, summary: 'What brings the chart back to a revision', answer: UndoAnswer },
]; // prettier-ignore

const content = (schema: v.GenericSchema | undefined): object =>
  schema === undefined
    ? {}
    : {
        content: {
          'application/json': { schema: toJsonSchema(schema, { errorMode: 'ignore' }) },
        },
      };

const parametersOf = ({ path, query = [] }: Route): readonly object[] => {
  const schema = { type: 'string' };
  const inPath = [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({ name, in: 'path' }));
  const inQuery = query.map((name) => ({ name, in: 'query' }));
  return [...inPath, ...inQuery].map((parameter) => ({ ...parameter, required: true, schema }));
};

const operationOf = (route: Route): object => ({
  summary: route.summary,
  parameters: parametersOf(route),
  ...(route.request === undefined ? {} : { requestBody: content(route.request) }),
  responses: {
    200: { description: 'Done', ...content(route.answer) },
    default: { description: 'A problem', ...content(Problem) },
  },
});

/** The OpenAPI description of this server, made from the contract's schemas. */
export const openApi = (): object => {
  const paths: Record<string, Record<string, object>> = {};
  for (const route of ROUTES)
    paths[route.path] = { ...paths[route.path], [route.method]: operationOf(route) };
  return { openapi: '3.1.0', info: { title: 'Iunctus', version: '0.1.0' }, paths };
};
