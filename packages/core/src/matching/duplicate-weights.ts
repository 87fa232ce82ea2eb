// Written by `npm run learn:duplicates` from learning/lists; not to be edited.

/** How much each clue speaks for two accounts being one. */
export const DUPLICATE_WEIGHTS: Readonly<Record<string, number>> = {
  bias: -2.402,
  overlap: 1.953,
  shorterCovered: 2.815,
  longerCovered: 1.091,
  bothSayMore: -0.5,
  othersAlike: -0.94,
  contained: -0.171,
  sameThings: 2.316,
  containedOfSeveral: -1.57,
  alienMore: -0.498,
  besideMore: 1.024,
  kinMore: 2.218,
  ownMore: -1.013,
  sameWords: -1.274,
  ownShared: -0.656,
  oftenSeveral: -1.712,
  severalAndMore: -0.927,
  allKnown: 0.309,
  otherPlaces: -2.546,
  onePlaced: 0.914,
  addedLater: 1.442,
};
