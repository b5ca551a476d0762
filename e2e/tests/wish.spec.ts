import { readFile } from 'node:fs/promises';
import { expect, test } from './enumeron';
import { conflicting, wished } from './views';

const answer = '.answer';

test('by the keyboard alone: wishes written, an order found, saved and opened again with its wishes', async ({
  enumeron,
  page,
}) => {
  await enumeron.open('/arrange/new/wishes');
  const box = page.getByRole('textbox', { name: /^Add a wish/ });
  await box.focus();
  await page.keyboard.type('flush');
  await page.keyboard.press('Enter');
  await page.keyboard.type('nobody');
  await page.keyboard.press('Enter');
  await expect(page.locator('.right').nth(1)).toHaveText('45 of 50');
  await page.getByRole('button', { name: 'Find an order' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator(answer)).toHaveText('All 2 hold');
  await expect(page.locator('.right').nth(0)).toHaveText('1 of 1');
  const first = await enumeron.slot(1).getAttribute('aria-label');
  await page.getByRole('textbox', { name: 'Name' }).focus();
  await page.keyboard.type('A flush for four');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'A flush for four' })).toBeVisible();
  await page.getByRole('link', { name: 'Its wishes' }).click();
  await expect(page.locator(answer)).toHaveText('All 2 hold');
  expect(await enumeron.slot(1).getAttribute('aria-label')).toBe(first);
  // The order serves as any other.
  await page.goBack();
  await page.getByRole('link', { name: 'Sorting guide' }).click();
  await expect(page.getByRole('region', { name: 'The card turned and where it goes' })).toBeVisible();
});

test('what is written stays through a reload, also of an order that is opened again', async ({
  enumeron,
  page,
}) => {
  await enumeron.open('/arrange/new/wishes');
  await wished(page, 'no four', 'mates half');
  await page.locator('[data-wish="1"] input').fill('13');
  await expect(page.locator('.right').nth(1)).toContainText('of 52');
  await page.reload();
  await expect(page.locator('[data-wish="1"] input')).toHaveValue('13');
});

test('three cards against a count and mates: the conflict, why, and the order without one of them', async ({
  enumeron,
  page,
}) => {
  await enumeron.open('/arrange/new/wishes');
  await conflicting(page);
  const told = page.locator('.conflict');
  await expect(told).toContainText('These three cannot live together');
  await expect(told).toContainText('which wish 1 does not let lie so');
  await page.locator('.give li').nth(1).getByRole('button', { name: 'see the order' }).click();
  await expect(page.locator('.right').nth(0)).toHaveText('9 of 9');
  await expect(page.locator('.right').nth(2)).toHaveText('3 of 3');
  await page.getByRole('button', { name: 'Give it up' }).click();
  await expect(page.locator(answer)).toHaveText('All 2 hold');
});

test('a search goes on while one writes, waits and is stopped; two tabs search beside each other', async ({
  enumeron,
  page,
  context,
}) => {
  await enumeron.open('/arrange/new/wishes');
  // Too much for the time: it goes on for long.
  await wished(page, 'the next six colours tell', 'colours alternate');
  await page.locator('[data-wish="0"] input').fill('3');
  await page.locator('[data-wish="0"] button[data-field=by]').click();
  await page.getByRole('menuitem', { name: 'suits' }).click();
  await page.getByRole('button', { name: 'Find an order' }).click();
  await expect(page.getByRole('progressbar', { name: 'How far the search is' })).toBeVisible();
  const other = await context.newPage();
  await other.goto('/arrange/new/wishes');
  await wished(other, 'no four');
  await other.getByRole('button', { name: 'Find an order' }).click();
  await expect(other.locator(answer)).toHaveText('It holds');
  await other.close();
  await page.getByRole('button', { name: 'Wait' }).click();
  // It hears of it a moment later: what is written meanwhile is judged by then.
  await wished(page, 'it looks shuffled');
  const far = await page.getByRole('progressbar').getAttribute('aria-valuenow');
  await wished(page, 'suits go round');
  expect(await page.getByRole('progressbar').getAttribute('aria-valuenow')).toBe(far);
  await page.getByRole('button', { name: 'Go on' }).click();
  await page.getByRole('button', { name: 'Stop here' }).click();
  await expect(page.getByRole('button', { name: 'Find an order' })).toBeVisible();
  await expect(enumeron.status()).toContainText('The order that was found');
});

test('wishes are a file and are opened again; a procedure asks for an order', async ({ enumeron, page }) => {
  await enumeron.open('/arrange/new/wishes');
  await wished(page, 'mates half');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the wishes as a file' }).click();
  const path = await (await saved).path();
  expect(JSON.parse(await readFile(path, 'utf8'))).toMatchObject({
    format: 'enumeron wishes',
    wishes: [{ kind: 'mates apart', distance: 26, round: true }],
  });
  await page.getByRole('button', { name: 'Remove this wish' }).click();
  await expect(page.getByText('No wish yet.')).toBeVisible();
  await page
    .locator('.file input')
    .setInputFiles({ name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from('{') });
  await expect(page.getByRole('alert')).toContainText('not JSON');
  await page.locator('.file input[type=file]').setInputFiles(path);
  await expect(page.locator('.right').first()).toContainText('of 52');
  await page.goto('/rehearse');
  await page.getByText('A card made of two').first().click();
  await page.getByRole('link', { name: 'Find an order for this' }).click();
  await expect(page.locator('.right').first()).toContainText('of 104 cases');
  await page.getByRole('button', { name: 'Find an order' }).click();
  await expect(page.locator(answer)).toHaveText('It holds', { timeout: 30_000 });
});
