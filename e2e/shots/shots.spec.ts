import { join } from 'node:path';
import { Enumeron, expect, test, TIDEMARK } from '../tests/enumeron';
import { answer, meet } from '../tests/learner';
import { conflicting } from '../tests/views';

/** One current picture of every main view, from the demo data. */
const FOLDER = join(import.meta.dirname, '../../docs/screenshots');

const shoot = async ({ page }: Enumeron, name: string): Promise<void> => {
  await page.keyboard.press('Escape');
  // The line of a first visit would stand in every picture.
  const greeting = page.locator('en-welcome').getByRole('button', { name: 'Close' });
  if (await greeting.isVisible()) await greeting.click();
  await page.mouse.move(2, 500);
  await page.waitForTimeout(500);
  await page.screenshot({ path: join(FOLDER, `${name}.png`) });
};

const reckon = async (enumeron: Enumeron): Promise<void> => {
  await enumeron.open();
  await enumeron.ask('face KH');
  await enumeron.ask('7D 15');
  await expect(enumeron.answer()).toContainText('Move 2 cards');
};

test('reckon, paper', async ({ enumeron }) => {
  await reckon(enumeron);
  await shoot(enumeron, 'reckon');
});

test.describe('wings', () => {
  test.use({ colorScheme: 'dark' });

  test('reckon, wings', async ({ enumeron }) => {
    await reckon(enumeron);
    await shoot(enumeron, 'reckon-wings');
  });

  test.describe('on a phone', () => {
    test.use({ viewport: { width: 390, height: 844 } });

    test('reckon, phone', async ({ enumeron }) => {
      await reckon(enumeron);
      await shoot(enumeron, 'reckon-phone');
    });
  });
});

test('reckon, whatever was seen', async ({ enumeron, page }) => {
  await enumeron.open('/reckon/seen');
  await page.getByLabel('I saw').selectOption('taken');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByLabel('I saw').selectOption('place');
  await page.getByLabel('Place', { exact: true }).fill('20');
  await page.getByLabel('The card there').fill('3S');
  await page.keyboard.press('Enter');
  await expect(page.locator('.answer')).toContainText('Glimpse the card at 10');
  await shoot(enumeron, 'reckon-seen');
});

test('reckon, two cuts', async ({ enumeron, page }) => {
  await enumeron.open('/reckon/two-cuts');
  await page.getByRole('textbox', { name: 'At the first cut' }).fill('9D');
  await page.getByRole('textbox', { name: 'At the deeper cut' }).fill('7S');
  await expect(page.locator('.answer')).toContainText('it says 10');
  await shoot(enumeron, 'reckon-pattern');
});

/** Some cards are begun, the first of them held. */
test('learn', async ({ enumeron, page }) => {
  await enumeron.open('/learn');
  await page.getByText('As a table').waitFor();
  await shoot(enumeron, 'learn');
});

test('learn, how it stands', async ({ enumeron, page }) => {
  await enumeron.open('/learn');
  await page.getByRole('link', { name: 'How it stands' }).click();
  await page.getByText('From your last').waitFor();
  await shoot(enumeron, 'learn-standing');
});

test.describe('a practice on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, colorScheme: 'dark' });

  test('learn, a practice, phone', async ({ enumeron, page }) => {
    await enumeron.open('/learn');
    await page.getByRole('button', { name: /Start/ }).click();
    await answer(page, 1);
    await meet(page);
    await page.screenshot({ path: join(FOLDER, 'learn-phone.png') });
  });
});

test('arrange', async ({ enumeron, page }) => {
  await enumeron.open('/arrange/sample-tidemark');
  await page.getByText('no two cards of the same rank side by side').waitFor();
  await shoot(enumeron, 'arrange');
});

test('arrange, sorting guide', async ({ enumeron, page }) => {
  await enumeron.open('/arrange/sample-tidemark/sort');
  await page.getByRole('textbox', { name: 'type it' }).pressSequentially('7D');
  await shoot(enumeron, 'arrange-sorting');
});

test('arrange, by wishes', async ({ enumeron, page }) => {
  await enumeron.open('/arrange/new/wishes');
  await conflicting(page);
  await page.getByText('cannot live together').waitFor();
  await page.locator('.give li').nth(2).getByRole('button', { name: 'see the order' }).click();
  await page.locator('.right').filter({ hasText: '9 of 9' }).waitFor();
  await shoot(enumeron, 'arrange-wishes');
});

