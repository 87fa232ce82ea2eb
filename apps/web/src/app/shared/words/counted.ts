/** What is said of a number of things, by the plural forms of the language; `#` stands for the number. */
export type CountedForms = Partial<Record<Intl.LDMLPluralRule, string>> & {
  readonly other: string;
};

let rules: Intl.PluralRules | null = null;

/** The one rule for plurals in code: "1 account", "3 accounts". Templates have that of their own language. */
export const counted = (count: number, forms: CountedForms): string => {
  rules ??= new Intl.PluralRules($localize.locale ?? 'en');
  return (forms[rules.select(count)] ?? forms.other).replaceAll('#', String(count));
};
