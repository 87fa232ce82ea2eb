import { HttpClient, provideHttpClient, withInterceptors } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { ConnectionService } from './connection.service';
import { retryInterceptor } from './retry.interceptor';

describe('requests while the server is away', () => {
  beforeEach(() => {
    jest.useFakeTimers();
    TestBed.configureTestingModule({
      providers: [
        provideHttpClient(withInterceptors([retryInterceptor])),
        provideHttpClientTesting(),
      ],
    });
  });
  afterEach(() => jest.useRealTimers());

  const away = { status: 503, statusText: 'away' };
  const unavailable = { code: 'unavailable', seconds: 2 };
  const trouble = () => TestBed.inject(ConnectionService).trouble();
  const server = () => TestBed.inject(HttpTestingController);

  it('wait, say so, and ask again by themselves until they are answered', () => {
    const answers: unknown[] = [];
    TestBed.inject(HttpClient)
      .get('/api/clients')
      .subscribe((answer) => answers.push(answer));
    server().expectOne('/api/clients').flush(unavailable, away);
    expect(trouble()).toBe('unavailable');
    jest.advanceTimersByTime(1000);
    server().expectOne('/api/clients').error(new ProgressEvent('error'));
    expect(trouble()).toBe('unreachable');
    jest.advanceTimersByTime(2000);
    server().expectOne('/api/clients').flush([]);
    expect([answers, trouble()]).toEqual([[[]], null]);
  });

  it('that save a proposal are asked again: they name the version that they follow', () => {
    TestBed.inject(HttpClient).put('/api/clients/x/proposal', {}).subscribe();
    server().expectOne('/api/clients/x/proposal').flush(unavailable, away);
    jest.advanceTimersByTime(1000);
    server().expectOne('/api/clients/x/proposal').flush({ version: 1 });
    expect(trouble()).toBeNull();
  });

  it('that do something are not asked again by themselves', () => {
    const failed: unknown[] = [];
    TestBed.inject(HttpClient)
      .post('/api/clients/x/revisions', {})
      .subscribe({ error: (error: unknown) => failed.push(error) });
    server().expectOne('/api/clients/x/revisions').flush(unavailable, away);
    jest.advanceTimersByTime(60_000);
    server().expectNone('/api/clients/x/revisions');
    expect([failed.length, trouble()]).toEqual([1, null]);
  });

  it('that are refused are not asked again', () => {
    const failed: unknown[] = [];
    TestBed.inject(HttpClient)
      .get('/api/clients/x')
      .subscribe({ error: (error: unknown) => failed.push(error) });
    server()
      .expectOne('/api/clients/x')
      .flush({ code: 'notFound' }, { status: 404, statusText: 'no' });
    expect([failed.length, trouble()]).toEqual([1, null]);
  });
});
