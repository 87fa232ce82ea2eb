/** Which of several offered things Alt and a digit choose, from 0; `null` for another key. The digit is that of the key, whatever Alt makes of it. */
export const altChoice = ({ altKey, code }: KeyboardEvent): number | null => {
  const digit = altKey ? /^Digit([1-9])$/.exec(code)?.[1] : undefined;
  return digit === undefined ? null : Number(digit) - 1;
};
