import { likeness } from './likeness';
import { wordsOf } from './words';

/**
 * What accounts are for, a topic a line: `topic > wider topics: words and phrases`, phrases joined by `_`. A wider topic
 * takes in what its parts are: utilities are electricity, gas and water. Common practice in English-speaking countries,
 * no source.
 */
const TOPICS: readonly string[] = [
  // Premises
  'utilities: utilities utility_bills services_to_premises',
  'power > utilities: electricity electric electrical_supply elec power light lights lighting hydro energy eskom_units prepaid_electricity',
  'gasHeat > utilities: gas heat heating propane lpg natural_gas heating_oil oil_for_heating mains_gas bottled_gas',
  'power gasHeat: gas_electric gas_elec electric_gas heat_light light_heat heat_power light_power heating_lighting gas_power',
  'water > utilities: water sewer sewage sewerage water_rates water_sewer',
  'power water: light_water lights_water power_water',
  'rent: rent rental rents lease leasing hire hiring let',
  'propertyTax: property_tax realty_tax municipal_tax municipal_rates council_tax business_rates rates council_rates land_tax real_estate_tax city_tax county_tax taxes_property',
  'repairs: repairs repair maintenance maint reprs mtce mtnce upkeep fixing mending rm repairing servicing redecoration decorating handyman renovation',
  'cleaning: cleaning cleaner cleaners cleans valeting valet washing wash janitor janitorial housekeeping hygiene sanitation',
  'waste: waste bin bins wheelie rubbish trash garbage refuse skip skips dumpster recycling disposal tip dump hauling_away bin_collection waste_collection',
  'security: security alarm alarms cctv guard guards locksmith monitoring',
  'grounds: landscape landscaping lawn lawns garden gardening grounds mowing yard_care snow_removal snow_ploughing',
  'pests: pest pests exterminator vermin rodent',
  'laundry: laundry linen linens towels_washed dry_cleaning',
  // Phones, computers
  'communications: communications comms telecom telecoms telecommunications',
  'telephone > communications: telephone phone phones tel landline cell cel cellular cellphone mobile mobiles airtime handset handsets smartphone voip sim',
  'internet > communications: internet broadband wifi wi_fi fibre fiber isp adsl',
  'television > communications: television tv cable satellite cable_tv streaming',
  'software: software saas app apps system cloud it_subscription licences_software program_licence erp crm online_tools tool_subscription software_licence dev_tools online_booking booking_system practice_management',
  'website: website web_site web_hosting hosting domain domains webhost web_design seo_hosting web_page',
  'itSupport: it computer_support it_support computer_repairs computer_maintenance tech_support technical_support it_services',
  // Office
  'stationery: stationery stationary printing paper toner ink copier photocopying photocopies envelopes office_supplies office_sundries printer printing_stationery copying print_costs',
  'postage: postage post stamps mail mailing courier couriers po_box shipping_documents franking',
  'freight: freight shipping shipment carriage delivery deliveries haulage cartage transport transportation courier_goods freightage ship postage_out parcel parcels',
  'packaging: packaging packing mailers mailer boxes wrapping cartons bubble_wrap tape bags labels pouches wraps',
  'dues: dues membership memberships subscription subscriptions subs_professional professional_subscription association_fee affiliation trade_body registration_fee professional_body',
  'books: books magazines journals publications newspapers periodicals library',
  'licences: licence licences permit permits registration registrations certification annual_return filing_fee',
  'officeCosts: office_expenses office_costs general_office admin administration',
  // People
  'wages: wages wage salary salaries payroll pay staff_costs gross_pay remuneration earnings_staff staff_wages employee_pay salaries_wages',
  'payrollTax: payroll_tax payroll_taxes employer_ni national_insurance nic ni_contributions paye prsi uif fica futa suta cpp ei social_insurance social_security employer_tax employer_contributions sdl',
  'workersComp: workers_comp workers_compensation wcb wsib workcover',
  'pension: pension pensions superannuation super retirement 401k kiwisaver provident rrsp_employer',
  'benefits: benefits health_plan health_insurance medical_aid group_plan staff_benefits dental_plan medical_insurance',
  'training: training course courses cpd ce education tuition seminar seminars workshop workshops continuing_education conference conferences first_aid_course',
  'recruitment: recruitment recruiting hiring_staff job_ads agency_fee headhunter',
  'uniforms: uniform uniforms workwear ppe clothing overalls scrubs safety_wear work_clothes protective_clothing',
  'welfare: staff_welfare staff_party staff_amenities team_lunch refreshments_staff tea_coffee',
  'subcontract: subcontractor subcontractors subcontracter subcontracters sub subs subcontract subcontracting subbie subbies sublet sublet_work outwork outworker outworkers freelance freelancer freelancers contract_labour contract_labor contract_staff contract_work contractor contractors contracted hired_in consultant consultants consulting outside_work outsourced',
  'locums > subcontract: locum locums relief_staff',
  'casual > subcontract: casual casuals temp temps temporary temporary_labour temporary_staff agency_staff agency_labour day_labour day_labor labourers seasonal',
  // Vehicles, travel
  'vehicles: vehicle vehicles car cars van vans truck trucks lorry lorries motor mv m_v fleet motor_vehicle motor_running pickup bakkie ute tractor tractors trailer boat',
  'fuel: fuel petrol diesel gasoline derv gas_oil oil_gas vehicle_gas gas_vehicle motor_gas marked_diesel filling_station truck_gas gas_truck gas_van gas_car',
  'tyres: tyre tyres tire tires tyers tyer tubes tread',
  'vehicleTax: vehicle_tax road_tax car_tax motor_tax vehicle_licence ved rego registration_vehicle vehicle_registration',
  'parking: parking tolls toll congestion parking_tolls',
  'mileage: mileage mileage_claims kilometre_allowance km_claims',
  'travel: travel travelling traveling trips business_travel subsistence travel_expenses fares train taxi taxis uber_like',
  'flights > travel: flight flights airfare airfares air air_travel air_fare plane_tickets',
  'lodging > travel: hotel hotels lodging accommodation motel',
  'meals: meals meal food groceries grub lunches lunch dinner catering caterers caterer entertaining entertainment hospitality client_lunch business_meals dining',
  // Selling
  'advertising: advertising advert adverts advertisement advertisements advertizing ad ads adv promo promos promotion promotions promotional publicity marketing social_media flyers leaflets brochures seo ppc banners signs sponsorship radio_ads newspaper_ads recall_cards pr',
  'exhibitions: exhibition exhibitions fair fairs trade_show trade_shows expo expos show shows craft_fair market_stall_fee',
  'commission: commission commissions agent_fee agents_commission referral_fee referral_fees finders_fee marketplace_fee platform_fee',
  'samples: samples giveaways free_samples',
  // Money
  'bankFees: bank_charge bank_charges bank_fee bank_fees bank_service_charge account_fee monthly_fee_bank',
  'cardFees: card_fee card_fees merchant merchant_fee merchant_fees card_processing credit_card_fee credit_card_charges terminal_fee card_machine_fee eftpos processing_fee processing_fees card_charges',
  'interest: interest int finance_charge finance_charges finance_cost',
  'mortgage: mortgage mtge bond_property home_loan building_loan',
  'badDebts: bad_debt bad_debts bad_debts_written_off write_off write_offs uncollectible doubtful_debts uncollectable',
  'fines: fines penalties penalty late_fee',
  'cashDifferences: over_short cash_over_short till_difference till_differences rounding cash_short till_over_under',
  'exchange: exchange fx forex foreign_exchange currency_difference exchange_difference',
  // Advice, insurance
  'accountancy: accounting accountancy accountant accountants acctg acct_fee bookkeeping bookkeeper book_keeping audit auditor auditors cpa tax_return_preparation tax_preparation year_end_accounts ca_fee',
  'legal: legal lawyer lawyers solicitor solicitors attorney attorneys legals barrister conveyancing notary law_firm',
  'professional: professional professional_fee professional_fees prof_fee prof_fees legal_professional advisers advisors',
  'insurance: insurance ins insurances insce cover assurance policy',
  'liabilityCover > insurance: indemnity professional_indemnity pi malpractice liability_insurance public_liability e_o errors_omissions professional_liability pl_insurance medical_defence liability_cover',
  'marineCover > insurance: marine_insurance hull p_i boat_insurance hull_insurance ins_hull',
  'vehicleCover > insurance: vehicle_insurance motor_insurance car_insurance van_insurance insurance_vehicle',
  // Buying and making
  'purchases: purchase purchases purch purchased bought buying bought_in buy cost_of goods_bought',
  'materials: materials material raw_materials supplies_used ingredients raw_ingredients',
  'consumables: consumables consumable supplies sundry_supplies disposables',
  'smallTools: small_tools tools hand_tools tool small_equipment minor_equipment',
  'laboratory: lab labs laboratory laboratories lab_fees technician_work',
  'drugs: drugs drug medicines medicine medication medications pharmaceuticals meds',
  'drinks: drinks drink beverage beverages alcohol liquor bar wine wines beer beers spirits wet_purchases wet_stock booze cellar',
  'feed: feed feeds feedstuff fodder hay meal_feed nuts ration rations concentrates silage feed_meal',
  'fertiliser: fertiliser fertilizer fert lime manure compost',
  'sprays: spray sprays pesticide pesticides herbicide chemicals crop_protection',
  'seed: seed seeds seedlings plants plugs',
  'veterinary: vet vets veterinary vet_med ai_vet',
  'royalties: royalty royalties performing_rights music_licence music_rights play_rights rights copyright licence_fee_music',
  'toiletries: toiletries soap soaps shampoo shampoos guest_supplies amenities_guest toilet_rolls',
  'glass: glass glazing windscreen',
  'design: designer designers design creative creatives graphic illustrator illustrators',
  'research: research searches online_research database',
  'structural: structural structure engineer engineers engs eng m_e',
  // Taking in
  'donations: donation donations gift gifts giving given contribution contributions offering offerings collections tithes tithe pledges appeals receipted_gifts',
  'grants: grant grants funding award_received subsidy subsidies',
  'vouchers: voucher vouchers certificate certificates gift_card gift_cards gift_voucher gift_vouchers gift_certificate gift_certificates',
  'unearned: unearned deferred advance_received prepaid_income income_in_advance fees_in_advance received_in_advance deferred_revenue deferred_income unredeemed not_redeemed sold_not_redeemed subs_in_advance unearned_income',
  'members: members_fee membership_income membership_fees_received subs_received members_subs',
  'passes: pass passes day_pass drop_in drop_ins walk_in walk_ins payg pay_as_you_go casual_visits',
  'retail: retail counter shop_sales over_counter product_sales take_home_sales take_home merchandise merch',
  'sales: sales sale income revenue takings turnover sold fees_earned',
  // Owing and owed
  'creditors: creditors creditor vendors vendor suppliers supplier ap accounts_payable accts_payable account_payable trade_creditors vendors_payable bills_to_pay unpaid_bills we_owe owe purchase_ledger bills_owing',
  'debtors: debtors debtor ar accounts_receivable accts_receivable account_receivable trade_debtors customers_owing sales_ledger unpaid_invoices invoices_outstanding owing_from',
  'loans: loan loans lent advance advances note notes borrowing borrowings lending',
  'hirePurchase > loans: hp hire_purchase finance_agreement chattel_mortgage',
  'owner: shareholder shareholders owner owners director directors proprietor partner partners sh s_h member_loan',
  'deposits: deposit deposits',
  'salesTax: sales_tax vat gst hst gst_hst',
  'quebecTax: qst',
  'provincialTax: pst rst provincial_sales_tax retail_sales_tax',
  'pettyCash: petty_cash cash_box cash_tin petty imprest',
  'till: float floats till tills cash_drawer cash_float register',
  'creditCard: credit_card visa mastercard amex company_card',
  'suspense: suspense uncategorised uncategorized ask_accountant unknown to_sort query queries unallocated',
  'drawings: drawings drawing draw draws withdrawals owner_draw personal private owners_personal',
  'depreciation: depreciation depr depn deprec cca wear_and_tear',
  'amortisation > depreciation: amortisation amortization amort',
  'stock: stock inventory stocks goods_on_hand',
  'storage: storage locker self_storage warehouse warehousing unit_storage storage_locker',
  'cremation: cremation cremations',
  'outward: outward out outgoing to_customers to_dealers to_clients out_customers',
  'inward: inward inwards in_goods incoming from_suppliers',
  'streetLights: street_light street_lights streetlight streetlights',
  'property: property properties building buildings premises',
  'sea: sea ocean',
  'customers: customer customers client clients dealers',
  'online: online web internet_orders e_commerce ecommerce',
  'miscellaneous: misc miscellaneous sundry sundries general_expenses various_expenses petty_expenses',
  'missions: missions mission missionary outreach',
  'municipal: municipal council city county',
];

