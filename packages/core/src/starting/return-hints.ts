import type { ReturnLineChoice } from '../settings/return-form';

/** What an account of a starting chart is on a return, more exactly than its kind says. */
type Hint =
  | 'advertising' | 'vehicles' | 'wages' | 'payrollTaxes' | 'insurance' | 'professional' | 'office'
  | 'telephone' | 'rent' | 'utilities' | 'repairs' | 'travel' | 'meals' | 'commissions' | 'bank'
  | 'licences' | 'contractors' | 'land' | 'officers' | 'guaranteed'; // prettier-ignore

const HINTS: Readonly<Record<string, Hint>> = {
  Advertising: 'advertising',
  Fuel: 'vehicles',
  'Vehicle repairs and insurance': 'vehicles',
  'Truck insurance': 'insurance',
  Wages: 'wages',
  'Development wages': 'wages',
  'Payroll taxes': 'payrollTaxes',
  Insurance: 'insurance',
  'Malpractice insurance': 'insurance',
  'Professional liability insurance': 'insurance',
  'Accounting and legal': 'professional',
  'Office supplies': 'office',
  'Telephone and software': 'telephone',
  Rent: 'rent',
  'Land rent': 'rent',
  'Power, water and heating': 'utilities',
  'Repairs and cleaning': 'repairs',
  Travel: 'travel',
  'Meals with clients': 'meals',
  'Card processing fees': 'commissions',
  'Marketplace fees': 'commissions',
  'Bank charges': 'bank',
  Licences: 'licences',
  'Licences and permits': 'licences',
  'Permits and road taxes': 'licences',
  Land: 'land',
  'Officers’ compensation': 'officers',
  'Guaranteed payments to members': 'guaranteed',
};

/** The line that each hint is on each form. Sources: the forms in settings/forms, by year; from memory. */
const LINES: Readonly<Record<string, Partial<Readonly<Record<Hint, string>>>>> = {
  scheduleC: {
    advertising: '8', vehicles: '9', commissions: '10', contractors: '11', insurance: '15', professional: '17',
    office: '18', rent: '20b', repairs: '21', payrollTaxes: '23', licences: '23', travel: '24a', meals: '24b',
    utilities: '25', telephone: '25', wages: '26',
  },
  form1065: { wages: '9', guaranteed: '10', repairs: '11', rent: '13', payrollTaxes: '14', licences: '14', land: 'L 11' },
  form1120: {
    officers: '12', wages: '13', repairs: '14', rent: '16', payrollTaxes: '17', licences: '17',
    advertising: '22', land: 'L 12',
  },
  form1120S: {
    officers: '7', wages: '8', repairs: '9', rent: '11', payrollTaxes: '12', licences: '12',
    advertising: '16', land: 'L 12',
  },
  form990: {
    officers: 'IX 5', wages: 'IX 7', payrollTaxes: 'IX 10', professional: 'IX 11c', advertising: 'IX 12',
    office: 'IX 13', telephone: 'IX 14', rent: 'IX 16', utilities: 'IX 16', travel: 'IX 17', insurance: 'IX 23',
  },
  sa103f: {
    wages: '19', payrollTaxes: '19', vehicles: '20', travel: '20', rent: '21', utilities: '21', insurance: '21',
    repairs: '22', telephone: '23', office: '23', advertising: '24', meals: '24', commissions: '26', bank: '26',
    professional: '28',
  },
  sa800: {
    wages: '3.51', payrollTaxes: '3.51', rent: '3.52', utilities: '3.52', insurance: '3.52', repairs: '3.53',
    office: '3.54', telephone: '3.54', vehicles: '3.55', travel: '3.56', advertising: '3.57', meals: '3.57',
    professional: '3.58', commissions: '3.61', bank: '3.61',
  },
  t2125: {
    advertising: '8521', meals: '8523', insurance: '8690', bank: '8710', licences: '8760', office: '8810',
    professional: '8860', rent: '8910', repairs: '8960', wages: '9060', payrollTaxes: '9060', travel: '9200',
    utilities: '9220', telephone: '9220', vehicles: '9281',
  },
  gifi: {
    advertising: '8520', meals: '8523', payrollTaxes: '8622', insurance: '8690', bank: '8710', licences: '8760',
    office: '8810', professional: '8860', rent: '8910', repairs: '8960', wages: '9060', officers: '9060',
    contractors: '9110', travel: '9200', utilities: '9220', telephone: '9225', vehicles: '9281', land: '1600',
  },
}; // prettier-ignore

/** The line of a form for an account of a starting chart, where it is another than that of its kind; `null` else. */
export const hintedLine = (name: string, form: string | null): ReturnLineChoice | null => {
  const hint = HINTS[name];
  const line = hint === undefined || form === null ? undefined : LINES[form]?.[hint];
  return line === undefined || form === null ? null : { form, line, copy: 1 };
};
