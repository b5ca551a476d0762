import { Page } from '@playwright/test';
import { expect, test } from './enumeron';
import { smallTargets } from './targets';

const TIDEMARK =
  'AC 3H KH 9D QC 4C JH AS 6D QS TC 5H KS 7S 3C TH 7H JS 5S 7D 3S 6C 2C 8H JD 8S 6S 2D 8C TD QD 6H 9S 3D TS AD 5D 2H 4S 8D AH 5C 9H 2S 4H KC 7C QH 4D 9C JC KD'.split(
    ' ',
  );
const SUITS: Readonly<Record<string, string>> = { '♣': 'C', '♦': 'D', '♥': 'H', '♠': 'S' };

/** What is asked, and the keys that answer it. */
const asked = async (page: Page): Promise<{ question: string; keys: string }> => {
  const question = (await page.locator('.question').textContent()) ?? '';
  const prompt = ((await page.locator('.prompt span').first().textContent()) ?? '').trim();
  const name = prompt.replace('10', 'T').replace(/[♣♦♥♠]/, (suit) => SUITS[suit]);
  const at = /^\d+$/.test(prompt) ? Number(prompt) - 1 : TIDEMARK.indexOf(name);
  const keys = question.startsWith('Where')
    ? (at + 1).toString()
    : question.startsWith('Which')
      ? TIDEMARK[at]
      : TIDEMARK[(at + (question.includes('follows') ? 1 : 51)) % 52];
  return { question, keys };
};

const meet = async (page: Page): Promise<void> => {
  while (await page.getByRole('button', { name: /I have it/ }).isVisible()) {
    await page.keyboard.press('Enter');
    await page.waitForTimeout(80);
  }
};

/** Answers one question by its keys; a number of one digit wants Enter. */
const answer = async (page: Page, count: number): Promise<void> => {
  await meet(page);
  const { keys } = await asked(page);
  for (const key of keys.toLowerCase()) await page.keyboard.press(key);
  if (/^[1-5]$/.test(keys)) await page.keyboard.press('Enter');
  await expect(page.locator('.far')).toContainText(`${count.toString()} answered`);
};

test('a first practice by keyboard alone, left and gone on with after a reload', async ({
  page,
  enumeron,
}) => {
  await enumeron.open('/reckon');
  await page.keyboard.press('2');
  await expect(page.getByText('5 new')).toBeVisible();
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
      const met = page.getByRole('button', { name: /I have it/ });
      if (await met.isVisible()) {
        await met.tap();
        await expect(met).toHaveCount(0);
      }
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
