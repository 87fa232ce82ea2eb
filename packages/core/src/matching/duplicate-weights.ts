// Written by `npm run learn:duplicates` from learning/lists; not to be edited.

/** How much each clue speaks for two accounts being one. */
export const DUPLICATE_WEIGHTS: Readonly<Record<string, number>> = {
  bias: -2.421,
  overlap: 2.027,
  shorterCovered: 2.778,
  longerCovered: 1.276,
  bothSayMore: -0.500,
  othersAlike: -0.944,
  contained: -0.176,
  sameThings: 2.811,
  containedOfSeveral: -1.424,
  alienMore: -0.447,
  besideMore: 1.075,
  kinMore: 2.349,
  ownMore: -1.094,
  sameWords: -1.221,
  ownShared: -0.872,
  oftenSeveral: -1.728,
  severalAndMore: -0.953,
  allKnown: 0.127,
  otherPlaces: -0.706,
  onePlaced: 0.884,
  addedLater: 1.430,
};
