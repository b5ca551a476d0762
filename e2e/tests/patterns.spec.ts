import { expect, test } from './enumeron';
import { smallTargets } from './targets';

test('facts by keyboard alone: told in the ask line, settled by one glimpse, applied, undone, kept over a reload', async ({
  enumeron,
  page,
}) => {
  await enumeron.open();
  await enumeron.ask('somewhere');
  await expect(page).toHaveURL(/reckon\/seen$/);
  await enumeron.ask('lift 9S');
  const answer = page.locator('.answer');
  await expect(answer).toContainText('Glimpse the face: that settles it');
  await expect(page.getByRole('list', { name: 'Noted so far' }).getByRole('listitem')).toHaveCount(2);
  await page.reload();
  await expect(answer).toContainText('Glimpse the face');
  await page.getByLabel('I saw').selectOption('face');
  await page.getByRole('textbox', { name: 'At the face' }).fill('KH');
  await page.keyboard.press('Enter');
  await expect(answer).toContainText('Cards cut 3, cards lifted 30, face K♥');
  await page.getByRole('button', { name: 'Apply to the pack' }).click();
  await expect(enumeron.status()).toContainText('cut at 3');
  await page.keyboard.press('u');
  await expect(enumeron.status()).toContainText('in order');
  await expect(page.getByRole('list', { name: 'Noted so far' }).getByRole('listitem')).toHaveCount(3);
});

test('what cannot both be true is shown as such, in the order told, with nothing more from the server', async ({
  enumeron,
  page,
}) => {
  await enumeron.open('/reckon/seen');
  await expect(page.getByLabel('I saw')).toBeVisible();
  // A script fetched late would have what is told later come before it.
  await page.route('**/*.js', () => undefined);
  await enumeron.ask('somewhere');
  for (const [kind, field, card] of [
    ['face', 'At the face', 'KH'],
    ['top', 'On top', '7D'],
  ]) {
    await page.getByLabel('I saw').selectOption(kind);
    await page.getByRole('textbox', { name: field }).fill(card);
    await page.keyboard.press('Enter');
    // Ready for the next.
    await expect(page.getByRole('textbox', { name: field })).toHaveValue('');
  }
  await expect(page.locator('.answer')).toContainText(
    /K♥.* at the face” and “7♦.* on top” cannot both be true/,
  );
  await expect(page.getByText('contradicts')).toHaveCount(2);
  await page.getByRole('button', { name: /Take back: 7♦ on top/ }).click();
  await expect(page.locator('.answer')).toContainText('Cards cut 3, face K♥');
});

test('a long enumeration runs in a worker while typing goes on', async ({ enumeron, page }) => {
  await enumeron.open('/reckon/seen');
  await enumeron.ask('somewhere');
  await page.getByLabel('I saw').selectOption('taken');
  await page.getByRole('textbox', { name: 'How many (1 or 2)' }).fill('2');
  await page.keyboard.press('Enter');
  await enumeron.askLine().focus();
  await page.keyboard.type('7d 15');
  await expect(enumeron.askLine()).toHaveValue('7d 15');
  await expect(page.locator('en-known-list')).toContainText('68952');
});

test('a pattern by the pad: two cuts, its marks on the rail, and the prediction’s set-up', async ({
  enumeron,
  page,
}) => {
  await enumeron.open();
  await page.getByRole('link', { name: 'two cuts' }).click();
  await page
    .getByRole('group', { name: 'Which card was at the first cut?' })
    .getByRole('button', { name: 'nine of diamonds' })
    .click();
  await page
    .getByRole('group', { name: 'Which card was at the deeper cut?' })
    .getByRole('button', { name: 'queen of spades' })
    .click();
  await expect(page.locator('.answer')).toContainText('Push off 3 cards: the next says 6');
  await expect(enumeron.slot(7)).toHaveAccessibleName(/face up/);
  await page.getByText('Set-up:').click();
  await page.getByRole('textbox', { name: 'Numbers from' }).fill('8');
  await expect(page.locator('.answer')).toContainText('6 is outside 8 to 27: too close together');
  await page.getByRole('textbox', { name: 'Numbers from' }).fill('99');
  await expect(page.getByRole('alert')).toContainText('not a number from 1 to 52');
});

test('a bank is needed where one is; riffled 2 opens the key card, tried in a worker', async ({
  enumeron,
  page,
}) => {
  await enumeron.open('/reckon/packet');
  await expect(page.getByText('Tidemark has no bank.')).toBeVisible();
  await page.goto('/arrange/sample-breakwater');
  await page.getByRole('button', { name: 'Use this order' }).click();
  await expect(enumeron.status()).toContainText('Breakwater');
  await enumeron.ask('riffled 2');
  await expect(page).toHaveURL(/key-card$/);
  await page.getByRole('textbox', { name: 'The key card' }).fill('9H');
  await expect(page.locator('.answer')).toContainText('The next bank card below 9♥');
  await expect(page.getByText(/After 2 riffles it is theirs [\d.]+ times in 100/)).toBeVisible();
  await expect(page.getByText('40,000 packs')).toBeVisible({ timeout: 15_000 });
});

test('the map takes a pair into Reckon', async ({ enumeron, page }) => {
  await enumeron.open('/reckon/map');
  await page.getByRole('application').focus();
  for (const key of ['ArrowRight', 'ArrowRight', 'ArrowDown']) await page.keyboard.press(key);
  await expect(page.locator('.answer')).toContainText(/3♥.* at 3: Move 1 card from bottom to top/);
  await page.keyboard.press('Enter');
  await expect(enumeron.answer()).toContainText('Move 1 card from bottom to top');
});

test.describe('on a phone, one-handed', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('a pattern is told by the pad alone, its answer in view, and every target is large enough', async ({
    page,
  }) => {
    await page.goto('/reckon/gap');
    const pad = page.locator('en-thumb-pad');
    for (const name of ['three', 'hearts', 'nine', 'diamonds'])
      await pad.getByRole('button', { name, exact: true }).tap();
    const answer = page.locator('.answer');
    await expect(answer).toContainText('The card is K♥');
    const [box, padBox] = [await answer.boundingBox(), await pad.boundingBox()];
    expect((box?.y ?? 0) + (box?.height ?? 0)).toBeLessThan(padBox?.y ?? 0);
    expect(await smallTargets(page)).toEqual([]);
  });

  test('the ask line opens by its key and goes when it is left empty', async ({ enumeron, page }) => {
    await enumeron.open();
    await expect(enumeron.askLine()).toBeHidden();
    await page.getByRole('button', { name: 'Ask', exact: true }).tap();
    await expect(enumeron.askLine()).toBeFocused();
    await page.keyboard.type('7D 15');
    await page.keyboard.press('Enter');
    await expect(enumeron.answer()).toContainText('Move 5 cards');
    await page.keyboard.press('Escape');
    await expect(enumeron.askLine()).toBeHidden();
  });
});
