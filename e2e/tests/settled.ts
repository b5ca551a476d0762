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

/** So long nothing has changed on a page that has come to rest, in milliseconds. */
const REST = 400;

/** Waits until nothing on a page changes any more: what is still on its way to storage or from it has come. */
export const quiet = async (page: Page): Promise<void> => {
  await settled(page);
  await page.evaluate(
    (rest) =>
      new Promise<void>((resolve) => {
        const watcher = new MutationObserver(() => begin());
        let timer = 0;
        const begin = (): void => {
          clearTimeout(timer);
          timer = window.setTimeout(() => {
            watcher.disconnect();
            resolve();
          }, rest);
        };
        watcher.observe(document, { subtree: true, childList: true, attributes: true, characterData: true });
        begin();
      }),
    REST,
  );
};