test('weave', async ({ enumeron, page }) => {
  await enumeron.open('/weave');
  for (const [line, card, place] of [
    [0, 'QC', '41'],
    [1, '7H', '1'],
    [2, '8D', '27'],
  ] as const) {
    await page.getByLabel('card', { exact: true }).fill(card);
    await page.getByLabel('to', { exact: true }).nth(line).fill(place);
  }
  await page.getByRole('button', { name: 'Put it into the row' }).click();
  await page.evaluate(() => scrollTo(0, 0));
  await shoot(enumeron, 'weave');
});

test('rehearse', async ({ enumeron, page }) => {
  await enumeron.open('/rehearse');
  await page.getByText('Two cuts and a packet of numbers').click();
  await expect(page.locator('#proof-title')).toContainText('759 of 1,275');
  await page.getByLabel('first cut, 1 to 50').fill('14');
  await page.keyboard.press('Enter');
  await page.getByRole('group', { name: /^The table/ }).focus();
  await page.keyboard.press('End');
  await page.getByLabel('second cut, 15 to 51').fill('26');
  await page.keyboard.press('Enter');
  for (let step = 0; step < 4; step++) await page.getByRole('button', { name: 'A step on' }).click();
  await page.getByText('As a table').scrollIntoViewIfNeeded();
  await shoot(enumeron, 'rehearse');
});

test('perform', async ({ enumeron, page }) => {
  await enumeron.open('/perform');
  await page.getByText('Friday, the late set').click();
  await page.getByText(/^One mend/).waitFor({ timeout: 60_000 });
  await page.locator('en-set-list .line').nth(3).click();
  await shoot(enumeron, 'perform');
});

test('perform, live', async ({ enumeron, page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await enumeron.open('/perform/tonight');
  await page.getByRole('button', { name: 'Run-through' }).click({ timeout: 60_000 });
  for (const step of ['I see K♦', 'next', 'next', 'next'])
    await page.locator('.next', { hasText: step }).click();
  for (const digit of ['2', '0']) await page.getByRole('button', { name: digit, exact: true }).click();
  await page.locator('.next', { hasText: 'next' }).click();
  for (const digit of ['3', '3']) await page.getByRole('button', { name: digit, exact: true }).click();
  await page.locator('.sum').first().waitFor();
  // Escape would open the jump.
  await page.waitForTimeout(500);
  await page.screenshot({ path: join(FOLDER, 'perform-live.png') });
});

test('perform, reset', async ({ enumeron, page }) => {
  await enumeron.open('/reckon');
  for (const move of ['exchange 3 20', 'cut 12', 'deal 9']) await enumeron.ask(move);
  await enumeron.ask('reset');
  await page.getByRole('button', { name: 'Done, next' }).click();
  await shoot(enumeron, 'perform-reset');
});

test('weave, what went wrong', async ({ enumeron, page }) => {
  await enumeron.open('/weave/wrong');
  // Cut at 26; the cards at 21 and 22 of a clean out weave have changed places.
  const clean = TIDEMARK.slice(0, 26).flatMap((card, index) => [card, TIDEMARK[26 + index]]);
  for (const [line, place, card] of [
    [0, '21', clean[21]],
    [1, '22', clean[20]],
    [2, '40', clean[39]],
  ] as const) {
    await page.getByLabel('at', { exact: true }).nth(line).fill(place);
    await page.getByLabel('card', { exact: true }).nth(line).fill(card);
  }
  await expect(page.locator('.words')).toContainText('fell together');
  await page.evaluate(() => scrollTo(0, 0));
  await shoot(enumeron, 'weave-wrong');
});

test('record', async ({ enumeron, page }) => {
  await enumeron.open('/record/choices');
  await expect(page.getByText('“Lift about half.” is')).toBeVisible();
  await shoot(enumeron, 'record');
});

test('record, a night', async ({ enumeron, page }) => {
  await enumeron.open('/record/sample-night-4');
  await expect(page.getByText('lost the count at 31')).toBeVisible();
  await shoot(enumeron, 'record-night');
});
