import { writeFile } from 'node:fs/promises';
import { expect, more, test, TIDEMARK } from './enumeron';

const own = [...TIDEMARK.slice(7), ...TIDEMARK.slice(0, 7)];

test('a bad order is pasted, mended, named, used and reckoned with', async ({ enumeron, page }) => {
  await enumeron.open('/arrange/new');
  const cards = page.getByRole('textbox', { name: 'Cards' });
  const problems = page.locator('.problems li');
  const bad = own.map((name, index) => (index === 4 ? '11H' : index === 9 ? own[0] : name));
  await cards.fill(bad.join(' '));
  await expect(problems).toHaveCount(4);
  await expect(problems.nth(0)).toHaveText(/Place 5: “11H” is not a card. Ranks are/);
  await expect(problems.nth(1)).toHaveText(/Place 10: .*is there twice. It already stands at place 1/);
  await expect(problems.nth(2)).toContainText('is missing');
  await page.getByRole('button', { name: 'Save the order' }).click();
  await expect(page.getByText('Give it a name.')).toBeVisible();

  await page.reload();
  await expect(cards).toHaveValue(bad.join(' '));

  await problems.nth(0).getByRole('button').click();
  await page.keyboard.type(own[4]);
  await problems.nth(0).getByRole('button').click();
  await page.keyboard.type(own[9]);
  await expect(page.getByText('52 cards, each of them once.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Name' }).fill('Harbour wall');
  await page.getByRole('button', { name: 'Save the order' }).click();
  await expect(page.getByRole('heading', { name: 'Harbour wall' })).toBeVisible();
  await page.getByRole('button', { name: 'Use this order' }).click();
  await expect(enumeron.status()).toContainText('Harbour wall');
  await enumeron.ask(`${own[0]} 3`);
  await expect(enumeron.answer()).toContainText('Move 2 cards from bottom to top');
});

test('rename, duplicate, delete and undo; a sample is not changed in place', async ({ enumeron, page }) => {
  await enumeron.open('/arrange/sample-tidemark');
  await expect(page.getByText('A sample from the Salt Room')).toBeVisible();
  await page.getByRole('button', { name: 'More …' }).click();
  await expect(page.getByRole('menuitem', { name: 'Duplicate' })).toBeVisible();
  await expect(page.getByRole('menuitem', { name: 'Rename' })).toHaveCount(0);
  await more(page, 'Duplicate');
  await expect(page.getByRole('heading', { name: 'Tidemark copy' })).toBeVisible();
  await more(page, 'Rename');
  await page.getByRole('textbox', { name: 'Name' }).fill('<script>alert(1)</script>');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('no < or >');
  await page.getByRole('textbox', { name: 'Name' }).fill('Low water');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Low water' })).toBeVisible();
  await more(page, 'Remove');
  const list = page.getByRole('navigation', { name: 'Orders' });
  await expect(list.getByText('Low water')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(list.getByText('Low water')).toBeVisible();
});

const files = [
  { name: 'short.txt', text: TIDEMARK.slice(1).join(' '), says: 'ace of clubs is missing.' },
  { name: 'doubled.csv', text: ['3H', ...TIDEMARK.slice(1)].join(','), says: 'is there twice' },
  {
    name: 'odd.txt',
    text: ['11H', ...TIDEMARK.slice(1)].join('\n'),
    says: 'Place 1, line 1: “11H” is not a card.',
  },
  { name: 'empty.txt', text: '', says: 'The file is empty.' },
  { name: 'huge.txt', text: 'AC '.repeat(50_000_000 / 3), says: 'The file has 50 MB' },
  { name: '<script>alert(1)<script>.txt', text: TIDEMARK.join(' '), says: 'no < or >' },
];

test('each bad file has its own message, and what was written stays', async ({ enumeron, page }, info) => {
  await enumeron.open('/arrange/new');
  const cards = page.getByRole('textbox', { name: 'Cards' });
  const pick = page.getByLabel('Open a file with an order');
  for (const { name, text, says } of files) {
    await page.getByRole('textbox', { name: 'Name' }).fill(says.includes('<') ? '' : 'Mine');
    await cards.fill('7D');
    await writeFile(info.outputPath(name), text);
    await pick.setInputFiles(info.outputPath(name));
    await expect(page.locator('.editor')).toContainText(says);
    if (says.startsWith('The file')) await expect(cards).toHaveValue('7D');
  }
  await cards.fill('x'.repeat(30_000));
  await expect(page.locator('.editor')).toContainText('far more than an order');
});
