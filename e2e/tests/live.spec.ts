import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Page } from '@playwright/test';
import { expect, goTo, test } from './enumeron';
import { after, generator, Killable } from './killable';
import { begin, card, keepTen, next, number, press, title } from './on-stage';
import { PackInHand, TEN_ADDRESS } from './ten-routines';

test('by keyboard as a clicker sends it; a reload half-way comes back to the same page', async ({
  enumeron,
  page,
}) => {
  test.setTimeout(120_000);
  await enumeron.open(TEN_ADDRESS);
  await keepTen(page);
  await begin(page, 'Run-through');
  const pack = new PackInHand();
  pack.cut(9);
  await page.keyboard.press('PageDown');
  await expect(page.locator('.ranks')).toBeVisible();
  // A card by its letters; none of them opens a room.
  await page.keyboard.type(`${pack.face[0]}${pack.face[1]}`.toLowerCase());
  await expect(page.locator('.does')).toContainText('Place: 9');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Space');
  await expect(title(page)).toHaveText('2 · Second, a number');
  await expect(page.locator('.digits')).toBeVisible();
  await page.keyboard.type('5');
  await page.keyboard.press('Enter');
  await expect(page.locator('.does')).toContainText('Cut 5 cards');
  await page.reload();
  await expect(page.locator('.does')).toContainText('Cut 5 cards');
  await page.keyboard.press('PageUp');
  await expect(page.locator('.does')).toContainText('They choose: number');
  await expect(page.locator('.digits')).toBeVisible();
  await page.keyboard.type('12');
  await expect(page.locator('.does')).toContainText('Cut 12 cards');
  expect(new URL(page.url()).pathname).toBe('/perform/live');
});

test('one tab performs while another changes the set: nothing is lost, and the one that performs is not moved', async ({
  enumeron,
  page,
  context,
}) => {
  test.setTimeout(120_000);
  await enumeron.open(TEN_ADDRESS);
  await keepTen(page);
  await begin(page);
  const other = await context.newPage();
  await other.goto('/perform');
  await other.getByRole('link', { name: /Ten/ }).click();
  await expect(other.locator('en-set-list .line')).toHaveCount(10);
  await other.locator('en-set-list .line').nth(1).click();
  await other.keyboard.press('Delete');
  await expect(other.locator('en-set-list .line')).toHaveCount(9);
  await other.getByRole('textbox', { name: 'Name of the set' }).fill('Nine');
  await other.keyboard.press('Enter');

  // The routine that was taken out there still comes here.
  const pack = new PackInHand();
  pack.cut(3);
  await next(page);
  await card(page, pack.face);
  await next(page);
  await next(page);
  await expect(title(page)).toHaveText('2 · Second, a number');
  await number(page, 20);
  await press(page, 'jump');
  await press(page, 'end it all');
  await press(page, 'Cut, and I did not see where');
  await expect(page.locator('.does')).toContainText('That was all');
  await next(page);
  // What was done is there to be finished; what was not begun was left out.
  await expect(page.locator('en-routine-row')).toHaveCount(10);
  await expect(page.getByRole('radio', { name: 'Left out', checked: true })).toHaveCount(8);
  await expect(other.getByRole('textbox', { name: 'Name of the set' })).toHaveValue('Nine');
  // Where both tapped at once the second tap of a page counts in neither twice.
  await goTo(page, '/perform/tonight');
  await begin(page, 'Run-through').catch(() => undefined);
  await goTo(other, '/perform/live');
  await expect(title(other)).toHaveText('1 · First cut');
  await next(page);
  await expect(other.locator('.does')).toContainText('See the face card');
  await other.locator('.band').getByRole('button', { name: 'back' }).click();
  await expect(page.locator('.does')).toContainText('They cut some cards');
});

/** How often it is killed: KILLS=20 for the figure in full. */
const KILLS = Number(process.env['KILLS'] ?? 3);

/** How many taps the page has by what it shows. */
const tapsOn = async (page: Page): Promise<number> =>
  Number(await page.locator('.stage[data-taps]').getAttribute('data-taps'));

test('killed at any moment of a set, it comes back to the page, at most the last tap lost', async ({
  baseURL,
}) => {
  test.setTimeout(60_000 + KILLS * 20_000);
  const profile = await mkdtemp(join(tmpdir(), 'enumeron-kill-live-'));
  const browser = new Killable(profile, baseURL ?? '');
  const random = generator(20_261_129);
  let most = 0;
  try {
    let page = await browser.open(TEN_ADDRESS);
    await keepTen(page);
    await begin(page);
    for (let kill = 0; kill < KILLS; kill++) {
      let shown = 0;
      const tapping = (async (): Promise<void> => {
        try {
          for (;;) {
            shown = await tapsOn(page);
            if (await page.getByText('That was all').count()) {
              await press(page, 'jump');
              await page.locator('en-jump-list button', { hasText: 'First cut' }).click();
            } else if (await page.locator('.ranks').count()) await card(page, 'KD');
            else if (await page.locator('.digits').count()) await number(page, 9);
            else if (await page.locator('.choices').count())
              await page.locator('.choices button').first().click();
            else await next(page);
            shown = await tapsOn(page);
          }
        } catch {
          // The browser is gone.
        }
      })();
      await after(200 + random() * 1800);
      await browser.kill();
      await tapping;
      page = await browser.open('/perform/live', '.does');
      await expect(page.locator('.does')).toBeVisible();
      const kept = await tapsOn(page);
      most = Math.max(most, Math.abs(shown - kept));
      console.log(`shown ${shown.toString()}, kept ${kept.toString()}`);
    }
  } finally {
    await browser.kill();
    await rm(profile, { recursive: true, force: true });
  }
  expect(most).toBeLessThanOrEqual(1);
});
