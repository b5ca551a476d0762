import { Locator, Page } from '@playwright/test';
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

/** What a newcomer gets in each room by one more press than opens it, and where it is seen. */
const FIRST_VALUES: readonly (readonly [room: string, press: string, sees: (page: Page) => Locator])[] = [
  ['Arrange', 'What my order can do', (page) => page.getByText(/\d+ of 100/).first()],
  ['Learn', 'Practise', (page) => page.locator('.prompt').first()],
  ['Weave', 'Top card to 12', (page) => page.locator('.answer .words')],
  ['Rehearse', 'A routine, proved', (page) => page.getByText('759 of 1,275').first()],
  ['Perform', 'A set, junction by junction', (page) => page.getByText('needs blue: Tidemark').first()],
];

for (const [room, press, sees] of FIRST_VALUES)
  for (const [width, height] of [
    [1280, 800],
    [390, 844],
  ])
    test(`${room}: two presses lead a newcomer to a first value, ${width} wide`, async ({ page }) => {
      await page.setViewportSize({ width, height });
      await page.goto('/');
      const newcomer = counting(page);
      await newcomer.tap(new RegExp(`^\\d?${room}$`));
      await newcomer.tap(press);
      await expect(sees(page)).toBeVisible();
      expect(newcomer.taps).toBe(2);
      // It greets once; another room has a greeting of its own.
      await page.goto(`/${room.toLowerCase()}`);
      await quiet(page);
      await expect(page.getByRole('button', { name: press })).toHaveCount(0);
    });

test('help: the room, three things to try, the words and the keys', async ({ enumeron, page }) => {
  await enumeron.open('/weave');
  await page.keyboard.press('?');
  const sheet = page.getByRole('dialog', { name: 'Weave' });
  await expect(sheet.getByRole('listitem')).toHaveCount(3);
  await sheet.getByRole('radio', { name: 'Words' }).click();
  const words = page.getByRole('dialog', { name: 'Words' });
  await words.getByRole('searchbox', { name: 'Find a word' }).fill('gap');
  await expect(words.getByText('Place less number')).toBeVisible();
  await words.getByRole('searchbox').fill('gaap');
  await expect(words.getByText('No word here is like “gaap”. Nearest:')).toBeVisible();
  await words.getByRole('button', { name: 'A card at a number' }).first().click();
  await expect(page).toHaveURL(/reckon/);
  await expect(page.getByRole('dialog')).toHaveCount(0);
  // A word typed into the ask line is told, and Enter opens it among the words.
  await page.keyboard.press('/');
  await page.keyboard.type('what is a seam');
  await expect(page.getByRole('option').first()).toContainText('Where the home order begins');
  await page.keyboard.press('Enter');
  await expect(words.getByRole('searchbox')).toHaveValue('seam');
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
