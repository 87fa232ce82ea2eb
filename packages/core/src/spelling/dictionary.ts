/** What a language's words are; case counts, as a dictionary has it. */
export interface Dictionary {
  knows(word: string): boolean;
}
