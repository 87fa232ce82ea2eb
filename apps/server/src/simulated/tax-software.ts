import type { ReturnFileRequest, TaxSoftwareAnswer } from '@iunctus/contract';
import { balanceOfReturn, hasReturnLine, RETURN_FORMS } from '@iunctus/core';

/**
 * A small stand-in for tax software: it takes a return file, sees to it that every line is on the form,
 * that none comes twice, and that the balance sheet balances, and says what it would do with it.
 */
export const receiveReturn = (file: ReturnFileRequest): TaxSoftwareAnswer => {
  const form = RETURN_FORMS[file.form];
  const balance = balanceOfReturn(file.form, file.amounts);
  const keys = file.amounts.map(({ line, copy }) => `${line}, copy ${copy}`);
  const twice = keys.find((key, at) => keys.indexOf(key) < at);
  const unknown = file.amounts.filter(({ line }) => !hasReturnLine({ form: file.form, line }));
  const objections = [
    ...(form === undefined ? [`There is no form ${file.form}.`] : []),
    ...(form !== undefined && form.year !== file.formYear
      ? [`The print of ${file.formYear} is not known, only that of ${form.year}.`]
      : []),
    ...(form === undefined ? [] : unknown.map(({ line }) => `${form.name} has no line ${line}.`)),
    ...(twice === undefined ? [] : [`Line ${twice} comes twice.`]),
    ...(balance !== null && balance.assets !== balance.claims
      ? ['The balance sheet of the return does not balance.']
      : []),
  ];
  return {
    accepted: objections.length === 0,
    form: form?.name ?? file.form,
    lines: file.amounts.length,
    balance,
    objections,
  };
};
