import { TestBed } from '@angular/core/testing';
import { provideState, provideStore, Store } from '@ngrx/store';
import { SessionApiActions } from './session.actions';
import { Rights } from './rights';
import { sessionFeature } from './session.feature';

describe('what whoever is signed in may do', () => {
  const as = (role: 'administrator' | 'bookkeeper' | 'reviewer'): Rights => {
    TestBed.configureTestingModule({ providers: [provideStore(), provideState(sessionFeature)] });
    const user = { id: 'u', name: 'U', email: 'u@u.example', role, clientId: null };
    const session = { user, practice: { id: 'p', name: 'P' } };
    TestBed.inject(Store).dispatch(SessionApiActions.sessionFound({ session }));
    return TestBed.inject(Rights);
  };

  it.each([
    ['administrator', true, true],
    ['bookkeeper', true, false],
    ['reviewer', false, false],
  ] as const)('follows the core’s table: %s', (role, changes, keepsPeople) => {
    const rights = as(role);
    expect([rights.may('change'), rights.may('keepPeople')]).toEqual([changes, keepsPeople]);
  });

  it('is nothing for nobody', () => {
    TestBed.configureTestingModule({ providers: [provideStore(), provideState(sessionFeature)] });
    expect(TestBed.inject(Rights).may('lookOn')).toBe(false);
  });
});
