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
  'windows > cleaning: window_cleaning window_cleaner windows_cleaned',
  'cleaning: cleaning cleaner cleaners cleans valeting valet washing wash janitor janitorial housekeeping hygiene sanitation',
  'waste: waste bin bins wheelie rubbish trash garbage refuse skip skips dumpster recycling disposal tip_fee tip_charge tip_run tipping dump hauling_away bin_collection waste_collection',
  'security: security burglar_alarm fire_alarm alarm_monitoring cctv_monitoring security_patrol alarm alarms cctv guard guards locksmith monitoring',
  'snow > grounds: snow_removal snow_clearing snow_ploughing snow_plowing ploughing plowing gritting salting',
  'grounds: landscape landscaping lawn lawns garden gardening grounds mowing yard_care ground_maintenance grounds_keeping greenkeeping',
  'pests: pest pests exterminator vermin rodent mole mole_catcher rat_catcher fumigation',
  'laundry: laundry launderette laundromat laundering linen_hire linen linens towels_washed dry_cleaning',
  // Phones, computers
  'communications: communications comms telecom telecoms telecommunications',
  'telephone > communications: telephone phone phones tel landline cell cel cellular cellphone mobile mobiles airtime handset handsets smartphone voip sim',
  'internet > communications: internet data_line data_lines line_rental ethernet wi_fi_access broadband wifi wi_fi fibre fiber isp adsl',
  'television > communications: television tv cable satellite cable_tv streaming',
  'software: software software_subscription booking_software bookings_app online_bookings booking_platform online_software cloud_service cloud_storage computer_program computer_programs online_system booking_app booking_system_fee scheduling pos_system till_system epos plugin plugins hosted_service programme_licence saas app apps system cloud it_subscription licences_software program_licence erp crm online_tools tool_subscription software_licence dev_tools online_booking booking_system practice_management',
  'website: website webpage online_shop_hosting web_store_hosting webshop web_site web_hosting hosting domain domains webhost web_design seo_hosting web_page',
  'computers: computer computers laptop laptops pc pcs computer_equipment it_equipment it_hardware hardware_computer tablets monitors computer_hardware',
  'itSupport: it tech computer_help managed_it network_support computer_support it_support computer_repairs computer_maintenance tech_support technical_support it_services',
  // Office
  'stationery: stationery stationary printing paper toner ink copier photocopying photocopies envelopes office_supplies office_sundries printer printing_stationery copying print_costs',
  'postage: postage p_p p_o_box post_office recorded_delivery stamped_mail post stamps mail mailing courier couriers po_box shipping_documents franking',
  'freight: freight freight_charges haulier hauliers hauler trucking carrier carriers transporter pallets_sent pallet_delivery logistics forwarding forwarder shipping shipment carriage delivery deliveries haulage cartage transport transportation courier_goods freightage ship postage_out parcel parcels',
  'packaging: packaging bottles jars cups_lids takeaway_boxes takeaway_packaging containers gift_wrap gift_boxes sacks crates punnets jiffy_bags tissue_paper void_fill packing mailers mailer boxes wrapping cartons bubble_wrap tape bags labels pouches wraps',
  'dues: dues federation guild chamber_of_commerce trade_association institute union_dues society_fee governing_body membership memberships subscription subscriptions subs_professional professional_subscription association_fee affiliation trade_body registration_fee professional_body',
  'books: books reference_books textbooks trade_journals subscriptions_journals library_books reading magazines journals publications newspapers periodicals library',
  'licences: licence operator_licence liquor_licence alcohol_licence business_licence trading_licence food_licence trade_licence annual_filing companies_registry statutory_filing inspection inspections mot licences permit permits registration registrations certification annual_return filing_fee',
  'officeCosts: office_expenses office_costs general_office admin administration',
  // People
  'tips > wages: tips gratuities gratuity tip tronc',
  'holidayPay > wages: holiday_pay vacation_pay leave_pay annual_leave pto vacation sick_pay',
  'bonus > wages: bonus bonuses thirteenth_cheque profit_share_staff incentive incentives',
  'overtime > wages: overtime',
  'wages: wages wage salary salaries payroll pay staff_costs gross_pay remuneration earnings_staff staff_wages employee_pay salaries_wages',
  'payrollTax: payroll_tax payroll_taxes employer_ni national_insurance nic ni_contributions paye prsi uif fica futa suta cpp ei social_insurance social_security employer_tax employer_contributions sdl',
  'workersComp: workers_comp workers_compensation wcb wsib workcover',
  'pension: pension pension_scheme workplace_pension auto_enrolment superann supers sipp ira sep pensions superannuation super retirement 401k kiwisaver provident rrsp_employer',
  'benefits: benefits health_cover staff_medical private_health medical_cover medical_scheme dental_vision group_health group_insurance life_cover_staff perks health_plan health_insurance medical_aid group_plan staff_benefits dental_plan medical_insurance',
  'conferences > training: conference conferences convention conventions symposium congress',
  'training: training staff_training staff_development professional_development professional_education learning skills_course instruction trainer trainers coaching_staff apprenticeship_training health_safety_training course courses cpd ce education tuition seminar seminars workshop workshops continuing_education first_aid_course',
  'recruitment: recruitment vacancy vacancies situations_vacant job_advert job_board recruiter recruiters background_checks dbs_checks recruiting hiring_staff job_ads agency_fee headhunter',
  'uniforms: uniform boots safety_boots safety_gear safety_equipment personal_protective gloves hard_hats aprons chef_whites staff_clothing work_boots hi_vis tabards uniforms workwear ppe clothing overalls scrubs safety_wear work_clothes protective_clothing',
  'welfare: staff_welfare staff_meal staff_food crew_meal christmas_party staff_christmas staff_entertaining staff_functions staff_refreshments staff_gifts break_room kitchen_supplies_staff coffee_tea canteen tea_milk milk_coffee water_cooler office_coffee office_snacks snacks_staff team_building staff_party staff_amenities team_lunch refreshments_staff tea_coffee',
  'subcontract: subcontractor s_c sub_contract sub_contractor sub_contracting subcontracted contracting_out farmed_out jobbed_out bought_in_labour bought_in_services outside_services outside_help third_party_labour self_employed_labour self_employed_workers contractor_payments contractors_paid helpers_contract guest_instructors session_musicians associates associate subcontractors subcontracter subcontracters sub subs subcontract subcontracting subbie subbies sublet sublet_work outwork outworker outworkers freelance freelancer freelancers contract_labour contract_labor contract_staff contract_work contractor contractors contracted hired_in consultant consultants consulting outside_work outsourced',
  'locums > subcontract: locum relief_vet relief_dentist relief_pharmacist cover_staff locums relief_staff',
  'casual > subcontract: casual hourly_help seasonal_labour seasonal_staff seasonal_workers summer_help summer_staff holiday_staff pickers harvest_labour harvest_help day_help extra_help extra_hands casual_labour casual_wages casual_staff piecework piece_work casuals temp temps temporary temporary_labour temporary_staff agency_staff agency_labour day_labour day_labor labourers seasonal',
  // Vehicles, travel
  'vehicles: vehicle vehicles car cars van vans truck trucks lorry lorries motor mv m_v fleet motor_vehicle motor_running pickup bakkie ute tractor tractors trailer boat',
  'fuel: fuel fuel_card fuel_cards pump garage_fuel diesel_petrol petrol_diesel petrol diesel gasoline derv gas_oil oil_gas vehicle_gas gas_vehicle motor_gas marked_diesel filling_station truck_gas gas_truck gas_van gas_car',
  'tyres: tyre tyres tire tires tyers tyer tubes tread',
  'vehicleTax: vehicle_tax disc licence_disc road_fund_licence rego_vehicle tags plates licence_plates truck_licence truck_tags car_rego number_plates road_tax car_tax motor_tax vehicle_licence ved rego registration_vehicle vehicle_registration',
  'parking: parking tolls toll congestion parking_tolls',
  'mileage: mileage mileage_paid car_allowance vehicle_allowance kms kilometres milage business_miles own_car mileage_claims kilometre_allowance km_claims',
  'travel: travel rail bus_fares buses ferry subway underground business_trips site_visits journeys out_of_town travelling traveling trips business_travel subsistence travel_expenses fares train taxi taxis uber_like',
  'flights > travel: flight flights airfare airfares air air_travel air_fare plane_tickets',
  'lodging > travel: hotel overnight overnights overnight_stays inn guest_house_stay rooms_away staying_away hotels lodging accommodation motel',
  'meals: meals m_e_meals meals_entertainment client_entertainment customer_entertainment entertaining_clients restaurants restaurant_meals coffee_meetings client_meals subsistence_meals business_lunches working_lunches meals_out eating_out t_e meal food groceries grub lunches lunch dinner catering caterers caterer entertaining entertainment hospitality client_lunch business_meals dining',
  // Selling
  'searchPlacing: seo search_engine_optimisation search_engine_optimization',
  'influencers: influencer influencers',
  'advertising: advertising marketing_expense online_ads online_marketing digital_marketing search_ads pay_per_click newspaper print_ads poster posters leafleting flyer business_cards signage billboard mailshot mailshots newsletter_costs email_marketing branding advertising_publicity window_display vehicle_wrap catalogue catalogues advert adverts advertisement advertisements advertizing ad ads adv promo promos promotion promotions promotional publicity marketing social_media flyers leaflets brochures ppc banners signs sponsorship radio_ads newspaper_ads recall_cards pr',
  'exhibitions: exhibition booth booths stand_hire market_pitch pitch_fees stallage stall_fees market_fees stall_rent stalls market_stall farmers_market_fees fairs_markets exhibitions fair fairs trade_show trade_shows expo expos show shows craft_fair market_stall_fee',
  'commission: commission commissions_paid booking_commission booking_fees_paid sales_agents agents introducer introducer_fee platform_commission marketplace_commission marketplace_fees seller_fees selling_fees listing_fees channel_fees broker brokerage consignment_commission gallery_commission ota_commission affiliate commissions agent_fee agents_commission referral_fee referral_fees finders_fee marketplace_fee platform_fee',
  'samples: samples giveaways free_samples',
  // Money
  'bankFees: bank_charge banking_fee bank_costs account_charges overdraft_fee wire_fee wire_fees bank_service_fee bank_commission bank_admin service_charge_bank bank_acct_fee bank_charges bank_fee bank_fees bank_service_charge account_fee monthly_fee_bank',
  'cardFees: card_fee card_machine card_terminal card_reader merchant_services merchant_account merchant_service payment_processing payment_processor payment_gateway gateway_fee gateway_fees credit_card_processing card_commission pdq speedpoint online_payment_fees discount_fees cc_fee cc_fees cc_processing credit_card_discount debit_card_fees card_fees merchant merchant_fee merchant_fees card_processing credit_card_fee credit_card_charges terminal_fee card_machine_fee eftpos processing_fee processing_fees card_charges',
  'interest: interest loan_interest bank_interest overdraft_interest interest_charges interest_paid interest_on_loan int finance_charge finance_charges finance_cost',
  'mortgage: mortgage mtge bond_property home_loan building_loan',
  'badDebts: bad_debt bad_accounts written_off irrecoverable_debts irrecoverable doubtful_accounts credit_losses customers_never_paid bad_debts bad_debts_written_off write_off write_offs uncollectible doubtful_debts uncollectable',
  'fines: fines fine parking_tickets parking_fine traffic_fines late_charges late_filing_penalty surcharge penalties penalty late_fee',
  'cashDifferences: over_short cash_differences till_short cash_variance cash_discrepancies till_discrepancies drawer_differences overs_shorts overs_unders shorts_overs cash_over_short till_difference till_differences rounding cash_short till_over_under',
  'exchange: exchange exch exchange_loss exchange_gain currency_loss currency_gain currency forex_loss fx_loss fx_gain_loss foreign_currency fx forex foreign_exchange currency_difference exchange_difference',
  // Advice, insurance
  'payrollService: payroll_bureau payroll_service payroll_processing payroll_provider',
  'audit > accountancy: audit auditor auditors independent_examination examiner',
  'accountancy: accounting books_kept accountants_fee year_end_accts tax_advice tax_adviser tax_agent tax_preparer tax_prep accounts_preparation accountancy accountant accountants acctg acct_fee bookkeeping bookkeeper book_keeping cpa tax_return_preparation tax_preparation year_end_accounts ca_fee',
  'counsel > legal: counsel barrister barristers',
  'legal: legal legal_costs legal_advice law lawyers_fees deeds trademark patent patents trademarks lawyer lawyers solicitor solicitors attorney attorneys legals conveyancing notary law_firm',
  'professional: professional professional_services surveyor advisory adviser professional_advice professional_fee professional_fees prof_fee prof_fees legal_professional advisers advisors',
  'insurance: insurance insured insurance_premium insurances_general policies business_insurance general_insurance ins insurances insce cover assurance policy',
  'liabilityCover > insurance: indemnity professional_indemnity pi malpractice liability_insurance public_liability e_o errors_omissions professional_liability pl_insurance medical_defence liability_cover',
  'marineCover > insurance: marine_insurance hull p_i boat_insurance hull_insurance ins_hull',
  'vehicleCover > insurance: vehicle_insurance motor_insurance car_insurance van_insurance insurance_vehicle',
  // Buying and making
  'purchases: purchase goods_for_resale goods_resale resale_goods items_for_resale merchandise_bought product_purchases stock_bought stock_purchases purchases purch purchased bought buying bought_in buy cost_of goods_bought',
  'timber > materials: timber lumber wood boards sheet_goods plywood hardwood softwood',
  'steel > materials: steel metal metals aluminium aluminum sheet_metal bar_stock',
  'fabric > materials: fabric fabrics cloth textiles material_fabric yarn leather',
  'ironmongery > materials: ironmongery hardware fixings screws nails fasteners bolts screws_nails hinges',
  'stone > materials: stone aggregate aggregates gravel sand ballast concrete cement readymix ready_mix',
  'materials: materials material raw_materials supplies_used ingredients raw_ingredients',
  'consumables: consumables consumable supplies sundry_supplies disposables',
  'sharpening: sharpening blades blade_sharpening saw_sharpening saw_blades blades_sharpened',
  'smallTools: small_tools tools_replaced loose_tools tooling small_tool_purchases tools_under small_equipment_purchases minor_tools tools_consumables tools hand_tools tool small_equipment minor_equipment',
  'laboratory: lab labs laboratory laboratories lab_fees technician_work',
  'drugs: drugs drug medicines medicine medication medications pharmaceuticals meds',
  'coffee: coffee coffee_beans espresso_beans coffee_tea_purchases green_coffee',
  'drinks: drinks soft_drinks minerals mixers wets bar_stock bar_purchases bar_supplies beverages_purchased cider ales draught drink beverage beverages alcohol liquor bar wine wines beer beers spirits wet_purchases wet_stock booze cellar',
  'feed: feed feeds feedstuff fodder hay meal_feed nuts ration rations concentrates silage feed_meal',
  'fertiliser: fertiliser fertilizer fert lime manure compost',
  'sprays: spray sprays pesticide pesticides herbicide chemicals crop_protection',
  'seed: seed seeds seedlings plants plugs',
  'veterinary: animal_health livestock_health vaccination vaccinations dosing worming vet_bills vet_meds vet vets veterinary vet_med ai_vet',
  'royalties: royalty performing_right licence_to_play author_royalties artist_royalties mechanicals song_licence music_royalties script_rights royalties performing_rights music_licence music_rights play_rights rights copyright licence_fee_music',
  'toiletries: toiletries soap soaps shampoo shampoos guest_supplies amenities_guest toilet_rolls',
  'glass: glass glazing windscreen',
  'design: designer designers design creative creatives graphic illustrator illustrators',
  'research: research searches online_research database',
  'structural: structural structure engineer engineers engs eng m_e',
  // Taking in
  'legacies > donations: bequests bequest legacies legacy',
  'donations: donation donated donors donor general_giving individual_giving individual_donations donations_individuals gifts_individuals giving_public charitable_gifts collection_plate plate_offering regular_giving one_off_gifts sunday_collections free_will_offerings cash_gifts donations gift gifts giving given contribution contributions offering offerings collections tithes tithe pledges appeals receipted_gifts',
  'fundraising: fundraising fundraiser fundraisers fund_raising fundraising_events charity_event gala raffle raffles raffle_tickets tombola jumble_sale bake_sale benefit_night sponsored_walk auction_evening',
  'grants: grant grant_income council_grants govt_grant government_support grant_funding lottery_funding funders grants funding award_received subsidy subsidies',
  'vouchers: voucher gift_tokens gift_token tokens gift_certs gift_cert store_credit vouchers certificate certificates gift_card gift_cards gift_voucher gift_vouchers gift_certificate gift_certificates',
  'unearned: unearned paid_ahead paid_upfront prepaid_sales prepayments_received advance_payments_customers payments_in_advance customer_prepayments billed_in_advance billings_in_advance tuition_in_advance rent_in_advance advance_bookings unearned_fees deferred_fees unexpired retainers_held retainers deferred advance_received prepaid_income income_in_advance fees_in_advance received_in_advance deferred_revenue deferred_income unredeemed not_redeemed sold_not_redeemed subs_in_advance unearned_income',
  'members: members_fee membership_income membership_fees_received subs_received members_subs',
  'passes: pass day_tickets single_visits casual_entry visitor_fees visitors guest_passes entry_fees admission admissions gate gate_money door_money door_takings ticket_sales tickets box_office entrance entrances passes day_pass drop_in drop_ins walk_in walk_ins payg pay_as_you_go casual_visits',
  'tuition: lesson lessons class classes workshops_taught tuition_fees teaching lesson_fees class_fees course_fees_received',
  'callouts: callout callouts call_out call_outs emergency_call emergency_visits service_calls service_call',
  'roomHire: room_hire hall_hire hall_lettings lettings letting venue_hire hirings room_rental studio_hire space_hire hire_of_hall',
  'bookings: bookings reservations booking reservation',
  'boarding: boarding kennelling kennels cattery overnight_boarding boarding_fees day_care daycare doggy_daycare',
  'grooming: grooming groom clipping bath_trim',
  'moorings: mooring moorings berth berths berthing slip_fees dock_fees dockage wharfage slips harbour_dues',
  'warranty: warranty warranties guarantee_work guarantees callbacks rework remedial remedials snagging making_good',
  'discounts: discount discounts discounts_allowed discounts_given price_reductions loyalty_discounts early_payment_discount settlement_discount',
  'refunds: refunds refund refunded returns returned_goods sales_returns credits_given credit_notes returns_refunds returns_allowances',
  'prizes: prize prizes trophies awards medals trophy engraving_trophies',
  'props: props costumes costume_hire wardrobe sets scenery set_building scenery_props',
  'hallHire: venue venues hire_of_venue venue_rental hire_of_rooms theatre_rental',
  'equipmentHire: equipment_hire plant_hire tool_hire hire_of_plant equipment_rental machine_rental rental_of_equipment machine_hire rented_equipment hired_plant hired_equipment tool_rental lease_of_equipment equipment_leasing equipment_lease machinery_hire',
  'retail: retail counter shop_sales over_counter product_sales take_home_sales take_home merchandise merch',
  'sales: sales sale income revenue takings turnover sold fees_earned',
  // Owing and owed
  'accruals: accrual accruals accrued accrued_expense accrued_liabilities accrued_bills bills_not_received gni goods_received_not_invoiced',
  'prepaid: prepaid prepayment prepayments paid_in_advance prepaid_expenses expenses_paid_ahead prepaids',
  'creditors: creditors trade_payables trade_accounts_payable creditor_control creditors_control purchase_ledger_control bought_ledger supplier_accounts supplier_balances amounts_owed_suppliers bills_outstanding payables_trade we_owe_suppliers suppliers_unpaid unpaid_suppliers creditor vendors vendor suppliers supplier ap accounts_payable accts_payable account_payable trade_creditors vendors_payable bills_to_pay unpaid_bills we_owe owe purchase_ledger bills_owing',
  'debtors: debtors receivable receivables trade_receivables trade_accounts_receivable debtors_control sales_ledger_control debtor_control amounts_due_customers due_from_customers customer_balances customers_owe customer_accounts owed_by_customers receivables_trade unpaid_by_customers they_owe_us debtor ar accounts_receivable accts_receivable account_receivable trade_debtors customers_owing sales_ledger unpaid_invoices invoices_outstanding owing_from',
  'loans: loan loans lent advance advances note notes borrowing borrowings lending',
  'hirePurchase > loans: hp hire_purchase finance_agreement chattel_mortgage',
  'owner: shareholder members_loan members_current director_loan directors_loan stockholder stockholders principal principals family_loan sole_trader co_owner shareholders owner owners director directors proprietor partner partners sh s_h member_loan',
  'deposits: deposit deposits',
  'salesTax: sales_tax vat_control vat_account vat_payable gst_payable hst_payable gst_collected sales_tax_collected sales_tax_payable tax_on_sales output_tax gct vat gst hst gst_hst',
  'quebecTax: qst',
  'provincialTax: pst rst provincial_sales_tax retail_sales_tax',
  'pettyCash: petty_cash cash_box cash_tin petty imprest',
  'unbanked: cash_to_bank not_yet_banked unbanked cash_not_banked cheques_on_hand checks_on_hand cheques_not_banked takings_not_banked to_be_banked',
  'till: float floats till tills cash_drawer cash_float register',
  'creditCard: credit_card cc charge_card business_card company_visa corporate_card card_payable card_balance visa mastercard amex company_card',
  'suspense: suspense to_be_sorted sort_out sort_later to_be_allocated unexplained to_allocate unidentified dont_know mystery parking_account holding_account not_sure ask_cpa ask_bookkeeper uncoded uncategorised uncategorized ask_accountant unknown to_sort query queries unallocated',
  'drawings: drawings money_taken_out taken_out personal_use private_use private_spending personal_spending personal_withdrawals personal_expenses family_living living_expenses household own_use drawn drawing draw draws withdrawals owner_draw personal private owners_personal',
  'depreciation: depreciation depr depn deprec cca wear_and_tear',
  'amortisation > depreciation: amortisation amortization amort',
  'wip: wip work_in_progress jobs_in_progress unfinished_jobs unbilled unbilled_work unbilled_time work_in_process part_finished',
  'finishedGoods: finished_goods finished_stock finished_product made_goods',
  'stock: stock closing_stock stock_in_hand stock_on_hand goods_in_stock goods_for_sale shop_stock merchandise_inventory inventory stocks goods_on_hand',
  'storage: storage storage_rent lock_up lockup storage_container container_hire container_storage cold_store cold_storage warehouse_rent storage_units locker self_storage warehouse warehousing unit_storage storage_locker',
  'cremation: cremation cremations',
  'outward: outward out outgoing to_customers to_dealers to_clients out_customers',
  'inward: inward inwards in_goods incoming from_suppliers',
  'streetLights: street_light street_lights streetlight streetlights',
  'property: property properties building buildings premises yard workshop office',
  'sea: sea ocean',
  'customers: customer customers client clients dealers guest guests patient patients tenant tenants buyers shoppers',
  'staff: staff crew team employee employees',
  'outside: outside external third_party',
  'online: online web internet_orders e_commerce ecommerce',
  'charity: charity charitable charitable_donations charitable_giving charities good_causes donations_made donations_paid',
  'clientGifts: client_gifts customer_gifts gifts_to_clients gifts_to_customers business_gifts corporate_gifts',
  'healthSafety: health_safety h_s safety first_aid fire_extinguishers fire_extinguisher fire_safety',
  'testing: testing tests soil_tests water_tests pat_testing calibration calibrations lab_tests',
  'decorations: flowers florist decorations decor plants_flowers flower_arrangements',
  'music: music band musicians dj entertainers performers live_music artists_fees performer_fees',
  'photography: photography photographer photos photo_shoot product_photos',
  'translation: translation translations interpreter interpreting translator translators',
  'miscellaneous: misc odds_ends odds_sods bits_pieces other_bits sundry_items various any_other miscellaneous sundry sundries general_expenses various_expenses petty_expenses',
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

