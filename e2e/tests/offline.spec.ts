import { expect, test } from '@playwright/test';
import { Enumeron, goTo } from './enumeron';
import { installed, Kept, Site } from './site';
import { openView, VIEWS } from './views';

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

test('after one visit everything works without a network, over a restart of the browser', async () => {
  test.setTimeout(240_000);
  const first = await (await browser.open()).newPage();
  await first.goto(`${site.url}/reckon`);
  await expect(first.getByRole('region', { name: 'Answer' })).toBeVisible();
  await installed(first);
  await browser.close();
  await site.end();

  const context = await browser.open();
  const page = await context.newPage();
  const failed: string[] = [];
  page.on('pageerror', (error) => failed.push(error.message));
  // A page that is opened by its address, and the rest as links open it.
  await page.goto(`${site.url}/learn/sums`);
  await expect(page.getByRole('heading', { name: /^Sums/ })).toBeVisible();
  await expect(page.locator('en-ask-line input')).toBeAttached();
  const enumeron = new Enumeron(page);
  for (const view of VIEWS) {
    await openView(enumeron, view);
    await expect(page.getByText('Part of Enumeron didn’t load'), view.name).toHaveCount(0);
  }
  expect(failed).toEqual([]);
  const fonts = await page.evaluate(
    () => [...document.fonts].filter(({ status }) => status === 'error').length,
  );
  expect(fonts).toBe(0);
  // The licences of all that is shipped are there, too.
  const licences = await page.evaluate(() => fetch('/3rdpartylicenses.txt').then((each) => each.text()));
  expect(licences).toContain('SIL Open Font License');
});

test('a release in between breaks nothing: an open tab keeps its scripts, and a new version waits to be taken', async () => {
  test.setTimeout(180_000);
  const context = await browser.open();
  const old = await context.newPage();
  await old.goto(`${site.url}/reckon`);
  await installed(old);
  await site.release('NEWER');
  // Whoever opens another tab gets what is there, and has the new version fetched.
  const other = await context.newPage();
  await other.goto(`${site.url}/reckon`);
  const offer = other.getByText('A new version of Enumeron is here');
  await expect(offer).toBeVisible({ timeout: 60_000 });
  expect(await other.locator('body').getAttribute('data-release')).toBeNull();

  // Not while one practises or writes; and back it is where one rests.
  await goTo(other, '/learn/practise');
  await expect(other.getByText('stop', { exact: true })).toBeVisible();
  await expect(offer).toHaveCount(0);
  await goTo(other, '/arrange/new/rule');
  await expect(other.getByRole('heading', { name: 'New order' })).toBeVisible();
  await expect(offer).toHaveCount(0);
  await goTo(other, '/weave');
  await expect(offer).toBeVisible();

  // The tab that was open all the time opens rooms that it has not run, though the server has their scripts no more.
  for (const [path, name] of [
    ['/weave/cycles', /^Cycles/],
    ['/rehearse/busy', /^A busy row/],
    ['/arrange/new/random', /^New order/],
  ] as const) {
    await goTo(old, path);
    await expect(old.getByRole('heading', { name }).first()).toBeVisible();
  }
  await expect(old.getByText('Part of Enumeron didn’t load')).toHaveCount(0);

  await other.getByRole('button', { name: 'Reload now' }).click();
  await expect(other.locator('body[data-release=NEWER]')).toBeAttached();
  await expect(
    other.getByRole('region', { name: 'Weave' }).or(other.locator('main h2').first()),
  ).toBeVisible();
  await goTo(old, '/settings');
  await expect(old.locator('main h2').first()).toBeVisible();
  expect(await old.locator('body').getAttribute('data-release')).toBeNull();
});
