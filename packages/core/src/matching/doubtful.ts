/** Below this confidence the kind of a row of a list is doubtful and shown first: of those above it 99 in 100 are right. */
export const DOUBTFUL_IN_LIST = 0.94;

/** The same for a name that somebody types, of which nothing else is known than what stands around it. */
export const DOUBTFUL = 0.965;
