import { computed, signal } from '@angular/core';
import { STANDARD_TERMS, termsFor, type Terms, type TermsOf } from '@iunctus/core';

/** Where the browser keeps that plain words are wanted. */
const KEY = 'iunctus.words';
const PLAIN = 'plain';

const spokenTo = signal<Omit<TermsOf, 'plain'> | null>(null);
const plainly = signal(localStorage.getItem(KEY) === PLAIN);

/** Whether plain words stand in the place of the ledger's. */
export const plain = plainly.asReadonly();

/** The words of the client that is open, as the language is: whatever reads them is drawn anew when they change. */
export const terms = computed<Terms>(() => {
  const of = spokenTo();
  if (of === null && !plainly()) return STANDARD_TERMS;
  return termsFor({ ...(of ?? { country: 'US', legalForm: 'soleOwner' }), plain: plainly() });
});

/** From here on the words of a client; of nobody with `null`. */
export const speakTo = (client: Omit<TermsOf, 'plain'> | null): void => spokenTo.set(client);

/** Goes over to plain words, or back; the browser keeps it. */
export const togglePlain = (): void => {
  plainly.update((before) => !before);
  localStorage.setItem(KEY, plainly() ? PLAIN : 'ledger');
};
