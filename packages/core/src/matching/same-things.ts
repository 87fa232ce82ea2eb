import { wordsOf } from './words';

/** Words that say the same thing of an account, whatever the country or the habit. Common practice, no source. */
const SAME: readonly string[] = [
  'telephone phone tel telecom telecoms cell cellphone cellular mobile mobiles cel airtime landline',
  'internet broadband wifi fibre web online',
  'electricity electric elec power light lights hydro',
  'heat heating gas',
  'fuel petrol diesel gasoline derv',
  'advertising advert ad ads adv promo promotion promotions publicity marketing advertizing advertisement',
  'repair repairs maintenance maint reprs reprs fixing upkeep mending rm repairing',
  'creditor creditors vendor vendors supplier suppliers payable payables ap',
  'debtor debtors receivable receivables ar',
  'accounting accountancy accountant accountants acctg bookkeeper bookkeeping audit cpa',
  'freight carriage shipping postage delivery haulage courier',
  'subcontractor subcontractors sub subs subcontract subcontracter subcontracters subbie freelance freelancer freelancers sublet consultant consultants casual casuals temp temporary',
  'donation donations gift gifts giving',
  'voucher vouchers certificate certificates',
  'property realty municipal council',
  'wage wages salary salaries',
  'insurance ins premium indemnity assurance',
  'malpractice liability eo pi',
  'software saas app system subscription tool',
  'exhibition exhibitions fair show shows trade expo',
  'sea ocean',
  'flight flights airfare airfares air',
  'meal meals food groceries grub catering caterers entertaining entertainment',
  'landscape landscaping lawn garden grounds',
  'clean cleaning cleaner cleaners valeting washing janitorial',
  'waste bin bins rubbish trash garbage refuse skip',
  'tyre tyres tire tires tyer tyers',
  'shareholder shareholders owner owners director directors',
  'loan loans advance advances lent note notes',
  'unearned deferred advance prepaid',
  'training course courses cpd education',
  'purchase purchases bought buying bought-in',
  'packing packaging mailer mailers wrapping boxes',
  'lab laboratory laboratories',
  'motor vehicle vehicles car cars van vans truck trucks lorry lorries',
  'engineer engineers engineering eng engs structural',
  'drug drugs medicine medicines',
  'stationery stationary printing paper',
  'interest int',
  'mortgage mtge',
  'bank banking',
  'charge charges fee fees',
];

const CONCEPTS: ReadonlyMap<string, string> = new Map(
  SAME.flatMap((line) => {
    const [first = '', ...others] = line.split(' ');
    return [first, ...others].flatMap((word) =>
      [word, ...wordsOf(word)].map((one): [string, string] => [one, first]),
    );
  }),
);

/** Words that tell no account of a list from another. */
const IDLE = new Set(
  wordsOf(
    'expense cost charge fee bill account stuff other general misc sundry business company co the service svc item used',
  ),
);

/** All that a name says, words that say the same being one. */
export const wordsIn = (name: string): readonly string[] => {
  const spoken = name
    .replace(/\bR\s*&\s*M\b/gi, 'repairs')
    .replace(/\bA\/([PR])\b/gi, 'A$1')
    .replace(/\bE\s*&\s*O\b/gi, 'malpractice')
    .replace(
      /\bgas (and|&) oil\b|\b(truck|van|car|vehicle) gas\b|\bgas (for|-) (the )?(trucks?|vans?|cars?)\b/gi,
      'fuel',
    );
  return [...new Set(wordsOf(spoken).map((word) => CONCEPTS.get(word) ?? word))];
};

/** The things that a name speaks of: its words without the idle ones, unless it has no others. */
export const thingsIn = (name: string): readonly string[] => {
  const things = wordsIn(name);
  const telling = things.filter((thing) => !IDLE.has(thing));
  return telling.length > 0 ? telling : things;
};
