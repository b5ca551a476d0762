import { Locator, Page } from '@playwright/test';
import { expect, test } from './enumeron';
import { quiet, settled } from './settled';
import { openView, VIEWS } from './views';

/** Buttons that take something away, by what they are called. */
const REMOVES =
  /^(?:Remove|Take|Clear|Discard|No longer follow|Close|Delete|Put .* away|clear|back|Back one|Start over)\b/;

/** What a press of leads elsewhere, or is not done in a test: the sample and the data of the whole are gone through last. */
const NOT = /Remove the sample|Take it out|everything|Take the other pack/;

/** The buttons of the room that take something away and can be pressed, each name once. */
const removals = async (page: Page): Promise<readonly string[]> => {
  const names = await page
    .locator('main button:not(:disabled)')
    .evaluateAll((buttons) =>
      buttons
        .filter((button) => button.getClientRects().length > 0)
        .map((button) => (button.ariaLabel ?? button.textContent).trim().replace(/\s+/g, ' ')),
    );
  return [...new Set(names)].filter((name) => REMOVES.test(name) && !NOT.test(name));
};

const hasFocus = (page: Page): Promise<string> =>
  page.evaluate(() => document.activeElement?.tagName.toLowerCase() ?? 'nothing');

const pressed = async (button: Locator, page: Page): Promise<void> => {
  await button.focus();
  await page.keyboard.press('Enter');
  await settled(page);
};

for (const part of [0, 1, 2])
  test(`whatever is taken away, the focus stays in the page, part ${(part + 1).toString()}`, async ({
    enumeron,
    page,
  }) => {
    test.setTimeout(180_000);
    let removed = 0;
    const views = VIEWS.filter(({ hasKeys }) => !hasKeys).filter((_, index) => index % 3 === part);
    for (const view of views)
      await test.step(view.name, async () => {
        await openView(enumeron, view);
        // What stood there before is gone.
        await quiet(page);
        for (const name of await removals(page)) {
          const button = page.locator('main').getByRole('button', { name, exact: true }).first();
          if (!(await button.isVisible()) || !(await button.isEnabled())) continue;
          await pressed(button, page);
          removed++;
          await expect.poll(() => hasFocus(page), { message: `${view.name}: ${name}` }).not.toBe('body');
        }
      });
    expect(removed).toBeGreaterThan(3);
  });

test('an order, a procedure and each sample are removed: the focus goes to the room or to a neighbour', async ({
  enumeron,
  page,
}) => {
  await enumeron.open('/rehearse');
  await page.getByText('Works in all').first().waitFor();
  await page.getByRole('button', { name: 'More of Two cuts and a packet of numbers' }).press('Enter');
  await page.getByRole('menuitem', { name: 'Remove' }).press('Enter');
  await expect(page.getByText('is removed.')).toBeVisible();
  await expect.poll(() => hasFocus(page)).not.toBe('body');
  for (const path of ['/rehearse', '/learn', '/weave']) {
    await page.goto(path);
    await quiet(page);
    await pressed(page.getByRole('button', { name: 'Remove the sample' }).first(), page);
    await expect.poll(() => hasFocus(page), { message: path }).not.toBe('body');
  }
  await page.goto('/arrange/sample-breakwater');
  await page.getByRole('button', { name: 'More …' }).press('Enter');
  await page.getByRole('menuitem', { name: 'Remove' }).press('Enter');
  await expect(page.getByRole('link', { name: /Breakwater/ })).toHaveCount(0);
  await expect.poll(() => hasFocus(page)).not.toBe('body');
});

test('a page that another comes in the place of leaves the focus to the room', async ({ enumeron, page }) => {
  await enumeron.open('/rehearse');
  await page.getByText('Works in all').first().waitFor();
  await page.getByRole('link', { name: /Turned over twice, deeper/ }).press('Enter');
  await expect(page).toHaveURL(/deeper/);
  await expect.poll(() => hasFocus(page)).not.toBe('body');
  await page.goBack();
  await page.getByText('Works in all').first().waitFor();
});
