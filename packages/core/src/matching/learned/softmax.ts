/** Scores as shares that sum to one. */
export const softmax = (scores: Float64Array): Float64Array => {
  let most = -Infinity;
  for (const score of scores) most = Math.max(most, score);
  const shares = new Float64Array(scores.length);
  let sum = 0;
  for (let k = 0; k < scores.length; k += 1) {
    const share = Math.exp((scores[k] ?? 0) - most);
    shares[k] = share;
    sum += share;
  }
  for (let k = 0; k < shares.length; k += 1) shares[k] = (shares[k] ?? 0) / sum;
  return shares;
};
