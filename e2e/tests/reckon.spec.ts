import { expect, test } from './enumeron';

test('glimpse, reckon, apply, undo and reload by keyboard alone', async ({ enumeron, page }) => {
  await enumeron.open();
  await expect(enumeron.status()).toContainText('in order');
  await enumeron.ask('face KH');
  await expect(enumeron.status()).toContainText('cut at 3');
  await expect(enumeron.slot(52)).toHaveAccessibleName('place 52, king of hearts, stack number 3, seen');
  await enumeron.ask('7D 15');
  await expect(enumeron.answer()).toContainText('Move 2 cards from top to bottom');
  await expect(enumeron.slot(17)).toHaveAccessibleName(
    'place 17, seven of diamonds, stack number 20, wanted',
  );
  const sum = page.locator('en-hand-sum li');
  await expect(sum).toContainText(['20', '−3', '17', '−15', '2']);
  await expect(page.getByRole('img', { name: /The pack as a ring: cut at 3 to 5/ })).toBeVisible();

  await page.keyboard.press('Enter');
  await expect(enumeron.status()).toContainText('cut at 5');
  await expect(enumeron.answer()).toContainText('Leave the pack as it is');
  await expect(enumeron.slot(15)).toHaveAccessibleName(/seven of diamonds.*wanted, number wanted/);

  await page.reload();
  await expect(enumeron.status()).toContainText('cut at 5');
  await expect(enumeron.answer()).toContainText('Leave the pack as it is');

  await page.keyboard.press('Control+z');
  await expect(enumeron.status()).toContainText('cut at 3');
  await page.reload();
  await expect(enumeron.status()).toContainText('cut at 3');
  // What was wanted is taken back, then the glimpse.
  await page.keyboard.press('u');
  await expect(page.getByText('want 7♦ at 15: undone')).toBeVisible();
  await page.keyboard.press('u');
  await expect(enumeron.status()).toContainText('in order');
  await page.keyboard.press('Control+y');
  await expect(enumeron.status()).toContainText('cut at 3');
});

test('the same by pointer: pad, fields, another way, done, undo button', async ({ enumeron, page }) => {
  await enumeron.open();
  await page
    .getByRole('group', { name: 'Tap the card you saw at the face' })
    .getByRole('button', { name: 'king of hearts' })
    .click();
  await expect(enumeron.status()).toContainText('cut at 3');
  await page
    .getByRole('group', { name: 'Tap the card they named' })
    .getByRole('button', { name: 'seven of diamonds' })
    .click();
  await page.getByRole('textbox', { name: 'number' }).click();
  await page.keyboard.type('15');
  await expect(enumeron.answer()).toContainText('Move 2 cards');
  await page.getByRole('button', { name: /queen of clubs comes to the face/ }).click();
  await expect(enumeron.answer()).toContainText('Cut so that');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(enumeron.status()).toContainText('cut at 5');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(enumeron.status()).toContainText('cut at 3');
});

test('the ask line completes, answers while one types, and says what is wrong', async ({
  enumeron,
  page,
}) => {
  await enumeron.open();
  await page.keyboard.press('/');
  await expect(page.getByRole('option', { name: 'face KH' })).toBeVisible();
  await page.keyboard.type('7d');
  await expect(page.getByRole('option').first()).toContainText('lies at 20');
  await page.keyboard.press('Escape');
  await page.keyboard.type('11h');
  await expect(page.getByRole('option').first()).toContainText('Ranks are A, 2 to 10, J, Q and K');
  await page.keyboard.press('Enter');
  await expect(enumeron.askLine()).toHaveValue('11h');
  await page.keyboard.press('Escape');
  await page.keyboard.type('fa');
  await page.keyboard.press('Enter');
  await expect(enumeron.askLine()).toHaveValue('face ');
  await page.keyboard.type('kh');
  await page.keyboard.press('Enter');
  await expect(enumeron.status()).toContainText('cut at 3');
  await enumeron.ask('arrange');
  await expect(page).toHaveURL(/arrange/);
});

test('nonsense in a field is told, stays, and changes nothing', async ({ enumeron, page }) => {
  await enumeron.open();
  await enumeron.ask('7D 15');
  const card = page.getByRole('textbox', { name: 'card' });
  await card.fill('11H');
  await expect(page.getByRole('alert')).toContainText('Ranks are');
  await page.getByRole('textbox', { name: 'number' }).fill('77');
  await expect(page.getByRole('alert').last()).toContainText('from 1 to 52');
  await expect(card).toHaveValue('11H');
  await expect(enumeron.answer()).toContainText('Move 5 cards');
});

test('a deal puts the pack out of step; reckoning goes on', async ({ enumeron }) => {
  await enumeron.open();
  await enumeron.ask('deal 9');
  await expect(enumeron.status()).toContainText('out of step');
  await enumeron.ask('AC 7');
  await expect(enumeron.answer()).toContainText('Move 2 cards from top to bottom');
  await enumeron.ask('undo');
  await enumeron.ask('undo');
  await expect(enumeron.status()).toContainText('in order');
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('one thumb: face, card, number, done', async ({ enumeron, page }) => {
    await enumeron.open();
    const pad = page.locator('en-thumb-pad');
    const tap = async (...names: string[]): Promise<void> => {
      for (const name of names) await pad.getByRole('button', { name, exact: true }).tap();
    };
    await tap('king', 'hearts', 'seven', 'diamonds', '1', '5');
    await expect(enumeron.status()).toContainText('cut at 3');
    await expect(enumeron.answer()).toContainText('Move 2 cards from top to bottom');
    await page.getByRole('button', { name: /^Open the rail/ }).tap();
    const rows = await page
      .locator('.slot')
      .evaluateAll((slots) => new Set(slots.map((slot) => slot.getBoundingClientRect().top)).size);
    expect(rows).toBe(4);
    for (const button of await pad.getByRole('button').all()) {
      const box = await button.boundingBox();
      expect(box?.height).toBeGreaterThanOrEqual(44);
    }
    await tap('done: cut the pack');
    await expect(enumeron.status()).toContainText('cut at 5');
    await tap('undo');
    await expect(enumeron.status()).toContainText('cut at 3');
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth > window.innerWidth);
    expect(overflow).toBe(false);
  });
});
