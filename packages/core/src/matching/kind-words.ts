import type { Element } from '../kinds/element';
import type { KindCode } from '../kinds/kinds';

/** What an account is about: the kind that it usually is, and the kinds that it is as another element. */
export interface Topic {
  readonly phrases: readonly string[];
  readonly usual: KindCode;
  readonly as: Partial<Readonly<Record<Element, KindCode>>>;
  /** How strongly it speaks: 1 for a thing, 2 for a doing, 3 for a term of the trade. */
  readonly weight: number;
}

/** A word that says which element an account belongs to, whatever it is about. */
export interface Sign {
  readonly phrases: readonly string[];
  readonly element: Element;
  /** The kind where nothing says more. */
  readonly usual: KindCode;
  readonly weight: number;
  /** Whether it settles the kind, whatever the account is about: prepaid, unearned. */
  readonly firm: boolean;
}

type As = Topic['as'];

const topic = (weight: number, usual: KindCode, phrases: string, as: As = {}): Topic => ({
  phrases: phrases.split(', '),
  usual,
  as,
  weight,
});

const FIRM: ReadonlySet<KindCode> = new Set(['deferredRevenue', 'prepaidExpense']);

const sign = (weight: number, element: Element, usual: KindCode, phrases: string): Sign => ({
  phrases: phrases.split(', '),
  element,
  usual,
  weight,
  firm: FIRM.has(usual),
});

/** Signs of an element. Usage of the trade: common practice, no source. */
export const SIGNS: readonly Sign[] = [
  sign(4, 'liability', 'otherCurrentLiability', 'payable, owed, owing, owe, due to, withheld, withholding, collected, amount due'),
  sign(4, 'liability', 'accruedExpense', 'accrued, accrual, provision'),
  sign(3, 'liability', 'deferredRevenue', 'unearned, received in advance, in advance, customer deposit, deposit held'),
  sign(2, 'liability', 'deferredRevenue', 'deferred'),
  sign(3, 'liability', 'otherCurrentLiability', 'liability, liabilities, obligation, creditor'),
  sign(4, 'asset', 'otherReceivable', 'receivable, due from, owed by, owing from, debtor'),
  sign(4, 'asset', 'prepaidExpense', 'prepaid, prepayment, paid in advance, unexpired'),
  sign(3, 'asset', 'otherCurrentAsset', 'asset, recoverable, reclaimable, refundable, undeposited, on hand, in hand'),
  sign(3, 'expense', 'operatingExpense', 'expense, cost, payment, charge, paid, outgoing, spending, loss, disallowed'),
  sign(1, 'expense', 'operatingExpense', 'fee, service, supply, dues, subscription, program'),
  sign(3, 'revenue', 'otherOperatingRevenue', 'income, revenue, earned, received, proceed, receipt, turnover, gain'),
  sign(2, 'equity', 'ownersCapital', 'equity, capital, shareholder, stockholder, partner, owner, member, proprietor'),
]; // prettier-ignore

