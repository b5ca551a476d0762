import { expect, test } from './enumeron';
import { answer, asked, meet } from './learner';
import { smallTargets } from './targets';

test('a first practice by keyboard alone, left and gone on with after a reload', async ({
  page,
  enumeron,
}) => {
  await enumeron.open('/reckon');
  await page.keyboard.press('2');
  await expect(page.getByText('5 new cards')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText('A new card')).toBeVisible();
  await expect(page.locator('.slot')).toHaveCount(0);
  for (let count = 1; count <= 6; count++) await answer(page, count);

  // A wrong one: the truth, then a slip taken back.
  await meet(page);
  const { keys } = await asked(page);
  for (const key of /^\d+$/.test(keys) ? '49' : keys === '2S' ? '3s' : '2s') await page.keyboard.press(key);
  await expect(page.getByRole('region', { name: 'The truth' })).toContainText('Not');
  await page.keyboard.press('Backspace');
  await expect(page.getByRole('status').getByText('taken back')).toBeVisible();
  await answer(page, 7);

  await page.waitForTimeout(500);
  await page.reload();
  await expect(page.locator('.far')).toContainText('7 answered');
  await answer(page, 8);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'Today, Tidemark' })).toBeVisible();
  // The keys are back.
  await page.keyboard.press('3');
  await expect(page).toHaveURL(/reckon/);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('a practice by one thumb: numbers and cards, every target large enough', async ({
    page,
    enumeron,
  }) => {
    await enumeron.open('/learn');
    await page.getByRole('button', { name: /Start/ }).tap();
    for (let count = 1; count <= 8; count++) {
      await meet(page, true);
      const { keys } = await asked(page);
      expect(await smallTargets(page)).toEqual([]);
      if (/^\d+$/.test(keys)) {
        const pad = page.getByRole('group', { name: 'Number' });
        for (const digit of keys) await pad.getByRole('button', { name: digit, exact: true }).tap();
        if (/^[1-5]$/.test(keys)) await pad.getByRole('button', { name: 'done' }).tap();
      } else {
        const pad = page.getByRole('group', { name: 'Card' });
        const rank = keys.startsWith('T') ? '10' : keys[0];
        await pad.getByText(rank, { exact: true }).tap();
        const suit = { C: 'clubs', D: 'diamonds', H: 'hearts', S: 'spades' }[keys[1]] ?? '';
        await pad.getByRole('button', { name: suit }).tap();
      }
      await expect(page.locator('.far')).toContainText(`${count.toString()} answered`);
    }
    await page.getByRole('button', { name: 'stop' }).tap();
    await expect(page.getByRole('heading', { name: 'Today, Tidemark' })).toBeVisible();
  });
});
