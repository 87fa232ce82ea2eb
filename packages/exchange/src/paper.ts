/** The paper on which something is printed. */
export type Paper = 'letter' | 'a4';

/** Where people print on Letter. Source: common practice, no source. */
const ON_LETTER = ['US', 'CA', 'MX'];

/** The paper of a country (ISO 3166-1 alpha-2): Letter in North America, A4 elsewhere. */
export const paperOf = (country: string): Paper => (ON_LETTER.includes(country) ? 'letter' : 'a4');
