/** Currencies that books meet, ISO 4217, as the browser knows them. */
export const CURRENCIES: readonly string[] = Intl.supportedValuesOf('currency').filter(
  (code) => !code.startsWith('X') || ['XAF', 'XCD', 'XOF', 'XPF'].includes(code),
);