const ASSETS: readonly Topic[] = [
  topic(2, 'cashOnHand', 'cash, petty cash, till, cash drawer, cash register, float, imprest, undeposited, working fund'),
  topic(3, 'bank', 'bank, building society, credit union, checking, current account, savings, saving, money market, deposit account, cash at bank, cash equivalent, operating account, demand deposit, temporary cash investment', { expense: 'operatingExpense', revenue: 'investmentIncome', liability: 'shortTermBorrowing' }),
  topic(3, 'clearing', 'clearing, in transit, suspense, not yet banked, card taking, processor balance, payout, marketplace balance'),
  topic(3, 'shortTermInvestment', 'short term investment, current financial asset, treasury bill, trading securities, marketable securities, securities, equity securities, current investment, certificate deposit, available sale, government obligation', { revenue: 'investmentIncome', expense: 'otherExpense' }),
  topic(3, 'tradeReceivable', 'account receivable, trade receivable, trade debtor, note receivable trade, customer receivable, contract asset, debtor, trade note, receivable customer, unbilled receivable'),
  topic(8, 'receivableAllowance', 'allowance doubtful, allowance bad debt, allowance credit loss, allowance uncollectible, provision doubtful, provision bad debt, expected credit loss, loss allowance, allowance bad, allowance receivable, doubtful account, uncollectible account, uncollectible, uncollectable'),
  topic(3, 'otherReceivable', 'employee advance, staff loan, insurance claim, note receivable, pledge receivable, grant receivable, advance employee, loan to officer, interest receivable, dividend receivable, rent receivable, tax refund, contribution receivable, pledge'),
  topic(3, 'inventory', 'inventory, finished goods, raw material, work process, work progress, merchandise, stock sale, stock trade, goods sale, packaging stock, goods transit, goods resale, material on hand, livestock sale, stock hand, supply hand', { expense: 'costOfSales' }),
  topic(2, 'prepaidExpense', 'prepaid, prepayment, unexpired insurance, deferred charge'),
  topic(4, 'salesTaxRecoverable', 'input tax, input vat, vat recoverable, vat receivable, gst recoverable, hst recoverable, sale tax recoverable, vat reclaimable, input gst, itc receivable'),
  topic(1, 'propertyAndEquipment', 'land, building, equipment, machinery, furniture, fixture, vehicle, computer, tool, plant, property, leasehold improvement, premises, construction progress, building improvement, right use, rental property, machine, fitting, appliance, freehold, motor, tractor, boat, ship, aircraft, bearer plant, orchard, breeding stock, hardware, depreciable, depletable, kiln, oven, server', { expense: 'operatingExpense', revenue: 'gains' }),
  topic(5, 'accumulatedDepreciation', 'accumulated depreciation, depreciation date, less depreciation, provision depreciation, accumulated depletion, depreciation building, depreciation equipment', { expense: 'depreciation' }),
  topic(3, 'intangibleAsset', 'patent, goodwill, trademark, trade mark, trade name, copyright, franchise, intangible, software, development cost, customer list, domain name, website, brand, organization cost, organizational cost, license right', { expense: 'operatingExpense' }),
  topic(6, 'accumulatedAmortisation', 'accumulated amortization, amortization date, less amortization'),
  topic(4, 'longTermInvestment', 'long term investment, investment associate, share in group, share in subsidiary, participating interest, investment subsidiary, investment affiliate, held maturity, bond held, investment property, investment bond, investment joint venture, equity method, investment stock, program related investment, publicly traded, investment land, noncurrent investment, financial asset, other investment, mortgage real estate loan, real estate loan, corporate bond, investment in'),
  topic(3, 'loanGiven', 'security deposit, rent deposit, lease deposit, deposit paid, utility deposit, loan to shareholder, loan to director, loan to owner, loan to partner, loan to officer, loan related, loan made, loan given, deposit landlord, loan subsidiary, loan receivable', { liability: 'dueToOwner' }),
  topic(4, 'otherNonCurrentAsset', 'deferred tax asset, noncurrent asset, noncurrent asset, long term asset, biological asset, restricted cash, defined benefit asset, pension asset, long term receivable, cash surrender value'),
  topic(2, 'otherCurrentAsset', 'current asset, held sale, contract cost, undeposited'),
]; // prettier-ignore

const LIABILITIES: readonly Topic[] = [
  topic(4, 'tradePayable', 'account payable, trade payable, trade creditor, note payable trade, supplier payable, creditor, bill payable, vendor payable, supplier, goods received'),
  topic(5, 'cardPayable', 'credit card, fuel card, charge card, company card, business card', { expense: 'operatingExpense' }),
  topic(2, 'payrollPayable', 'net pay, paye, payroll withholding, garnishment, union dues, tip payable, fica, employee withholding, compensated absence, tip, wage control', { expense: 'operatingExpense' }),
  topic(4, 'salesTaxPayable', 'sale tax, vat, gst, hst, output tax, output vat, value added tax, use tax, goods service tax, pst', { asset: 'salesTaxRecoverable' }),
  topic(5, 'deferredTax', 'deferred tax, deferred income tax'),
  topic(3, 'accruedExpense', 'accrual, warranty, audit accrual, refund liability, royalty payable, excise payable, duty payable, property tax payable, interest payable'),
  topic(4, 'deferredRevenue', 'unearned, deferred revenue, deferred income, customer deposit, customer advance, gift card, gift voucher, gift certificate, retainer received, contract liability, layaway, billing excess, advance customer, deposit customer, client retainer, ticket sold, season ticket, prepaid customer, payment on account, payment received on account, payment received account'),
  topic(4, 'shortTermBorrowing', 'overdraft, short term financing, in less year, in one year, current lease liability, line credit, current portion, short term loan, short term borrowing, bank loan current, revolving, commercial paper, payable less one year, loan payable short, note payable bank, note payable short, current maturity, short term debt, current installment, demand loan, payday'),
  topic(4, 'dueToOwner', 'due owner, loan owner, shareholder loan, owner loan, loan from owner, director loan, due shareholder, due stockholder, loan from shareholder, loan from stockholder, due partner, loan partner, loan officer payable, director current', {}),
  topic(3, 'otherCurrentLiability', 'dividend payable, distribution payable, escrow, client money, trust account, custodial, agency fund, held others, lease current, current lease', {}),
  topic(4, 'longTermBorrowing', 'mortgage, bond payable, long term debt, long term loan, bank loan, loan payable, note payable, term loan, hire purchase, finance lease, lease liability, lease payable, debenture, equipment loan, vehicle loan, long term borrowing, tax exempt bond, loan, borrowing, notes, indebtedness', { expense: 'financeCost', asset: 'otherReceivable' }),
  topic(4, 'otherNonCurrentLiability', 'pension liability, asset retirement, noncurrent liability, noncurrent liability, long term provision, post retirement, retirement benefit obligation, defined benefit, long term liability, pension obligation, minority, deferred compensation, decommissioning, severance obligation'),
]; // prettier-ignore

