import type { Page } from 'puppeteer-core';

/** Waits until nothing moves any more: what fades in has other colours than it will have. */
export const isStill = (page: Page): Promise<void> =>
  page.evaluate(async () => {
    await document.fonts.ready;
    const finite = document
      .getAnimations()
      .filter((animation) => animation.effect?.getComputedTiming().iterations !== Infinity);
    // What is folded away does not move: its animations never end.
    const ended = Promise.allSettled(finite.map((animation) => animation.finished));
    await Promise.race([ended, new Promise((resolve) => setTimeout(resolve, 1000))]);
  });
