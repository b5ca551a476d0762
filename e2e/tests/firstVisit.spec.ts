import { Page } from '@playwright/test';
import { expect, test } from './enumeron';
import { quiet } from './settled';

/** Counts what a newcomer presses: keys typed, and taps or clicks. */
const counting = (
  page: Page,
): {
  keys: number;
  taps: number;
  tap(name: string | RegExp): Promise<void>;
  type(text: string): Promise<void>;
} => {
  const count = {
    keys: 0,
    taps: 0,
    // Only what can be seen is pressed.
    tap: async (name: string | RegExp): Promise<void> => {
      const seen = page.getByRole('button', { name }).or(page.getByRole('link', { name })).first();
      await expect(seen).toBeInViewport();
      await seen.click();
      count.taps++;
    },
    type: async (text: string): Promise<void> => {
      await page.keyboard.type(text);
      count.keys += text.length;
    },
  };
  return count;
};

test('from the first visit to a named card at a number, by what the line says', async ({
  enumeron,
  page,
}) => {
  await page.goto('/');
  const newcomer = counting(page);
  await expect(page.getByText('Say what you saw and what they named')).toBeVisible();
  await newcomer.tap('face KH');
  await expect(enumeron.status()).toContainText('cut at 3');
  await newcomer.tap('7D 15');
  await expect(enumeron.answer()).toContainText('Move 2 cards from top to bottom');
  await expect(page.getByRole('button', { name: 'face KH' })).toHaveCount(0);
  expect([newcomer.keys, newcomer.taps]).toEqual([0, 2]);
  // It does not come back.
  await page.reload();
  await expect(enumeron.answer()).toContainText('Move 2 cards');
  await quiet(page);
  await expect(page.getByText('Say what you saw and what they named')).toHaveCount(0);
});

test('the same by typing what the line shows: the answer is there before Enter', async ({
  enumeron,
  page,
}) => {
  await page.goto('/');
  const newcomer = counting(page);
  await expect(page.getByText('Say what you saw and what they named')).toBeVisible();
  await newcomer.type('/');
  await expect(enumeron.askLine()).toBeFocused();
  await newcomer.type('face KH');
  await page.keyboard.press('Enter');
  await expect(enumeron.status()).toContainText('cut at 3');
  await newcomer.type('7D 15');
  await expect(page.getByRole('option').first()).toContainText('Move 2 cards from top to bottom');
  await page.keyboard.press('Enter');
  await expect(enumeron.answer()).toContainText('Move 2 cards from top to bottom');
  expect(newcomer.keys + 2).toBeLessThanOrEqual(15);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('every step is in sight, and the answer stands above the pad', async ({ enumeron, page }) => {
    await page.goto('/');
    const newcomer = counting(page);
    await newcomer.tap('face KH');
    await newcomer.tap('7D 15');
    await expect(enumeron.answer()).toBeInViewport({ ratio: 1 });
    await expect(enumeron.answer()).toContainText('Move 2 cards');
    // The strip says where the card is, and opens to the whole pack.
    await expect(page.getByRole('button', { name: /wanted: seven of diamonds at 17/ })).toBeInViewport();
    await newcomer.tap(/Open the rail/);
    await expect(enumeron.slot(17)).toBeInViewport();
    await newcomer.tap(/Fold the rail/);
    await expect(page.locator('.slot')).toHaveCount(0);
  });
});

test('empty answers ask, and their examples fill them', async ({ page }) => {
  await page.goto('/reckon/two-cuts');
  const newcomer = counting(page);
  await expect(page.getByRole('region', { name: 'Do' })).toContainText('Which card was at the first cut?');
  await newcomer.tap(/For example/);
  await expect(page.getByRole('region', { name: 'Do' })).toContainText('it says');
  await newcomer.tap(/^anything seen/);
  await expect(page.getByRole('region', { name: 'Do' })).toContainText('What happened');
  await newcomer.tap(/For example/);
  await expect(page.getByRole('region', { name: 'Do' })).toContainText('Cards cut');
  await page.goBack();
  await page.goto('/reckon');
  await newcomer.tap(/For example/);
  await expect(page.getByRole('region', { name: 'Answer' })).toContainText('Then count');
});
