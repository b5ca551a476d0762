import { readFile } from 'node:fs/promises';
import { expect, more, test, TIDEMARK } from './enumeron';

test('an order by rule: givens, rail, sum for the head, saved with its rule', async ({ enumeron, page }) => {
  await enumeron.open('/arrange/new/rule');
  await expect(enumeron.slot(2)).toHaveAccessibleName(/place 2, ace of spades/);
  await page.getByRole('textbox', { name: 'Step' }).fill('3');
  await expect(enumeron.slot(2)).toHaveAccessibleName(/place 2, queen of spades/);
  await page.getByRole('textbox', { name: 'Step' }).fill('13');
  await expect(page.getByRole('alert')).toContainText('Use a whole number from 1 to 12');
  await page.getByRole('textbox', { name: 'Step' }).fill('3');
  await page.getByRole('textbox', { name: 'Name' }).fill('Three-step');
  await page.getByRole('button', { name: 'Save the order' }).click();
  await expect(page.getByRole('heading', { name: 'Three-step' })).toBeVisible();
  await page.getByRole('link', { name: 'Rule', exact: true }).click();
  await expect(page.getByText('One worked out')).toBeVisible();
  await expect(enumeron.status()).toContainText('Tidemark');
});

test('an order by recipe: moves added, put in another order by keys, and the inverse', async ({
  enumeron,
  page,
}) => {
  await enumeron.open('/arrange/new/recipe');
  await page.getByRole('button', { name: 'Out weave' }).click();
  const write = page.getByRole('textbox', { name: /Any move/ });
  await write.fill('shuffle');
  await expect(page.getByRole('alert')).toContainText('is not a move');
  await write.fill('cut 5');
  await page.keyboard.press('Enter');
  await expect(enumeron.slot(48)).toHaveAccessibleName(/place 48, ace of clubs/);
  await page.getByRole('button', { name: 'Earlier' }).last().click();
  await expect(enumeron.slot(1)).toHaveAccessibleName(/place 1, four of clubs/);
  await page.getByRole('button', { name: /The base/ }).click();
  await expect(enumeron.slot(1)).toHaveAccessibleName(/place 1, ace of clubs/);
  await page.getByRole('checkbox').check();
  await expect(page.getByRole('heading', { name: 'The arrangement before these moves' })).toBeVisible();
  await page.getByRole('button', { name: /^2\./ }).click();
  await expect(enumeron.slot(1)).toHaveAccessibleName(/place 1, ace of clubs/);
  await expect(enumeron.slot(52)).toHaveAccessibleName(/place 52, king of diamonds/);
});

test('what an order can do, with its proof, and how shuffled it looks', async ({ enumeron, page }) => {
  await enumeron.open('/arrange/sample-nine-five-wheel');
  const composed = page.getByRole('button', {
    name: /holds: rank then suit of the next two names the card 12/,
  });
  await expect(composed).toContainText('52 of 52');
  await composed.click();
  await expect(page.getByRole('list', { name: /Proof: rank then suit/ }).getByRole('listitem')).toHaveCount(
    52,
  );
  await expect(page.getByText('of 100', { exact: true }).first()).toBeVisible();
  await expect(page.locator('en-order-properties dd').first()).toContainText(/^\d+ of 100$/);
});

