import { KINDS } from '../kinds/kinds';
import type { Element } from '../kinds/element';
import { add, negate, type Minor } from '../money/minor';
import { RETURN_FORMS } from '../settings/return-forms';

/** The two sides of the balance sheet on a return, in minor units. */
export interface ReturnBalance {
  readonly assets: Minor;
  readonly claims: Minor;
}

/** Lines of a form's balance sheet: Schedule L of the US returns, Part X of Form 990. */
const ON_BALANCE_SHEET = /^(L|X) /;

/** What a line of the balance sheet belongs to: as its kinds say, or without any as the line before it. */
const elementsOf = (form: string): ReadonlyMap<string, { element: Element; contra: boolean }> => {
  const elements = new Map<string, { element: Element; contra: boolean }>();
  let last: Element = 'asset';
  for (const { line, kinds } of RETURN_FORMS[form]?.lines ?? []) {
    if (!ON_BALANCE_SHEET.test(line)) continue;
    const first = kinds?.[0] === undefined ? undefined : KINDS[kinds[0]];
    last = first?.element ?? last;
    elements.set(line, { element: last, contra: first?.contra === true });
  }
  return elements;
};

/**
 * What the balance sheet of a return comes to: assets less what reduces them, and liabilities with equity
 * likewise. `null` for a form without one. Source: the forms, Schedule L and Part X; from memory.
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