/** Without one of these a name has no short form. */
const SHORT_FORM = /[&/]|\bWC\b/;

const SHORT_FORMS: readonly (readonly [short: RegExp, long: string])[] = [
  [/\bR\s*&\s*M\b/gi, 'repairs'],
  [/\bS\s*&\s*M\b/gi, 'marketing'],
  [/\bA\/([PR])\b/gi, 'A$1'],
  [/\bM\/V\b/gi, 'vehicle'],
  [/\bE\s*&\s*O\b/gi, 'malpractice'],
  [/\bP\s*&\s*I\b/gi, 'hull'],
  [/\bM\s*&\s*E\b/gi, 'engineers'],
  [/\bT\s*&\s*E\b/gi, 'travel meals'],
  [/\bP\s*&\s*P\b/gi, 'postage packaging'],
  [/\bH\s*&\s*S\b/gi, 'safety'],
  [/\bF\s*&\s*B\b/gi, 'food drinks'],
  [/\bW\/?C\b/g, 'workers comp'],
  [/\bC\/C\b/gi, 'credit card'],
  [/\bS\/C\b/gi, 'subcontract'],
  [/\bO\/T\b/gi, 'overtime'],
  [/\bW\/H\b/gi, 'withheld'],
];

/** A name with its short forms spelt out. */
export const spokenName = (name: string): string =>
  SHORT_FORM.test(name)
    ? SHORT_FORMS.reduce((so, [short, long]) => so.replace(short, long), name)
    : name;

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
  'wages insurance depreciation amortisation sales purchases loans owner interest rent deposits stock materials property dues licences training benefits donations grants drawings royalties debtors computers accruals prepaid wip finishedGoods discounts refunds steel timber fabric tuition passes'.split(
    ' ',
  ),
);
/** Topics that say where or how, and seldom what. */
const BESIDE: ReadonlySet<string> = new Set(
  'vehicles customers online property municipal outward inward retail officeCosts members miscellaneous staff outside'.split(
    ' ',
  ),
);

/** Whether a business often has several accounts of a topic on purpose. */
export const isNamedSeveral = (topic: string): boolean => OFTEN_SEVERAL.has(topic);
export const isOftenSeveral = ({ name }: Thing): boolean => isNamedSeveral(name);

/** Whether a thing says where or how, and seldom what. */
export const isBeside = ({ name }: Thing): boolean => BESIDE.has(name);
