/** Below this confidence a kind is doubtful and shown first: of those above it 98 in 100 are right. */
export const DOUBTFUL = 0.965;
