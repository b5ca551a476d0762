import { expect, test } from '@playwright/test';
import { goTo } from './enumeron';
import { begin, card, keepTen, next, number, press, reach, seen, title } from './on-stage';
import { installed, Kept, Site } from './site';
import { PackInHand, TEN_ADDRESS } from './ten-routines';

let site: Site;
let browser: Kept;
test.beforeEach(async () => {
  site = await Site.begin();
  browser = await Kept.begin();
});
test.afterEach(async () => {
  await browser.remove();
  await site.remove();
});

test('ten routines are performed on a phone with one thumb and no network: a wrong tap undone, one stopped, a jump, an out and a mend; the rail ends as the pack does', async () => {
  test.setTimeout(240_000);
  const page = await (await browser.open({ width: 390, height: 844 })).newPage();
  const failed: string[] = [];
  page.on('pageerror', (error) => failed.push(error.message));
  await page.goto(site.url + TEN_ADDRESS);
  await keepTen(page);
  await installed(page);
  await begin(page);
  // From now on nothing comes from anywhere.
  await site.end();
  const pack = new PackInHand();
  const pages = new Set<string>();
  const look = async (): Promise<void> => {
    pages.add(await seen(page, '.does'));
    expect(await reach(page)).toEqual([]);
  };
  const onto = async (name: string): Promise<void> => {
    await expect(title(page)).toContainText(name);
    await look();
  };

  await onto('First cut');
  expect(await page.evaluate(() => document.documentElement.dataset['theme'])).toBe('wings');
  pack.cut(17);
  await next(page);
  await look();
  // A wrong card, and back.
  await card(page, '2C');
  await expect(page.locator('.does')).toContainText('Place: 23');
  await press(page, 'back');
  await card(page, pack.face);
  await expect(page.locator('.does')).toContainText('Place: 17');
  expect(await seen(page, '.lies')).toBe(pack.says);
  await next(page);
  await expect(page.locator('.next')).toHaveText('it hit, next');
  await look();
  await next(page);

  await onto('Second, a number');
  expect(await seen(page, '.lies')).toBe(pack.says);
  await number(page, 30);
  await expect(page.locator('.does')).toContainText('Cut 30 cards');
  await look();
  await next(page);
  pack.cut(30);
  expect(await seen(page, '.lies')).toBe(pack.says);
  await next(page);

  await onto('Third, three ways');
  await press(page, 'They point at none');
  await expect(page.locator('.does')).toContainText('Out: Have them name it.');
  await look();
  await expect(page.locator('.next')).toHaveText('the out is done, next');
  await next(page);

  await onto('Fourth, the pocket');
  await next(page);
  pack.takeTop();
  await next(page);

  // What is in the pocket is needed for the next one.
  await expect(title(page)).toHaveText('Before 5 · Fifth, a cut again');
  await look();
  await expect(page.locator('.does')).toContainText('Put 1 card back into place');
  await next(page);
  pack.putBack();
  await onto('Fifth, a cut again');
  expect(await seen(page, '.lies')).toBe(pack.says);
  // Half-way it is left, before anything was cut.
  await press(page, 'jump');
  await look();
  await press(page, 'back');
  await press(page, 'missed');
  await expect(page.locator('.does')).toContainText('How does the pack lie now?');
  await look();
  await press(page, 'As the rail shows it');

  await onto('Sixth, a story');
  await press(page, 'jump');
  await look();
  await page.locator('en-jump-list button', { hasText: 'Eighth, a number' }).click();

  await onto('Eighth, a number');
  expect(await seen(page, '.lies')).toBe(pack.says);
  await number(page, 7);
  await next(page);
  pack.cut(7);
  await next(page);

  await onto('Ninth, a cut');
  pack.cut(44);
  await next(page);
  await card(page, pack.face);
  expect(await seen(page, '.lies')).toBe(pack.says);
  await next(page);
  await next(page);

  await onto('Tenth, a story');
  await next(page);
  await expect(page.locator('.does')).toContainText('That was all');
  await look();
  expect(await seen(page, '.lies')).toBe(pack.says);
  await expect(page.locator('.act').first()).toHaveText('6 hit, 1 in an out, 1 missed');
  expect(pages.size).toBeGreaterThan(11);

  await next(page);
  // Record has it, with what was left out.
  await expect(page.locator('en-routine-row')).toHaveCount(10);
  // What did not hit stands in the list of next time.
  await goTo(page, '/perform/tonight');
  await expect(page.getByText('Third, three ways: it ended in an out')).toBeVisible();
  await expect(page.getByText('Fifth, a cut again: it missed')).toBeVisible();
  expect(failed).toEqual([]);
});
