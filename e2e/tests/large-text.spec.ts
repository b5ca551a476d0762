import config from '../playwright.config';
import { expect, test } from './enumeron';

const { launchOptions } = config.use ?? {};
test.use({
  launchOptions: {
    ...launchOptions,
    args: [...(launchOptions?.args ?? []), '--blink-settings=defaultFontSize=24'],
  },
});

test('with text of half as much again, set in the browser, nothing is cut off or goes beyond the screen', async ({
  page,
}) => {
  for (const path of [
    '/reckon',
    '/learn',
    '/weave',
    '/rehearse/odds',
    '/settings',
    '/perform/reset',
    '/arrange/sample-tidemark',
  ]) {
    await page.setViewportSize({ width: 1600, height: 900 });
    await page.goto(path);
    await expect(page.getByRole('heading').first()).toBeVisible();
    for (const width of [1280, 1000, 390]) {
      await page.setViewportSize({ width, height: 800 });
      await expect
        .poll(
          () => page.evaluate(() => document.documentElement.scrollWidth),
          `${path} on ${width.toString()}`,
        )
        .toBeLessThanOrEqual(width);
    }
  }
  await page.setViewportSize({ width: 1600, height: 900 });
  expect(await page.evaluate(() => getComputedStyle(document.documentElement).fontSize)).toBe('24px');
  // The rail is unfolded again.
  await expect(page.locator('.rail .slot')).toHaveCount(52);
  const cut = await page
    .locator('nav .entry, en-order-sheet .cell, .rail .slot, .rail .face')
    .evaluateAll((all) => ({
      seen: all.filter(({ clientHeight }) => clientHeight > 0).length,
      cut: all.filter(
        (each) => each.scrollHeight > each.clientHeight + 1 || each.scrollWidth > each.clientWidth + 1,
      ).length,
    }));
  expect(cut.seen).toBeGreaterThan(150);
  expect(cut.cut).toBe(0);
});
