import { BUILDING_TRADE } from './modules/building-trade';
import {
  AGENCY,
  CLINIC,
  DENTIST,
  LAWYER,
  SALON,
  SOFTWARE_MAKER,
  VET,
} from './modules/care-and-advice';
import { DRINKS_MAKER } from './modules/drinks-maker';
import { ONLINE_SELLER } from './modules/online-seller';
import { PROFESSIONAL_SERVICES } from './modules/professional-services';
import {
  ASSOCIATION,
  CHARITY,
  GYM,
  HOLDING_COMPANY,
  LANDLORD,
  PROPERTY_MANAGER,
  SCHOOL,
} from './modules/property-and-people';
import { RESTAURANT, RETAIL, RETAIL_WITHOUT_STOCK } from './modules/shops-and-food';
import { FARM, MANUFACTURER, REPAIR_SHOP, SPECIALIST_CONTRACTOR, TRUCKING } from './modules/trades';
import type { Industry } from './starting-chart';

/** The trades with a built-in starting chart, by code, in the order in which they are offered. */
export const INDUSTRIES = {
  retail: RETAIL,
  retailWithoutStock: RETAIL_WITHOUT_STOCK,
  onlineSeller: ONLINE_SELLER,
  restaurant: RESTAURANT,
  drinksMaker: DRINKS_MAKER,
  manufacturer: MANUFACTURER,
  buildingTrade: BUILDING_TRADE,
  specialistContractor: SPECIALIST_CONTRACTOR,
  repairShop: REPAIR_SHOP,
  trucking: TRUCKING,
  farm: FARM,
  salon: SALON,
  clinic: CLINIC,
  dentist: DENTIST,
  vet: VET,
  lawyer: LAWYER,
  professionalServices: PROFESSIONAL_SERVICES,
  agency: AGENCY,
  softwareMaker: SOFTWARE_MAKER,
  landlord: LANDLORD,
  propertyManager: PROPERTY_MANAGER,
  gym: GYM,
  school: SCHOOL,
  association: ASSOCIATION,
  charity: CHARITY,
  holdingCompany: HOLDING_COMPANY,
} as const satisfies Record<string, Industry>;

export type IndustryCode = keyof typeof INDUSTRIES;

/** All industry codes. */
export const INDUSTRY_CODES = Object.keys(INDUSTRIES) as [IndustryCode, ...IndustryCode[]];
