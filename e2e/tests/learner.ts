import { Page } from '@playwright/test';
import { expect } from './enumeron';

const TIDEMARK =
  'AC 3H KH 9D QC 4C JH AS 6D QS TC 5H KS 7S 3C TH 7H JS 5S 7D 3S 6C 2C 8H JD 8S 6S 2D 8C TD QD 6H 9S 3D TS AD 5D 2H 4S 8D AH 5C 9H 2S 4H KC 7C QH 4D 9C JC KD'.split(
    ' ',
  );
const SUITS: Readonly<Record<string, string>> = { '♣': 'C', '♦': 'D', '♥': 'H', '♠': 'S' };

/** What is asked, and the keys that answer it. */
export const asked = async (page: Page): Promise<{ question: string; keys: string }> => {
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

/** Goes past a card that is shown before it is asked, by key or by thumb, until something is asked. */
export const meet = async (page: Page, byThumb = false): Promise<void> => {
  const met = page.getByRole('button', { name: /I have it/ });
  await expect(async () => {
    if (await met.isVisible()) await (byThumb ? met.tap({ timeout: 500 }) : page.keyboard.press('Enter'));
    await expect(page.locator('.typed')).toBeVisible({ timeout: 500 });
  }).toPass();
};

/** Answers one question by its keys; a number of one digit wants Enter. */
export const answer = async (page: Page, count: number): Promise<void> => {
  await meet(page);
  const { keys } = await asked(page);
  for (const key of keys.toLowerCase()) await page.keyboard.press(key);
  if (/^[1-5]$/.test(keys)) await page.keyboard.press('Enter');
  await expect(page.locator('.far')).toContainText(`${count.toString()} answered`);
};

/** Opens Learn as if nothing had been learnt: the sample practice is taken away. */
export const asBeginner = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: 'Remove the sample' }).click();
  await expect(page.getByText('up, 5 cards to meet')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Remove the sample' })).toHaveCount(0);
};
