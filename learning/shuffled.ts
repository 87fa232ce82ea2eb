/** The numbers below `count` in an order that only looks random: the same at each run. */
export const shuffled = (count: number, seed: number): Int32Array => {
  const order = Int32Array.from({ length: count }, (_one, at) => at);
  let state = seed;
  for (let at = count - 1; at > 0; at -= 1) {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    const other = state % (at + 1);
    [order[at], order[other]] = [order[other] ?? 0, order[at] ?? 0];
  }
  return order;
};
