import { expect, test, TIDEMARK } from './enumeron';
import { answer, asBeginner, asked, meet } from './learner';
import { smallTargets } from './targets';

test('a first practice by keyboard alone, left and gone on with after a reload', async ({
  page,
  enumeron,
}) => {
  await enumeron.open('/reckon');
  await page.keyboard.press('2');
  await asBeginner(page);
  await page.getByRole('heading', { name: 'Today, Tidemark' }).click();
  await page.keyboard.press('Enter');
  await expect(page.getByText('A new card')).toBeVisible();
  await expect(page.locator('.slot')).toHaveCount(0);
  for (let count = 1; count <= 6; count++) await answer(page, count);

  // A wrong one: the truth, then a slip taken back.
  await meet(page);
  const { keys } = await asked(page);
  for (const key of /^\d+$/.test(keys) ? '49' : keys === '2S' ? '3s' : '2s') await page.keyboard.press(key);
  await expect(page.getByRole('region', { name: 'The truth' })).toContainText('Not');
  await page.keyboard.press('Backspace');
  await expect(page.getByRole('status').getByText('taken back')).toBeVisible();
  await answer(page, 7);

  await page.reload();
  await expect(page.locator('.far')).toContainText('7 answered');
  await answer(page, 8);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'Today, Tidemark' })).toBeVisible();
  // The keys are back.
  await page.keyboard.press('3');
  await expect(page).toHaveURL(/reckon/);
});

test('each drill by keyboard alone: sums, the weakest ten, a glimpse, a run, and the real pack dealt along', async ({
  page,
  enumeron,
}) => {
  await enumeron.open('/learn/sums');
  await expect(page.getByRole('table')).toBeVisible();
  await page.keyboard.press('Enter');
  // Whatever is asked: keys that no answer begins with change nothing, and some wrong or right answer is taken.
  for (let count = 1; count <= 4; count++) {
    await expect(page.locator('.typed')).toBeVisible();
    const question = (await page.locator('.prompt').textContent()) ?? '';
    await page.keyboard.press('z');
    const keys = question.startsWith('Which weaves')
      ? 'i'
      : /which card|one card was taken/i.test(question)
        ? '2s'
        : '12';
    for (const key of keys) await page.keyboard.press(key);
    // A row of weaves may go on, so it alone wants Enter: a number is done at its second digit.
    if (keys === 'i') await page.keyboard.press('Enter');
    await expect(page.locator('.far')).toContainText(`${count.toString()} answered`);
    if (await page.getByRole('region', { name: 'The truth' }).isVisible()) {
      await expect(page.locator('en-hand-sum')).toBeVisible();
      await page.keyboard.press('Enter');
    }
  }
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'Sums, Tidemark' })).toBeVisible();

  await enumeron.open('/learn/standing');
  await page.getByRole('button', { name: 'Drill these 10' }).press('Enter');
  await answer(page, 1);
  await page.keyboard.press('Escape');
  await expect(page).toHaveURL(/learn\/standing$/);

  await enumeron.open('/learn/busy');
  await page.getByRole('link', { name: 'Glimpse' }).press('Enter');
  await expect(page.locator('.typed')).toBeVisible();
  const { keys } = await asked(page);
  await expect(page.getByText('It was shown for a moment.')).toBeAttached();
  for (const key of keys.toLowerCase()) await page.keyboard.press(key);
  if (/^[1-5]$/.test(keys)) await page.keyboard.press('Enter');
  await expect(page.locator('.far')).toContainText('1 answered');
  await page.keyboard.press('Escape');

  await page.getByRole('link', { name: 'Deal along' }).press('Enter');
  await expect(page.getByText('card 1 of 52')).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowLeft');
  await expect(page.locator('.far')).toContainText('1 of 2 right');
  await page.keyboard.press('Escape');

  await enumeron.open('/learn/run');
  await page.getByRole('heading', { name: /Run the order/ }).click();
  await page.keyboard.press('Enter');
  await expect(page.locator('.far')).toContainText('0 of 52');
  for (const card of TIDEMARK) for (const key of card.toLowerCase()) await page.keyboard.press(key);
  await expect(page.getByText('No card was wrong.')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /typed/ }).first()).toBeVisible();
});

test('a way of Reckon is practised from there', async ({ page, enumeron }) => {
  await enumeron.open('/reckon/composed-card');
  await page
    .getByRole('button', { name: /example/i })
    .first()
    .click();
  await page.getByRole('link', { name: 'Practise this' }).click();
  await expect(page.locator('.prompt')).toContainText('make a card');
});

test('the spoken drill speaks with a voice of the device, and pauses', async ({ page, enumeron }) => {
  await page.addInitScript(() => {
    const said: string[] = [];
    Object.assign(window, {
      said,
      SpeechSynthesisUtterance: class {
        constructor(readonly text: string) {}
      },
    });
    Object.defineProperty(window, 'speechSynthesis', {
      value: {
        getVoices: () => [{ localService: true, lang: 'en-GB' }],
        addEventListener: () => undefined,
        cancel: () => undefined,
        speak: (utterance: { text: string; onend: () => void }) => {
          said.push(utterance.text);
          setTimeout(() => utterance.onend(), 20);
        },
      },
    });
  });
  await enumeron.open('/learn/busy/spoken/practise');
  await page.keyboard.press('1');
  const said = (): Promise<string[]> => page.evaluate(() => (window as unknown as { said: string[] }).said);
  await expect(async () => expect((await said()).length).toBeGreaterThanOrEqual(4)).toPass();
  expect((await said())[0]).toMatch(/\?$/);
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: /Go on/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: /Hands busy/ })).toBeVisible();
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('a practice by one thumb: numbers and cards, every target large enough', async ({
    page,
    enumeron,
  }) => {
    await enumeron.open('/learn');
    await asBeginner(page);
    await page.getByRole('button', { name: /Start/ }).tap();
    for (let count = 1; count <= 8; count++) {
      await meet(page, true);
      const { keys } = await asked(page);
      expect(await smallTargets(page)).toEqual([]);
      if (/^\d+$/.test(keys)) {
        const pad = page.getByRole('group', { name: 'Number' });
        for (const digit of keys) await pad.getByRole('button', { name: digit, exact: true }).tap();
        if (/^[1-5]$/.test(keys)) await pad.getByRole('button', { name: 'done' }).tap();
      } else {
        const pad = page.getByRole('group', { name: 'Card' });
        const rank = keys.startsWith('T') ? '10' : keys[0];
        await pad.getByText(rank, { exact: true }).tap();
        const suit = { C: 'clubs', D: 'diamonds', H: 'hearts', S: 'spades' }[keys[1]] ?? '';
        await pad.getByRole('button', { name: suit }).tap();
      }
      await expect(page.locator('.far')).toContainText(`${count.toString()} answered`);
    }
    await page.getByRole('button', { name: 'stop' }).tap();
    await expect(page.getByRole('heading', { name: 'Today, Tidemark' })).toBeVisible();
  });
});
