/** Currencies that books are kept in, ISO 4217, with what they are called; not metals, funds and test codes. */
export const CURRENCIES: readonly { readonly value: string; readonly words: string }[] =
  Intl.supportedValuesOf('currency')
    .filter((code) => !code.startsWith('X') || ['XAF', 'XCD', 'XOF', 'XPF'].includes(code))
    .map((value) => ({
      value,
      words: `${value}, ${new Intl.DisplayNames('en', { type: 'currency' }).of(value) ?? value}`,
    }));
