/** Scores as shares that sum to one. */
export const softmax = (scores: Float64Array): Float64Array => {
  let most = -Infinity;
  for (const score of scores) most = Math.max(most, score);
  const shares = scores.map((score) => Math.exp(score - most));
  let sum = 0;
  for (const share of shares) sum += share;
  return shares.map((share) => share / sum);
};
