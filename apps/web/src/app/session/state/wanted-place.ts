import type { Router, UrlTree } from '@angular/router';

const SIGN_IN = '/sign-in';
const HOME = '/clients';

/** Whether a place is the sign-in itself. */
export const isSignIn = (place: string): boolean => place.startsWith(SIGN_IN);

/** The sign-in, from which one comes to a place of this application afterwards. */
export const signInFor = (router: Router, place: string): UrlTree => {
  const inside = place.startsWith('/') && !place.startsWith('//');
  const worth = inside && place !== '/' && place !== HOME && !isSignIn(place);
  return router.createUrlTree([SIGN_IN], worth ? { queryParams: { to: place } } : {});
};

/** Where one wanted to go before signing in: only ever a place of this application. */
export const wantedFrom = (address: string): string => {
  const to = new URL(address, 'http://here').searchParams.get('to') ?? '';
  const inside = new URL(to, 'http://here').origin === 'http://here';
  return inside && to.startsWith('/') && !to.startsWith('//') ? to : HOME;
};
