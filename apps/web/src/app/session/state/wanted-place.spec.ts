import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { signInFor, wantedFrom } from './wanted-place';

describe('the place to which one comes back after signing in', () => {
  const asked = (place: string): string => {
    const router = TestBed.inject(Router);
    return router.serializeUrl(signInFor(router, place));
  };

  it('is the one that was wanted', () => {
    expect(asked('/clients/7/numbers')).toBe('/sign-in?to=%2Fclients%2F7%2Fnumbers');
    expect(wantedFrom('/sign-in?to=%2Fclients%2F7%2Fnumbers')).toBe('/clients/7/numbers');
  });

  it('is the list of clients where none was', () => {
    expect([asked('/'), asked('/clients'), asked('/sign-in?to=x')]).toEqual([
      '/sign-in',
      '/sign-in',
      '/sign-in',
    ]);
    expect(wantedFrom('/sign-in')).toBe('/clients');
  });

  it.each([
    'https://elsewhere.example/',
    '//elsewhere.example/',
    '/\\elsewhere.example',
    'javascript:alert(1)',
  ])('is never outside: %s', (to) => {
    expect(wantedFrom(`/sign-in?to=${encodeURIComponent(to)}`)).toBe('/clients');
  });
});
