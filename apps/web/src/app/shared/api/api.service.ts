import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import {
  AdoptAnswer,
  type AdoptRequest,
  BalancesAnswer,
  BenchAnswer,
  ClientAnswer,
  type ClientNature,
  ClientsAnswer,
  type HandOverRequest,
  IndustriesAnswer,
  type NewClientRequest,
  PeopleAnswer,
  PostingsAnswer,
  Remark,
  type RemarkRequest,
  ReviewAnswer,
  RevisionChartAnswer,
  RevisionsAnswer,
  SaveProposalAnswer,
  type SaveProposalRequest,
  SessionAnswer,
  type SignInRequest,
  SplitsAnswer,
  type SplitsRequest,
  KeepChartAnswer,
  type KeepChartRequest,
  KeptChartSchema,
  KeptChartsAnswer,
  type KnownList,
  KnownListsAnswer,
  OriginAnswer,
  type OriginRequest,
  type RenameKeptChartRequest,
  TaxSoftwareAnswer,
  UndoAnswer,
  type VerdictRequest,
  WhoAnswer,
  InvitationAnswer,
  InvitedAnswer,
  type NewPersonRequest,
  OverviewAnswer,
  type PasswordRequest,
  SessionsAnswer,
  StaffAnswer,
  type StandingRequest,
  type WelcomeRequest,
} from '@iunctus/contract';
import type { KeptChart, Period } from '@iunctus/core';
import { map, switchMap, type Observable } from 'rxjs';
import * as v from 'valibot';

const read =
  <T>(schema: v.GenericSchema<unknown, T>) =>
  (source: Observable<unknown>): Observable<T> =>
    source.pipe(map((data) => v.parse(schema, data)));

const ofClient = (clientId: string, path = ''): string =>
  `/api/clients/${encodeURIComponent(clientId)}${path}`;

/** The server, request by request; every answer is checked by the contract. */
@Injectable({ providedIn: 'root' })
export class ApiService {
  private readonly http = inject(HttpClient);

  session(): Observable<WhoAnswer> {
    return this.http.get('/api/session').pipe(read(WhoAnswer));
  }

  signIn(request: SignInRequest): Observable<SessionAnswer> {
    return this.http.post('/api/sign-in', request).pipe(read(SessionAnswer));
  }

  signOut(): Observable<unknown> {
    return this.http.post('/api/sign-out', {});
  }

  /** Whom an invitation is for. */
  invitation(token: string): Observable<InvitationAnswer> {
    return this.http.post('/api/welcome/look', { token }).pipe(read(InvitationAnswer));
  }

  takeUpInvitation(request: WelcomeRequest): Observable<SessionAnswer> {
    return this.http.post('/api/welcome', request).pipe(read(SessionAnswer));
  }

  sessions(): Observable<SessionsAnswer> {
    return this.http.get('/api/sessions').pipe(read(SessionsAnswer));
  }

  endSession(id: string): Observable<unknown> {
    return this.http.delete(`/api/sessions/${id}`);
  }

  changePassword(request: PasswordRequest): Observable<unknown> {
    return this.http.put('/api/password', request);
  }

  staff(): Observable<StaffAnswer> {
    return this.http.get('/api/staff').pipe(read(StaffAnswer));
  }

  invite(request: NewPersonRequest): Observable<InvitedAnswer> {
    return this.http.post('/api/staff', request).pipe(read(InvitedAnswer));
  }

  changeStanding(id: string, request: StandingRequest): Observable<unknown> {
    return this.http.put(`/api/staff/${id}`, request);
  }

  resetPassword(id: string): Observable<InvitedAnswer> {
    return this.http.post(`/api/staff/${id}/reset`, {}).pipe(read(InvitedAnswer));
  }

  endSessions(id: string): Observable<unknown> {
    return this.http.post(`/api/staff/${id}/end-sessions`, {});
  }

  removePerson(id: string): Observable<unknown> {
    return this.http.delete(`/api/staff/${id}`);
  }

  clients(): Observable<ClientsAnswer> {
    return this.http.get('/api/clients').pipe(read(ClientsAnswer));
  }

  client(clientId: string): Observable<ClientAnswer> {
    return this.http.get(ofClient(clientId)).pipe(read(ClientAnswer));
  }

  /** A client's chart for somebody who looks on. */
  overview(clientId: string): Observable<OverviewAnswer> {
    return this.http.get(ofClient(clientId, '/overview')).pipe(read(OverviewAnswer));
  }

  changeNature(clientId: string, nature: ClientNature): Observable<ClientAnswer> {
    return this.http.put(ofClient(clientId, '/nature'), nature).pipe(read(ClientAnswer));
  }

  addClient(request: NewClientRequest): Observable<ClientAnswer> {
    return this.http.post('/api/clients', request).pipe(read(ClientAnswer));
  }

  beginChart(clientId: string): Observable<unknown> {
    return this.http.post(ofClient(clientId, '/chart'), {});
  }

  bench(clientId: string): Observable<BenchAnswer> {
    return this.http.get(ofClient(clientId, '/bench')).pipe(read(BenchAnswer));
  }