/** Topic → the topics that take it in. */
const WIDER = new Map<string, readonly string[]>();
/** A phrase, its words joined by blanks → what it speaks of. */
const PHRASES = new Map<string, readonly string[]>();
let longest = 1;

const learnPhrase = (phrase: string, topics: readonly string[]): void => {
  const words = wordsOf(phrase.replaceAll('_', ' '));
  if (words.length === 0) return;
  longest = Math.max(longest, words.length);
  const key = words.join(' ');
  if (!PHRASES.has(key)) PHRASES.set(key, topics);
};

for (const line of TOPICS) {
  const [head = '', body = ''] = line.split(': ');
  const [own = '', wider = ''] = head.split(' > ');
  const topics = own.split(' ');
  const [only] = topics;
  if (wider !== '' && only !== undefined) WIDER.set(only, wider.split(' '));
  for (const phrase of body.split(' ')) learnPhrase(phrase, topics);
}

/** Words of the phrases by their beginnings, for those that are misspelt. */
const BY_BEGINNING = new Map<string, string[]>();
const BEGINNING = 2;
const WORDS = new Set([...PHRASES.keys()].flatMap((phrase) => phrase.split(' ')));
for (const word of WORDS) {
  const begins = word.slice(0, BEGINNING);
  BY_BEGINNING.set(begins, [...(BY_BEGINNING.get(begins) ?? []), word]);
}

