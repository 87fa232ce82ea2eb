// Written by `npm run learn:duplicates` from learning/lists; not to be edited.

/** How much each clue speaks for two accounts being one. */
export const DUPLICATE_WEIGHTS: Readonly<Record<string, number>> = {
  bias: -0.611,
  overlap: 1.566,
  shorterCovered: 1.352,
  longerCovered: 1.781,
  bothSayMore: -0.604,
  othersAlike: -2.051,
  contained: 0.374,
  sameThings: 2.703,
  containedOfSeveral: -2.152,
  alienMore: -0.475,
  besideMore: 1.359,
  kinMore: 1.954,
  ownMore: -1.578,
  sameWords: -1.202,
  ownShared: -1.126,
  oftenSeveral: -0.742,
  severalAndMore: -0.778,
  allKnown: 0.516,
  otherPlaces: -0.783,
  onePlaced: 0.695,
  addedLater: 1.657,
};
