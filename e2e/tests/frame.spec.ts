import { expect, test } from './enumeron';

test('dragging the seam cuts the pack; Escape lets it be', async ({ enumeron, page }) => {
  await enumeron.open();
  const seam = page.getByRole('slider', { name: /Seam/ });
  const from = await seam.boundingBox();
  const to = await enumeron.slot(50).boundingBox();
  if (!from || !to) throw new Error('nothing to drag');
  await page.mouse.move(from.x + from.width / 2, from.y + 40);
  await page.mouse.down();
  await page.mouse.move(to.x + 3, to.y + 40, { steps: 5 });
  await expect(enumeron.slot(50)).toHaveAccessibleName('place 50, ace of clubs, stack number 1');
  await page.mouse.up();
  await expect(enumeron.status()).toContainText('cut at 3');
  await seam.focus();
  await page.keyboard.press('ArrowRight');
  await expect(enumeron.status()).toContainText('cut at 4');
});

test('a slot offers what can be done with its card', async ({ enumeron, page }) => {
  await enumeron.open();
  await enumeron.slot(3).click();
  await page.getByRole('menuitem', { name: 'K♥ seen at the face' }).click();
  await expect(enumeron.status()).toContainText('cut at 3');
  await expect(enumeron.slot(3)).toBeFocused();
  await enumeron.slot(17).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('menuitem', { name: '7♦ is wanted' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'card' })).toHaveValue('7♦');
  await expect(enumeron.slot(17)).toBeFocused();
});

test('keys open the rooms and the help; they can be switched off', async ({ enumeron, page }) => {
  await enumeron.open();
  await page.keyboard.press('1');
  await expect(page.getByRole('link', { name: 'Arrange' })).toHaveAttribute('aria-current', 'page');
  await expect(page.getByRole('main')).toBeFocused();
  const first = page.getByRole('main').getByRole('button', { name: 'What my order can do' });
  await expect(first).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(first).toBeFocused();
  await page.keyboard.press('3');
  await expect(page.getByRole('heading', { name: 'Wanted' })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('Three things to try');
  await page.keyboard.press('1');
  await expect(page).toHaveURL(/reckon/);
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Settings and data' }).click();
  await page.getByRole('switch', { name: /^Single-key/ }).click();
  await page.getByRole('heading', { name: 'Settings' }).click();
  await page.keyboard.press('1');
  await expect(page).toHaveURL(/settings/);
});

test('the theme follows the system until one is chosen, and is kept', async ({ enumeron, page }) => {
  const paper = (): Promise<string> =>
    page.evaluate(() => getComputedStyle(document.documentElement).backgroundColor);
  await page.emulateMedia({ colorScheme: 'dark' });
  await enumeron.open('/settings');
  expect(await paper()).toBe('rgb(17, 22, 26)');
  await page.getByRole('radio', { name: 'Paper' }).click();
  await expect.poll(paper).toBe('rgb(238, 240, 234)');
  await page.reload();
  await expect(enumeron.askLine()).toBeVisible();
  expect(await paper()).toBe('rgb(238, 240, 234)');
});

test('two tabs show the same pack, and neither undoes the other', async ({ enumeron, page, context }) => {
  await enumeron.open();
  const other = await context.newPage();
  await other.goto('/reckon');
  await enumeron.ask('face KH');
  await expect(other.locator('.status')).toContainText('cut at 3');
  await other.keyboard.press('u');
  await expect(enumeron.status()).toContainText('in order');
  await expect(page.getByRole('button', { name: 'Redo', exact: true })).toBeEnabled();
});

test('a first visit that cannot store anything still works, and says so', async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('no storage', 'SecurityError');
    };
  });
  await page.goto('/reckon');
  await expect(page.getByText(/keeps no data/)).toBeVisible();
  await expect(page.locator('.status')).toContainText('Tidemark');
});

test('a room that cannot be loaded says so, and opens when it can', async ({ page }) => {
  await page.goto('/reckon');
  await expect(page.getByRole('combobox', { name: /Ask line/ })).toBeAttached();
  await page.route('**/*.js', (route) => route.abort());
  await page.keyboard.press('1');
  const told = page.getByRole('alert');
  await expect(told).toContainText('didn’t load. What you did is kept.');
  // It must have been refused again before scripts can be had: else the page reloads by itself.
  await Promise.all([
    page.waitForEvent('requestfailed'),
    told.getByRole('button', { name: 'Try again' }).click(),
  ]);
  await expect(told).toBeVisible();
  await page.unroute('**/*.js');
  await told.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('heading', { name: 'Tidemark' })).toBeVisible();
  await expect(told).toHaveCount(0);
});
