import { expect, test } from './enumeron';

test('the arrow keys reach every cell of a grid, and stay in it', async ({ enumeron, page }) => {
  await enumeron.open();
  await page.locator('en-card-pad [data-cell]').first().focus();
  const here = (): Promise<string> => page.evaluate(() => document.activeElement?.textContent ?? '');
  const reached = [await here()];
  for (let step = 1; step < 52; step++) {
    await page.keyboard.press('ArrowRight');
    reached.push(await here());
  }
  expect(new Set(reached).size).toBe(52);
  await page.keyboard.press('ArrowRight');
  expect(await here()).toBe(reached[51]);
  await page.keyboard.press('Home');
  await page.keyboard.press('ArrowDown');
  expect(await here()).toBe(reached[13]);
});
