/** Scores as shares that sum to one. */
export const softmax = (scores: Float64Array): Float64Array => {
  const shares = new Float64Array(scores.length);
  let most = -Infinity;
  // Loops by index, as this is done for every row again and again.
  for (let k = 0; k < scores.length; k += 1) most = Math.max(most, scores[k] ?? 0);
  let sum = 0;
  for (let k = 0; k < scores.length; k += 1) {
    const share = Math.exp((scores[k] ?? 0) - most);
    shares[k] = share;
    sum += share;
  }
  for (let k = 0; k < scores.length; k += 1) shares[k] = (shares[k] ?? 0) / sum;
  return shares;
};
