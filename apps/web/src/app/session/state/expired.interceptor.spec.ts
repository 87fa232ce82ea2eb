import { HttpClient, provideHttpClient, withInterceptors } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { provideState, provideStore, Store } from '@ngrx/store';
import type { SessionAnswer } from '@iunctus/contract';
import { expiredInterceptor } from './expired.interceptor';
import { SessionApiActions } from './session.actions';
import { sessionFeature } from './session.feature';

describe('a request that the server answers with “not signed in”', () => {
  beforeEach(() =>
    TestBed.configureTestingModule({
      providers: [
        provideStore(),
        provideState(sessionFeature),
        provideHttpClient(withInterceptors([expiredInterceptor])),
        provideHttpClientTesting(),
      ],
    }),
  );

  const sessionOf = (name: string) => ({ person: { name } }) as unknown as SessionAnswer;
  const signIn = (name: string): void =>
    TestBed.inject(Store).dispatch(SessionApiActions.signedIn({ session: sessionOf(name) }));
  const session = () => TestBed.inject(Store).selectSignal(sessionFeature.selectSession)();
  const ask = () => {
    TestBed.inject(HttpClient)
      .get('/api/clients')
      .subscribe({ error: () => undefined });
    return TestBed.inject(HttpTestingController).expectOne('/api/clients');
  };
  const refusal = [{ code: 'notSignedIn' }, { status: 401, statusText: 'no' }] as const;

  it('ends the session in which it was asked', () => {
    signIn('Maren');
    ask().flush(...refusal);
    expect(session()).toBeNull();
  });

  it('leaves the session alone that was begun after it was asked', () => {
    signIn('Maren');
    const late = ask();
    signIn('Maren again');
    late.flush(...refusal);
    expect(session()).toEqual(sessionOf('Maren again'));
  });
});
