/** How many of the rising numbers lie below a value; in logarithmic time. */
export const countBelow = (sorted: readonly number[], value: number): number => {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((sorted[middle] ?? 0) < value) low = middle + 1;
    else high = middle;
  }
  return low;
};
