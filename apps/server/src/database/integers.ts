/** An int8 as it comes from the database, read exactly. Throws outside the exact range of a number. */
export const exactInteger = (text: string): number => {
  const value = Number(text);
  if (!Number.isSafeInteger(value)) throw new RangeError(`not an exact integer: ${text}`);
  return value;
};
