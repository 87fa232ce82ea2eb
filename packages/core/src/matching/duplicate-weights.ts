// Written by `npm run learn:duplicates` from learning/lists; not to be edited.

/** How much each clue speaks for two accounts being one. */
export const DUPLICATE_WEIGHTS: Readonly<Record<string, number>> = {
  bias: -0.629,
  overlap: 1.583,
  shorterCovered: 1.363,
  longerCovered: 1.803,
  bothSayMore: -0.599,
  othersAlike: -2.051,
  contained: 0.364,
  sameThings: 2.693,
  containedOfSeveral: -2.151,
  alienMore: -0.484,
  besideMore: 1.355,
  kinMore: 1.948,
  ownMore: -1.577,
  sameWords: -1.199,
  ownShared: -1.149,
  oftenSeveral: -0.747,
  severalAndMore: -0.779,
  allKnown: 0.514,
  otherPlaces: -0.780,
  onePlaced: 0.694,
  addedLater: 1.657,
};
