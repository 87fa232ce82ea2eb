import { BUILDING_TRADE } from './modules/building-trade';
import { DRINKS_MAKER } from './modules/drinks-maker';
import { ONLINE_SELLER } from './modules/online-seller';
import { PROFESSIONAL_SERVICES } from './modules/professional-services';
import type { Industry } from './starting-chart';

/** The trades with a built-in starting chart, by code, in the order in which they are offered. */
export const INDUSTRIES = {
  drinksMaker: DRINKS_MAKER,
  onlineSeller: ONLINE_SELLER,
  buildingTrade: BUILDING_TRADE,
  professionalServices: PROFESSIONAL_SERVICES,
} as const satisfies Record<string, Industry>;

export type IndustryCode = keyof typeof INDUSTRIES;

/** All industry codes. */
export const INDUSTRY_CODES = Object.keys(INDUSTRIES) as [IndustryCode, ...IndustryCode[]];