/** Words at least so alike are the same word, misspelt; shorter ones, or those of another length, are not. */
const MISSPELT = { alike: 0.95, length: 5, longer: 1 } as const;

/** A word as the trade spells it, where it is only misspelt. */
const respelt = (word: string): string => {
  if (word.length < MISSPELT.length || WORDS.has(word)) return word;
  const near = (BY_BEGINNING.get(word.slice(0, BEGINNING)) ?? []).filter(
    (one) =>
      Math.abs(one.length - word.length) <= MISSPELT.longer &&
      one.length >= MISSPELT.length &&
      !one.startsWith(word) &&
      !word.startsWith(one) &&
      likeness(one, word) >= MISSPELT.alike,
  );
  return near[0] ?? word;
};

/** One thing that a name speaks of: a topic of the trade, or a word of its own. */
export interface Thing {
  readonly name: string;
  /** Whether it is a topic that the trade knows. */
  readonly known: boolean;
  /** The words that said it. */
  readonly said: string;
}

/** A name with its short forms spelt out. */
export const spokenName = (name: string): string =>
  name
    .replace(/\bR\s*&\s*M\b/gi, 'repairs')
    .replace(/\bS\s*&\s*M\b/gi, 'marketing')
    .replace(/\bA\/([PR])\b/gi, 'A$1')
    .replace(/\bM\/V\b/gi, 'vehicle')
    .replace(/\bE\s*&\s*O\b/gi, 'malpractice')
    .replace(/\bP\s*&\s*I\b/gi, 'hull')
    .replace(/\bM\s*&\s*E\b/gi, 'engineers');

