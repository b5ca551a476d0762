import { expect, test, TIDEMARK } from './enumeron';

test('a row by keyboard alone: typed, stepped, applied and undone; the keys are given back', async ({
  page,
  enumeron,
}) => {
  await enumeron.open('/reckon');
  await page.keyboard.press('4');
  const row = page.getByRole('application', { name: 'The row of moves' });
  await row.focus();
  // `1` and `2` belong to the row here, and open no room.
  await page.keyboard.type('ic12o');
  await expect(page.getByText('After 3 of 3', { exact: true })).toBeVisible();
  await expect(row.locator('.chip')).toHaveText(['in', 'cut 12', 'out']);
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByText('After 1 of 3', { exact: true })).toBeVisible();
  // The rail shows the copy after one in weave: the lower half begins.
  await expect(page.locator('.slot .stack').first()).toHaveText('27');
  await page.keyboard.press('End');
  await page.keyboard.press('Backspace');
  await expect(row.locator('.chip')).toHaveText(['in', 'cut 12']);
  // What stands is still there after a reload.
  await page.reload();
  await expect(row.locator('.chip')).toHaveText(['in', 'cut 12']);
  await page.getByRole('button', { name: 'Apply to the pack' }).click();
  await expect(row.locator('.chip')).toHaveCount(0);
  await expect(page.locator('.slot .stack').first()).toHaveText('33');
  await page.keyboard.press('u');
  await expect(row.locator('.chip')).toHaveText(['in', 'cut 12']);
  await row.focus();
  await page.keyboard.press('Escape');
  await page.keyboard.press('3');
  await expect(page).toHaveURL(/reckon/);
  await expect(page.locator('.slot .stack').first()).toHaveText('1');
});

test('cards to places: planned in a worker, put into the row and drawn; another tab sees the row', async ({
  page,
  context,
  enumeron,
}) => {
  await enumeron.open('/weave');
  const wish = async (card: string, place: string, line: number): Promise<void> => {
    await page.getByLabel('card', { exact: true }).fill(card);
    await page.getByLabel('to', { exact: true }).nth(line).fill(place);
  };
  await wish('QC', '41', 0);
  await wish('7H', '1', 1);
  await wish('8D', '27', 2);
  await expect(page.getByText('Six moves, and no fewer')).toBeVisible();
  await page.getByRole('button', { name: 'Put it into the row' }).click();
  await expect(page.getByRole('img', { name: /queen of clubs goes from 5 to 41/ })).toBeVisible();
  const slot = (place: number) => page.locator('.slot').nth(place - 1);
  await expect(slot(41)).toHaveAccessibleName(/queen of clubs.*wanted/);
  await expect(slot(1)).toHaveAccessibleName(/seven of hearts/);
  const other = await context.newPage();
  await other.goto('/weave');
  await expect(other.getByText('After 6 of 6', { exact: true })).toBeVisible();
  await other.close();
});

test('a weave that slipped is explained from three glimpses, and the pack taken so', async ({
  page,
  enumeron,
}) => {
  await enumeron.open('/weave/wrong');
  // Cut at 26; the cards at 21 and 22 of a clean out weave have changed places.
  const clean = TIDEMARK.slice(0, 26).flatMap((card, index) => [card, TIDEMARK[26 + index]]);
  for (const [index, [place, card]] of [
    [21, clean[21]],
    [22, clean[20]],
    [40, clean[39]],
  ].entries()) {
    await page.getByLabel('at', { exact: true }).nth(index).fill(place.toString());
    await page.getByLabel('card', { exact: true }).nth(index).fill(card.toString());
  }
  await expect(page.locator('.words')).toContainText('fell together');
  await page.getByRole('button', { name: 'The pack lies so' }).click();
  await expect(page.getByText('Begin with one place and its card')).toBeVisible();
  await expect(page.locator('.slot').nth(20)).not.toHaveAccessibleName(/stack number 11\b/);
});