const EQUITY: readonly Topic[] = [
  topic(5, 'ownersCapital', 'owner capital, capital account, partner capital, proprietor capital, capital introduced, owner contribution, owner investment, member capital, partner equity, owner equity, member equity, capital contribution, investment owner'),
  topic(5, 'drawings', 'drawing, withdrawal, distribution, dividend declared, dividend paid, dividend, owner draw, owner withdrawal, draw, personal expense', { revenue: 'investmentIncome', asset: 'otherReceivable', liability: 'otherCurrentLiability' }),
  topic(5, 'shareCapital', 'common stock, share, preferred stock, capital stock, share capital, ordinary share, preference share, issued capital, class stock, called up share, subscribed capital, common share, preferred share'),
  topic(6, 'additionalPaidInCapital', 'paid capital, additional paid, paid excess, share premium, premium on stock, contributed surplus, excess par, capital surplus, share based payment reserve'),
  topic(6, 'treasuryShares', 'treasury stock, treasury share, own share, share repurchase, stock repurchased, reacquired share, reacquired stock, reacquired, bought back, buyback'),
  topic(6, 'retainedEarnings', 'retained earnings, accumulated deficit, accumulated earnings, earned surplus, retained profit, profit loss, profit loss brought forward, accumulated profit, undistributed earnings, accumulated adjustment, unappropriated, appropriated, previously taxed, revenue reserve, retained surplus, retained income, reserve, comprehensive, profit year, surplus year, net profit, net income, current year earning, profit current year, surplus current year'),
  topic(6, 'openingBalanceEquity', 'opening balance, opening equity'),
  topic(10, 'netAssetsWithRestrictions', 'with donor restriction, restricted fund, endowment, temporarily restricted, permanently restricted, restricted net asset, donor restricted, restricted reserve'),
  topic(2, 'netAssetsWithoutRestrictions', 'net asset'),
  topic(12, 'netAssetsWithoutRestrictions', 'without donor restriction, without restriction, unrestricted, general fund, fund balance, accumulated fund, board designated'),
]; // prettier-ignore

const REVENUES: readonly Topic[] = [
  topic(2, 'saleOfGoods', 'sale, sale goods, goods, product sale, gross sale, merchandise sale, retail sale, wholesale, food sale, beverage sale, online sale, shop sale, gross receipt, turnover, takings, crop, livestock, gross takings', { expense: 'costOfSales' }),
  topic(3, 'services', 'service revenue, fee earned, service income, consulting income, fee income, professional fee earned, tuition, membership dues, membership fee, commission earned, commission income, program service revenue, consulting revenue, subscription revenue, admission, lesson, class, workshop, service fee, service rendered, management fee earned, membership, ticket sale, repair income, treatment, tour, freight revenue, contract revenue, royalty income, program revenue, service sale, commission revenue', {}),
  topic(1, 'services', 'service', { expense: 'operatingExpense' }),
  topic(6, 'returnsAndDiscounts', 'sale return, sale discount, sale allowance, return allowance, discount given, discount allowed, refund, return, allowance, rebate given, price reduction', { asset: 'receivableAllowance' }),
  topic(4, 'grantsAndDonations', 'donation, grant, contribution, gift, fundraising, bequest, government grant, sponsorship, pledge revenue, offering, fund raising event, federated campaign, legacy, collection plate, membership contribution, appeal', { expense: 'operatingExpense', asset: 'otherReceivable', liability: 'accruedExpense' }),
  topic(3, 'otherOperatingRevenue', 'rental income, rent income, rent received, rental revenue, scrap, commission received, operating revenue, royalty, miscellaneous income, recovery, room hire, vending, rent revenue, sundry income, gross rent, rent earned, cooperative distribution, business income, operating income, net rental', {}),
  topic(4, 'investmentIncome', 'interest income, interest earned, interest received, dividend income, dividend received, investment income, interest revenue, interest receivable earned, bank interest, dividend revenue, finance income, investment revenue, portfolio, royalty investment, interest on saving, tax exempt interest', {}),
  topic(4, 'gains', 'gain, profit on sale, profit on disposal, capital gain, exchange gain, gain sale, gain disposal, unrealized gain, profit disposal, revaluation gain', {}),
]; // prettier-ignore

