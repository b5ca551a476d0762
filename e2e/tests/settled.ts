import { Page } from '@playwright/test';

/** Waits until a page has drawn what was done: parts that come when it is idle have come, and nothing moves. */
export const settled = (page: Page): Promise<void> =>
  page.evaluate(async () => {
    const idle = (): Promise<unknown> =>
      new Promise((resolve) => requestAnimationFrame(() => requestIdleCallback(resolve, { timeout: 1000 })));
    await idle();
    await idle();
    const moving = document
      .getAnimations()
      .filter(({ effect }) => effect?.getComputedTiming().iterations !== Infinity);
    await Promise.allSettled(moving.map(({ finished }) => finished));
  });
