import { isContra, KINDS, statementOf } from '../kinds/kinds';
import type { Element } from '../kinds/element';
import { add, negate, type Minor } from '../money/minor';
import { RETURN_FORMS } from '../settings/return-forms';

/** The two sides of the balance sheet on a return, in minor units. */
export interface ReturnBalance {
  readonly assets: Minor;
  readonly claims: Minor;
}

/**
 * What a line of the balance sheet belongs to: as its kinds say, or without any as the line before it.
 * Every form has its balance sheet after its income.
 */
const elementsOf = (form: string): ReadonlyMap<string, { element: Element; contra: boolean }> => {
  const elements = new Map<string, { element: Element; contra: boolean }>();
  let last: Element | null = null;
  for (const { line, kinds, computed } of RETURN_FORMS[form]?.lines ?? []) {
    // It is the sum of the lines before it.
    if (computed === 'capitalAtEnd') continue;
    const kind = kinds?.[0];
    if (kind !== undefined)
      last = statementOf(kind) === 'balanceSheet' ? KINDS[kind].element : null;
    const contra = kind !== undefined && isContra(kind);
    if (last !== null) elements.set(line, { element: last, contra });
  }
  return elements;
};

/**
 * What the balance sheet of a return comes to: assets less what reduces them, and liabilities with equity
 * likewise. `null` for a form without one. Source: the balance sheets of the forms; from memory.
 */
export const balanceOfReturn = (
  form: string,
  amounts: readonly { readonly line: string; readonly amount: Minor }[],
): ReturnBalance | null => {
  const elements = elementsOf(form);
  if (elements.size === 0) return null;
  let [assets, claims] = [0, 0];
  for (const { line, amount } of amounts) {
    const of = elements.get(line);
    if (of === undefined) continue;
    const signed = of.contra ? negate(amount) : amount;
    if (of.element === 'asset') assets = add(assets, signed);
    else claims = add(claims, signed);
  }
  return { assets, claims };
};
