import { readFile } from 'node:fs/promises';
import { expect, goTo, more, test } from './enumeron';
import { quiet } from './settled';

test('back up, wipe, restore', async ({ enumeron, page }) => {
  await enumeron.open();
  await enumeron.ask('face KH');
  await enumeron.ask('7D 15');
  await page.getByRole('link', { name: 'Arrange' }).click();
  await more(page, 'Duplicate');
  await expect(page.getByRole('heading', { name: 'Tidemark copy' })).toBeVisible();

  await page.getByRole('link', { name: 'Settings and data' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save a backup' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/^enumeron-\d{4}-\d\d-\d\d\.json$/);
  const text = await readFile(await download.path(), 'utf8');
  expect(JSON.parse(text)).toMatchObject({ format: 'enumeron-backup', version: 12 });

  await page.getByRole('button', { name: 'Erase everything …' }).click();
  await page.getByRole('button', { name: 'Erase everything now' }).click();
  await expect(enumeron.status()).toContainText('in order');
  await page.getByRole('link', { name: 'Arrange' }).click();
  await expect(page.getByRole('navigation', { name: 'Orders' }).getByRole('link')).toHaveCount(6);

  await page.goto('/settings');
  const file = page.getByLabel('Restore a backup file');
  await file.setInputFiles({
    name: 'wrong.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"a": 1}'),
  });
  await expect(page.getByRole('alert')).toContainText('not a backup of Enumeron');
  await file.setInputFiles({
    name: 'name.json',
    mimeType: 'application/json',
    buffer: Buffer.from(text.replace('Tidemark copy', '<script>alert(1)</script>')),
  });
  await expect(page.getByRole('alert')).toContainText('A name holds no < or >');
  await expect(enumeron.status()).toContainText('in order');

  await file.setInputFiles({ name: 'good.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  const preview = page.getByRole('region', { name: 'What the backup would do' });
  await expect(preview.getByRole('row', { name: /orders/ })).toHaveText(/orders\s*1\s*0\s*5\s*0/);
  await expect(enumeron.status()).toContainText('in order');
  await preview.getByRole('button', { name: 'Replace everything' }).click();
  await expect(enumeron.status()).toContainText('cut at 3');
  await expect(page.getByText('before the last restore')).toBeVisible();
  await page.getByRole('link', { name: 'Arrange' }).click();
  await expect(page.getByRole('link', { name: /Tidemark copy/ })).toBeVisible();
  await page.getByRole('link', { name: 'Reckon' }).click();
  await expect(enumeron.answer()).toContainText('Move 2 cards');
});

test('deleted samples come back on demand', async ({ enumeron, page }) => {
  await enumeron.open('/arrange/sample-twin-harbours');
  await more(page, 'Remove');
  await expect(page.getByRole('link', { name: /Twin harbours/ })).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('link', { name: /Tidemark/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Twin harbours/ })).toHaveCount(0);
  const SAMPLES = [
    ['/learn', 'Remove the sample'],
    ['/weave', 'Remove the sample'],
    ['/rehearse', 'Remove the sample'],
  ] as const;
  for (const [path, button] of SAMPLES) {
    await page.goto(path);
    await page.getByRole('button', { name: button }).first().click();
    await expect(page.getByRole('button', { name: button })).toHaveCount(0);
    await page.reload();
    await quiet(page);
    await expect(page.getByRole('button', { name: button })).toHaveCount(0);
  }
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Restore all samples' }).click();
  await expect(page.getByText('The sample orders are back')).toBeVisible();
  await page.getByRole('link', { name: 'Arrange' }).click();
  await expect(page.getByRole('link', { name: /Twin harbours/ })).toBeVisible();
  for (const [path, button] of SAMPLES) {
    await goTo(page, path);
    await expect(page.getByRole('button', { name: button }).first()).toBeVisible();
  }
});