  balances(clientId: string, { first, last }: Period): Observable<BalancesAnswer> {
    return this.http
      .get(ofClient(clientId, '/balances'), { params: { first, last } })
      .pipe(read(BalancesAnswer));
  }

  /** What the postings of accounts can be chosen by. */
  postings(clientId: string, accounts: readonly string[]): Observable<PostingsAnswer> {
    return this.http.post(ofClient(clientId, '/postings'), { accounts }).pipe(read(PostingsAnswer));
  }

  /** What splits would move, each after the ones before it. */
  splits(clientId: string, request: SplitsRequest): Observable<SplitsAnswer> {
    return this.http.post(ofClient(clientId, '/splits'), request).pipe(read(SplitsAnswer));
  }

  saveProposal(clientId: string, request: SaveProposalRequest): Observable<{ version: number }> {
    return this.http.put(ofClient(clientId, '/proposal'), request).pipe(read(SaveProposalAnswer));
  }

  /** Industries by plain words or NAICS code, with the trade that suits each. */
  industries(words: string): Observable<IndustriesAnswer> {
    return this.http.get('/api/industries', { params: { words } }).pipe(read(IndustriesAnswer));
  }

  keptCharts(): Observable<KeptChartsAnswer> {
    return this.http.get('/api/kept-charts').pipe(read(KeptChartsAnswer));
  }

  knownLists(): Observable<KnownListsAnswer> {
    return this.http.get('/api/known-lists').pipe(read(KnownListsAnswer));
  }

  keepKnownList(list: KnownList): Observable<unknown> {
    return this.http.put('/api/known-lists', list);
  }

  renameKeptChart(id: string, request: RenameKeptChartRequest): Observable<unknown> {
    return this.http.put(`/api/kept-charts/${id}`, request);
  }

  removeKeptChart(id: string): Observable<unknown> {
    return this.http.delete(`/api/kept-charts/${id}`);
  }

  keptChart(id: string, version: number): Observable<KeptChart> {
    return this.http.get(`/api/kept-charts/${id}/versions/${version}`).pipe(read(KeptChartSchema));
  }

  keepChart(clientId: string, request: KeepChartRequest): Observable<KeepChartAnswer> {
    return this.http.post(ofClient(clientId, '/kept-chart'), request).pipe(read(KeepChartAnswer));
  }

  origin(clientId: string): Observable<OriginAnswer> {
    return this.http.get(ofClient(clientId, '/origin')).pipe(read(OriginAnswer));
  }

  setOrigin(clientId: string, request: OriginRequest): Observable<unknown> {
    return this.http.put(ofClient(clientId, '/origin'), request);
  }

  /** Takes a return file from its address and hands it to the simulated tax software. */
  sendReturn(address: string): Observable<TaxSoftwareAnswer> {
    return this.http.get(address).pipe(
      switchMap((file) => this.http.post('/api/simulated/tax-software', file)),
      read(TaxSoftwareAnswer),
    );
  }

  /** Everybody of the practice. */
  people(): Observable<PeopleAnswer> {
    return this.http.get('/api/people').pipe(read(PeopleAnswer));
  }

  handOver(clientId: string, request: HandOverRequest): Observable<unknown> {
    return this.http.post(ofClient(clientId, '/proposal/hand-over'), request);
  }

  /** Takes the proposal back from the colleague who has it. */
  withdraw(clientId: string): Observable<unknown> {
    return this.http.post(ofClient(clientId, '/proposal/take-back'), {});
  }

  review(clientId: string, authorId: string): Observable<ReviewAnswer> {
    return this.http.get(ofClient(clientId, `/reviews/${authorId}`)).pipe(read(ReviewAnswer));
  }

  remark(clientId: string, authorId: string, request: RemarkRequest): Observable<Remark> {
    return this.http
      .post(ofClient(clientId, `/reviews/${authorId}/remarks`), request)
      .pipe(read(Remark));
  }

  judge(clientId: string, authorId: string, request: VerdictRequest): Observable<unknown> {
    return this.http.post(ofClient(clientId, `/reviews/${authorId}/verdict`), request);
  }

  adopt(clientId: string, request: AdoptRequest): Observable<AdoptAnswer> {
    return this.http.post(ofClient(clientId, '/revisions'), request).pipe(read(AdoptAnswer));
  }

  revisions(clientId: string): Observable<RevisionsAnswer> {
    return this.http.get(ofClient(clientId, '/revisions')).pipe(read(RevisionsAnswer));
  }

  /** The chart as it was at a revision; 0 is before the first. */
  revisionChart(clientId: string, revision: number): Observable<RevisionChartAnswer> {
    return this.http
      .get(ofClient(clientId, `/revisions/${revision}/chart`))
      .pipe(read(RevisionChartAnswer));
  }

  restore(clientId: string, revision: number): Observable<UndoAnswer> {
    return this.http
      .get(ofClient(clientId, `/revisions/${revision}/restore`))
      .pipe(read(UndoAnswer));
  }

  undo(clientId: string, revision: number): Observable<UndoAnswer> {
    return this.http.get(ofClient(clientId, `/revisions/${revision}/undo`)).pipe(read(UndoAnswer));
  }
}
