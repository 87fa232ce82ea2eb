import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import * as v from 'valibot';
import { addressOf, ApiService } from './api.service';

describe('the client of the server', () => {
  beforeEach(() =>
    TestBed.configureTestingModule({
      providers: [provideHttpClient(), provideHttpClientTesting()],
    }),
  );
  afterEach(() => TestBed.inject(HttpTestingController).verify());

  const api = () => TestBed.inject(ApiService);
  const server = () => TestBed.inject(HttpTestingController);

  it('asks by the method and the path of the contract, the parts that vary filled in', () => {
    api()
      .ask('adopt', { clientId: 'a/b', body: { version: 3 } })
      .subscribe();
    const asked = server().expectOne('/api/clients/a%2Fb/revisions');
    expect([asked.request.method.toUpperCase(), asked.request.body]).toEqual([
      'POST',
      { version: 3 },
    ]);
    asked.flush({ revision: 1, posted: 0 });
  });

  it('sends the query beside the path', () => {
    api()
      .ask('balances', { clientId: 'x', query: { first: '2026-01', last: '2026-03' } })
      .subscribe();
    const asked = server().expectOne('/api/clients/x/balances?first=2026-01&last=2026-03');
    asked.flush({ first: '2026-01', last: '2026-03', amounts: [], splits: [] });
  });

  it('takes no answer that breaks the contract', () => {
    const failed: unknown[] = [];
    api()
      .ask('people', {})
      .subscribe({ error: (error: unknown) => failed.push(error) });
    server()
      .expectOne('/api/people')
      .flush([{ id: 'no id' }]);
    expect(failed[0]).toBeInstanceOf(v.ValiError);
  });

  it('says where a file is to be had', () => {
    const query = { first: '2026-01', last: '2026-03' };
    expect(addressOf('exportChart', { clientId: 'x', format: 'csv', query })).toBe(
      '/api/clients/x/exports/csv?first=2026-01&last=2026-03',
    );
    expect(addressOf('backUpClient', { clientId: 'x' })).toBe('/api/clients/x/backup');
  });
});
