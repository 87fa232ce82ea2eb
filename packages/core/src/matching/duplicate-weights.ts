// Written by `npm run learn:duplicates` from learning/lists; not to be edited.

/** How much each clue speaks for two accounts being one. */
export const DUPLICATE_WEIGHTS: Readonly<Record<string, number>> = {
  bias: -0.622,
  overlap: 1.578,
  shorterCovered: 1.359,
  longerCovered: 1.797,
  bothSayMore: -0.599,
  othersAlike: -2.053,
  contained: 0.365,
  sameThings: 2.697,
  containedOfSeveral: -2.148,
  alienMore: -0.478,
  besideMore: 1.357,
  kinMore: 1.952,
  ownMore: -1.575,
  sameWords: -1.195,
  ownShared: -1.148,
  oftenSeveral: -0.749,
  severalAndMore: -0.783,
  allKnown: 0.513,
  otherPlaces: -0.785,
  onePlaced: 0.693,
  addedLater: 1.654,
};