/** What a name speaks of, in its order; the longest phrase that the trade knows counts as one. */
export const thingsSaid = (name: string): readonly Thing[] => {
  const words = wordsOf(spokenName(name)).map(respelt);
  const things: Thing[] = [];
  for (let at = 0; at < words.length;) {
    let size = Math.min(longest, words.length - at);
    while (size > 1 && !PHRASES.has(words.slice(at, at + size).join(' '))) size -= 1;
    const said = words.slice(at, at + size).join(' ');
    const topics = PHRASES.get(said);
    if (topics === undefined) things.push({ name: said, known: false, said });
    else for (const topic of topics) things.push({ name: topic, known: true, said });
    at += size;
  }
  return things.filter(({ name: one }, at) => things.findIndex((two) => two.name === one) === at);
};

/** The topics that take a topic in. */
export const widerThan = (topic: string): readonly string[] => WIDER.get(topic) ?? [];

/** Topics of which a business often has several accounts on purpose. Common practice, no source. */
const OFTEN_SEVERAL: ReadonlySet<string> = new Set(
  'wages insurance depreciation amortisation sales purchases loans owner interest rent deposits stock materials property dues licences training benefits donations grants drawings royalties debtors'.split(
    ' ',
  ),
);
/** Topics that say where or how, and seldom what. */
const BESIDE: ReadonlySet<string> = new Set(
  'vehicles customers online property municipal outward inward retail officeCosts members miscellaneous'.split(
    ' ',
  ),
);

/** Whether a business often has several accounts of a topic on purpose. */
export const isNamedSeveral = (topic: string): boolean => OFTEN_SEVERAL.has(topic);
export const isOftenSeveral = ({ name }: Thing): boolean => isNamedSeveral(name);

/** Whether a thing says where or how, and seldom what. */
export const isBeside = ({ name }: Thing): boolean => BESIDE.has(name);
