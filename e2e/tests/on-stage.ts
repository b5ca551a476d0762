import { expect, Locator, Page } from '@playwright/test';
import { TEN } from './ten-routines';

/** What stands on the page, without what is only spoken. */
export const seen = (page: Page, what: string): Promise<string> =>
  page
    .locator(what)
    .first()
    .evaluate((element) => {
      const copy = element.cloneNode(true) as Element;
      for (const spoken of copy.querySelectorAll('.spoken')) spoken.remove();
      return copy.textContent.replace(/\s+/g, ' ').trim();
    });

export const title = (page: Page): Locator => page.locator('.head strong');
export const next = (page: Page): Promise<void> => page.locator('.main .next').click();
export const press = (page: Page, name: string): Promise<void> =>
  page.locator('.thumb').getByRole('button', { name, exact: true }).click();

/** Taps a card: its rank, then its suit. */
export const card = async (page: Page, name: string): Promise<void> => {
  const rank = 'A23456789TJQK'.indexOf(name[0]);
  await page.locator('.ranks button').nth(rank).click();
  await page.locator('.suits button').nth('CDHS'.indexOf(name[1])).click();
};

export const number = async (page: Page, value: number): Promise<void> => {
  for (const digit of value.toString()) await press(page, digit);
  const go = page.locator('.go');
  if (value < 10 && value * 10 <= 51) await go.click();
};

/** Keeps the ten routines as a set, and makes it the one of tonight. */
export const keepTen = async (page: Page): Promise<void> => {
  await expect(page.getByText('10 routines')).toBeVisible();
  await page.getByRole('button', { name: 'Save it' }).click();
  await expect(page.locator('en-set-list .line')).toHaveCount(10);
  await page.getByRole('button', { name: 'Perform it' }).click();
  await expect(page.getByRole('heading', { name: 'Tonight: Ten' })).toBeVisible();
};

export const begin = async (page: Page, how = 'Begin for real'): Promise<void> => {
  await page.getByRole('button', { name: how }).click({ timeout: 90_000 });
  await expect(title(page)).toHaveText(`1 · ${TEN[0][0]}`);
};

/** What a thumb reaches: every button is 56 px at least, and in the lower half; nothing scrolls and nothing is cut off. */
export const reach = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => {
    const faults: string[] = [];
    for (const button of document.querySelectorAll('.thumb button, .thumb a')) {
      const { top, bottom, width, height } = button.getBoundingClientRect();
      if (Math.min(width, height) < 55.9) faults.push(`${button.textContent} is small: ${width} × ${height}`);
      if (top < innerHeight / 2 || bottom > innerHeight + 0.5)
        faults.push(`${button.textContent} is out of reach`);
    }
    if (document.documentElement.scrollHeight > innerHeight) faults.push('it scrolls');
    const page_ = document.querySelector('.page');
    if (page_ && page_.scrollHeight > page_.clientHeight + 1) faults.push('what to do is cut off');
    return faults;
  });