test('the sorting guide tells each card its heap, and knows the second deal', async ({ enumeron, page }) => {
  await enumeron.open('/arrange/sample-tidemark/sort');
  const now = page.getByRole('region', { name: 'The card turned and where it goes' });
  const field = page.getByRole('textbox', { name: 'type it' });
  await field.fill('7D');
  await expect(now).toContainText('heap 4');
  await expect(field).toHaveValue('');
  for (const name of TIDEMARK.filter((each) => each !== '7D')) await field.pressSequentially(name);
  await expect(page.getByText('52 of 52')).toBeVisible();
  await page.getByRole('button', { name: 'Deal 2' }).click();
  await expect(now).toContainText('ace of clubs');
  await expect(now).toContainText('heap 1');
  await page.getByRole('heading', { name: 'Tidemark' }).click();
  for (let step = 0; step < 51; step++) await page.keyboard.press('Space');
  await expect(page.getByText('51 of 52')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(now).toContainText('the pack is in order');
});

test('a pack is checked card by card', async ({ enumeron, page }) => {
  await enumeron.open('/arrange/sample-tidemark/check');
  const verdict = page.getByRole('region', { name: 'Verdict' });
  const field = page.getByRole('textbox', { name: 'type it' });
  const told = [...TIDEMARK.slice(3), ...TIDEMARK.slice(0, 3)];
  for (const name of told) await field.pressSequentially(name);
  await expect(verdict).toContainText('The pack is in order, cut at 3.');
  await page.getByRole('button', { name: 'Back one card' }).click();
  await field.pressSequentially('AC');
  await expect(verdict).toContainText(/There twice: .*ace of clubs/);
  await expect(verdict).toContainText(/Missing: .*king of hearts/);
});

test('a bank between indifferent cards, laid behind twenty', async ({ enumeron, page }) => {
  await enumeron.open('/arrange/new/bank');
  await page.getByRole('button', { name: 'Next two ranks give the count' }).click();
  await expect(enumeron.slot(21)).toHaveAccessibleName(/nine of hearts/);
  await page.getByRole('textbox', { name: 'Cards above it' }).fill('50');
  await expect(page.getByRole('alert')).toContainText('would reach from 51 to 57');
  await page.getByRole('textbox', { name: 'Cards above it' }).fill('20');
  await page.getByRole('textbox', { name: 'Name' }).fill('Sea wall');
  await page.getByRole('button', { name: 'Save the order' }).click();
  await expect(page.getByRole('link', { name: /Sea wall bank at 21/ })).toBeVisible();
});

test('an order at random keeps its conditions and comes again for its seed', async ({ enumeron, page }) => {
  await enumeron.open('/arrange/new/random');
  const sheet = page.getByRole('list', { name: 'The order at random' });
  const first = await sheet.textContent();
  await page.getByRole('button', { name: 'Another' }).click();
  await expect(sheet).not.toHaveText(first ?? '');
  await page.getByRole('textbox', { name: 'Seed' }).fill('1');
  await expect(sheet).toHaveText(first ?? '');
  await page.getByRole('textbox', { name: 'Seed' }).fill('one');
  await expect(page.getByRole('alert')).toContainText('whole number');
});

test('an order goes out as a file and comes in again', async ({ enumeron, page }) => {
  await enumeron.open('/arrange/sample-twin-harbours');
  for (const kind of ['JSON', 'CSV, one row a card', 'Text: card characters']) {
    await page.getByRole('link', { name: /Twin harbours/ }).click();
    await more(page, 'Save as a file');
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('menuitem', { name: kind }).click(),
    ]);
    const buffer = await readFile(await download.path());
    await page.getByRole('link', { name: 'New order' }).click();
    const name = download.suggestedFilename();
    await page
      .getByLabel('Open a file with an order')
      .setInputFiles({ name, mimeType: 'text/plain', buffer });
    await expect(page.getByText('52 cards, each of them once.')).toBeVisible();
    await page.getByRole('button', { name: 'Discard changes' }).click();
  }
});

test('a part of a pack is kept as it is once that is said, and reckoned with', async ({ enumeron, page }) => {
  await enumeron.open('/arrange/new');
  await page.getByRole('textbox', { name: 'Name' }).fill('Short pack');
  await page.getByRole('textbox', { name: 'Cards' }).fill(TIDEMARK.slice(0, 20).join(' '));
  await expect(page.locator('.problems')).toContainText('32 cards are missing');
  await page.getByRole('checkbox', { name: /A part of a pack/ }).check();
  await page.getByRole('button', { name: 'Save the order' }).click();
  await page.getByRole('button', { name: 'Use this order' }).click();
  await expect(enumeron.status()).toContainText('20 cards');
  await enumeron.ask('7D 1');
  await expect(enumeron.answer()).toContainText('Move 1 card from bottom to top');
});