const EXPENSES: readonly Topic[] = [
  topic(5, 'costOfSales', 'cost goods, cost sale, purchase, raw material used, direct labor, direct material, freight in, inbound freight, subcontractor, subcontract, merchant purchase, goods sold, manufacturing overhead, material consumed, ingredient, packaging, carriage inward, purchase return, purchase discount, cost revenue, job material, production cost, construction industry, import duty, cost service, production wage, factory overhead, fruit, clay, feed, seed, fertilizer, custom hire, direct cost, cost product, inventory change, change inventory, factory supply, lime, packing material, consignment, cost labor, cost material, cost service', { asset: 'inventory' }),
  topic(2, 'operatingExpense', 'rent, insurance, utility, electricity, water, gas, telephone, internet, advertising, marketing, travel, meal, entertainment, repair, maintenance, office, postage, printing, stationery, legal, accounting, audit, professional, training, license, permit, subscription, cleaning, security, fuel, freight out, delivery, shipping, bank charge, merchant fee, card fee, processing fee, miscellaneous, sundry, bad debt, uncollectible, property tax, real estate tax, contract consulting, recruitment, lease, rental, hire, information technology, conference, convention, meeting, occupancy, uniform, laundry, garbage, waste, dues, publication, research, small tool, selling, administrative, administration, general, distribution, promotion, donation made, charitable, staff, health, education, parking, toll, mileage, bank fee, collection, moving, storage, warehouse, herbicide, veterinary, breeding, conservation, chemical, royalty expense, management fee, fundraising fee, lobbying, benefit, medical, premium, rate, heat, light, power, tax, commission fee, hotel, accommodation, trade show, web hosting, hosting, franchise fee, supply, retirement plan, profit sharing, board, director fee, trustee, tea, gift to client, uncollected, irrecoverable, impairment, write off', { liability: 'accruedExpense', revenue: 'otherOperatingRevenue' }),
  topic(5, 'depreciation', 'depreciation, wear and tear, amortization, depletion, section 179, capital allowance, right use depreciation', { asset: 'accumulatedDepreciation' }),
  topic(4, 'financeCost', 'interest, finance cost, finance charge, mortgage interest, bank interest paid, interest paid, interest expense, debt issue, borrowing cost, loan fee, overdraft interest', { liability: 'accruedExpense', asset: 'otherReceivable', revenue: 'investmentIncome' }),
  topic(5, 'incomeTax', 'income tax, current tax, corporation tax, tax on ordinary, tax on profit, franchise tax income, federal income tax, state income tax, profit tax, tax provision, built in gain tax, provision income tax, estimated tax', { liability: 'incomeTaxPayable', asset: 'otherCurrentAsset' }),
  topic(5, 'otherExpense', 'loss sale, loss disposal, fine, penalty, exchange loss, loss, casualty loss, extraordinary, discontinued, loss equipment, unrealized loss, theft, restructuring, settlement, nonoperating, lawsuit, goodwill impairment, storm, net loss, capital loss, unusual', {}),
  topic(6, 'memorandum', 'memorandum, statistical, head count, hours worked, units sold, square feet, contingent', {}),
]; // prettier-ignore

/** Payroll words that mean money owed where a sign says so. */
const PAYROLL: readonly Topic[] = [
  topic(3, 'operatingExpense', 'wage, salary, payroll, payroll tax, bonus, vacation, employee benefit, employer, guaranteed, commission, pension, compensation, holiday pay, social security, medicare, unemployment, employee, labor', { liability: 'payrollPayable' }),
]; // prettier-ignore

/** What accounts are about, term by term. Usage of the trade: common practice, no source. */
export const TOPICS: readonly Topic[] = [
  ...ASSETS,
  ...LIABILITIES,
  ...EQUITY,
  ...REVENUES,
  ...EXPENSES,
  ...PAYROLL,
];
