import { Locator, Page } from '@playwright/test';
import { expect, goTo, test } from './enumeron';
import { smallTargets } from './targets';

/** The seven routines of the sample set, in another order. */
const SEVEN = [
  'A card at a number',
  'The harbour count',
  'Two cuts, one difference',
  'In the pocket',
  'A card made of two',
  'Counted in silence',
  'The letter in the till',
];

const linesIn = (page: Page): Locator => page.locator('en-set-list .line');

/** The routines of the set that is open, in turn. */
const namesIn = (page: Page): Promise<string[]> => linesIn(page).locator('strong').allTextContents();

/** Goes on by Tab until a control of that name has the focus. */
const tabTo = async (page: Page, name: string | RegExp): Promise<void> => {
  const isThere = (): Promise<boolean> =>
    page.evaluate(
      ([source, flags]) => {
        const at = document.activeElement;
        const text = at?.getAttribute('aria-label') ?? at?.textContent.trim() ?? '';
        return new RegExp(source, flags).test(text);
      },
      name instanceof RegExp ? [name.source, name.flags] : [`^${name}$`, ''],
    );
  for (let presses = 0; presses < 80; presses++) {
    if (await isThere()) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`Tab does not come to ${name.toString()}`);
};

/** What is found of all routines is there: nothing is worked out any more. */
const workedOut = (page: Page): Promise<void> =>
  expect(page.getByText(/^Working out/)).toHaveCount(0, { timeout: 90_000 });

test('a set of seven is put together, mended, put in the best order and the pack reset, by keyboard alone', async ({
  enumeron,
  page,
}) => {
  test.setTimeout(180_000);
  await enumeron.open('/perform');
  await expect(page.getByText('7 routines')).toBeVisible();
  await page.keyboard.press('6');
  await tabTo(page, 'New set');
  await page.keyboard.press('Enter');
  await expect(page.getByText('No routine yet.')).toBeVisible();
  for (const [index, name] of SEVEN.entries()) {
    await tabTo(page, 'Add a routine');
    await page.keyboard.press('Enter');
    const item = page.getByRole('menuitem', { name });
    await expect(item).toBeVisible();
    for (let down = 0; down < 12; down++) {
      if (await item.evaluate((each) => each === document.activeElement)) break;
      await page.keyboard.press('ArrowDown');
    }
    await expect(item).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(linesIn(page)).toHaveCount(index + 1);
  }
  expect(await namesIn(page)).toEqual(SEVEN);
  await workedOut(page);
  // The second is moved up by its keys, and back again.
  await linesIn(page).nth(6).focus();
  for (let up = 0; up < 5; up++) await page.keyboard.press('ArrowUp');
  await expect(linesIn(page).nth(1)).toBeFocused();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(linesIn(page).first()).toContainText('The harbour count');
  await expect(linesIn(page).first()).toBeFocused();
  await page.keyboard.press('Alt+ArrowDown');
  await expect.poll(() => namesIn(page)).toEqual(SEVEN);
  // It is fixed behind the first, and what mends the junction is there.
  const junction = page.locator('.between').nth(1);
  await expect(junction).toContainText('king of diamonds to the face');
  await expect(junction).toContainText('4 s, in view');
  const before = await page.locator('.answer h3').textContent();
  await tabTo(page, 'Interval after it');
  await page.keyboard.press('Enter');
  const interval = page.getByRole('group', { name: 'The interval' });
  await interval.focus();
  for (const place of [3, 4]) {
    await page.keyboard.press('Alt+ArrowDown');
    await expect(page.locator('.between').nth(place).getByRole('group')).toBeFocused();
  }
  await tabTo(page, /^Best order$/);
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Another order takes/)).toBeVisible({ timeout: 30_000 });
  await tabTo(page, 'Use this order');
  await page.keyboard.press('Enter');
  await expect.poll(() => namesIn(page)).not.toEqual(SEVEN);
  expect((await namesIn(page)).toSorted()).toEqual(SEVEN.toSorted());
  expect(await page.locator('.answer h3').textContent()).not.toBe(before);
  // One undo brings the order back.
  await linesIn(page).first().focus();
  await page.keyboard.press('Control+z');
  await expect.poll(() => namesIn(page)).toEqual(SEVEN);
  // The pack is brought back.
  await enumeron.ask('deal 9');
  await enumeron.ask('reset');
  await expect(page.getByText('1 move; no fewer are possible.')).toBeVisible();
  await expect(
    page.getByText(/Reverse the 9 from .*six of diamonds to .*ace of clubs where they lie/).first(),
  ).toBeVisible();
  await tabTo(page, 'Done, next');
  await page.keyboard.press('Enter');
  await expect(page.getByText('It lies in Tidemark.')).toBeVisible();
  await tabTo(page, 'Put it on the rail so');
  await page.keyboard.press('Enter');
  await expect(enumeron.status()).toContainText('in order');
});

test('a routine is dragged by its number to another place', async ({ enumeron, page }) => {
  await enumeron.open('/perform/sample-late-set');
  await expect(linesIn(page)).toHaveCount(7);
  const before = await namesIn(page);
  await expect(async () => {
    const [from, to] = [linesIn(page).first(), linesIn(page).nth(2)];
    await from.locator('.number').hover();
    await page.mouse.down();
    const box = await to.boundingBox();
    if (!box) throw new Error('no line');
    await page.mouse.move(box.x + 40, box.y + 10, { steps: 8 });
    await page.mouse.move(box.x + 40, box.y + box.height - 4, { steps: 4 });
    await page.mouse.up();
    // A slow machine shows it later: dragged once more it would have gone twice.
    await expect
      .poll(async () => (await namesIn(page)).indexOf(before[0]), { timeout: 3000 })
      .toBeGreaterThan(0);
  }).toPass({ timeout: 20_000 });
  await page.keyboard.press('Control+z');
  await expect.poll(() => namesIn(page)).toEqual(before);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('the same by thumb', async ({ enumeron, page }) => {
    test.setTimeout(180_000);
    await enumeron.open('/perform');
    await expect(page.getByText('7 routines')).toBeVisible();
    await page.getByRole('button', { name: 'New set' }).tap();
    for (const [index, name] of SEVEN.entries()) {
      await page.getByRole('button', { name: 'Add a routine' }).tap();
      await page.getByRole('menuitem', { name }).tap();
      await expect(linesIn(page)).toHaveCount(index + 1);
    }
    await workedOut(page);
    expect(await smallTargets(page)).toEqual([]);
    await linesIn(page).nth(1).tap();
    await page.getByRole('button', { name: 'Earlier' }).tap();
    await expect(linesIn(page).first()).toContainText('The harbour count');
    await page.getByRole('button', { name: 'Later', exact: true }).tap();
    await expect.poll(() => namesIn(page)).toEqual(SEVEN);
    await page.getByRole('button', { name: /Cut king of diamonds to the face/ }).tap();
    await expect(page.getByText('The harbour count would cost elsewhere')).toBeVisible();
    await page.getByRole('button', { name: 'Best order' }).tap();
    // It is brought into sight.
    await expect(page.getByText(/^Another order takes/)).toBeInViewport({ timeout: 30_000 });
    await page.getByRole('button', { name: 'Use this order' }).tap();
    await expect.poll(() => namesIn(page)).not.toEqual(SEVEN);
    await page.getByRole('link', { name: 'Reset' }).tap();
    await page.getByRole('radio', { name: 'a few glimpses' }).tap();
    await expect(page.getByText('The card at 52, the face?')).toBeVisible();
    await page.getByRole('button', { name: 'king', exact: true }).tap();
    await page.getByRole('button', { name: 'hearts', exact: true }).tap();
    // K♥ at the face: cut at three.
    await expect(page.getByText(/Cut .*king of diamonds to the face/).first()).toBeVisible();
    await page.getByRole('button', { name: 'Done, next' }).tap();
    await expect(page.getByText('It lies in Tidemark.')).toBeVisible();
  });

  test('each room is one tap away at 320 px, by its name', async ({ enumeron, page }) => {
    await page.setViewportSize({ width: 320, height: 640 });
    await enumeron.open('/perform');
    const rooms = page.getByRole('navigation', { name: 'Rooms' }).getByRole('link');
    for (const room of await rooms.all()) {
      await expect(room).toBeInViewport({ ratio: 1 });
      const box = await room.boundingBox();
      expect([box?.width ?? 0, box?.height ?? 0].every((side) => side >= 44)).toBe(true);
      // Its whole name stands in it.
      expect(await room.evaluate((link) => link.scrollWidth <= link.clientWidth)).toBe(true);
    }
  });
});

test('what is seen is something else: it is told, and the way goes on from there, also after a reload', async ({
  enumeron,
  page,
}) => {
  await enumeron.open('/perform/reset');
  await page.getByRole('radio', { name: 'I spread the cards' }).click();
  await page.getByLabel('type it').fill('3H');
  await page.keyboard.press('Enter');
  await page.getByLabel('type it').fill('AC');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'face up' }).click();
  await page.getByLabel('type it').fill('9D');
  await page.keyboard.press('Enter');
  await expect(page.getByText('3 of 52')).toBeVisible();
  await page.reload();
  await expect(page.getByText('3 of 52')).toBeVisible();
  await page.getByRole('button', { name: 'That is all' }).click();
  await expect(page.getByText(/nine of diamonds over, which lies face up/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Done, next' }).click();
  await expect(
    page.getByText(/three of hearts and .*ace of clubs, which lie together/).first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Done, next' }).click();
  await expect(page.getByText(/king of hearts back, below/).first()).toBeVisible();
  await page.reload();
  await expect(page.getByText('3 of 4', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'This is not what I see' }).click();
  await expect(page.getByText('0 of 52')).toBeVisible();
});

test('a set goes to another browser by its address, with its routines and procedures', async ({
  browser,
  enumeron,
  page,
}) => {
  await enumeron.open('/perform/sample-late-set');
  await expect(linesIn(page)).toHaveCount(7);
  await page.getByRole('button', { name: 'Share' }).click();
  const address = await page.getByRole('textbox', { name: /The address opens/ }).inputValue();
  const other = await browser.newContext();
  const there = await other.newPage();
  await there.goto(address);
  await expect(there.getByRole('heading', { name: 'Friday, the late set' })).toBeVisible({ timeout: 30_000 });
  await there.getByRole('button', { name: 'Save it' }).click();
  await expect(linesIn(there)).toHaveCount(7);
  await expect(there.getByText('closes: The letter in the till')).toBeVisible();
  await expect(there.getByText('needs blue: Tidemark').first()).toBeVisible();
  await expect(there.getByText('removed')).toHaveCount(0);
  await other.close();
});

test('a procedure, an order and a routine that are removed say which sets use them', async ({
  enumeron,
  page,
}) => {
  await enumeron.open('/perform/sample-late-set');
  await expect(linesIn(page)).toHaveCount(7);
  await goTo(page, '/rehearse');
  await page.getByRole('button', { name: 'More of A card made of two' }).click();
  await page.getByRole('menuitem', { name: 'Remove' }).click();
  await expect(page.getByText('It is used in Friday, the late set.')).toBeVisible();
  await goTo(page, '/perform/routines');
  await page.getByRole('button', { name: 'More of In the pocket' }).click();
  await page.getByRole('menuitem', { name: 'Remove' }).click();
  await expect(page.getByText('It was in Friday, the late set.')).toBeVisible();
  await goTo(page, '/perform/sample-late-set');
  await expect(page.getByText('A routine that was removed')).toBeVisible();
});

test('what is ticked before one goes on stays while one looks elsewhere, and over a reload', async ({
  enumeron,
  page,
}) => {
  await enumeron.open('/perform/sample-late-set/before');
  await page.getByRole('checkbox', { name: 'Phone silent' }).check();
  await expect(page.getByText(/^12 of 13/)).toBeVisible();
  await goTo(page, '/reckon');
  await expect(page.getByRole('checkbox')).toHaveCount(0);
  await goTo(page, '/perform/sample-late-set/before');
  await expect(page.getByRole('checkbox', { name: 'Phone silent' })).toBeChecked();
  await page.reload();
  await expect(page.getByRole('checkbox', { name: 'Phone silent' })).toBeChecked();
  await page.getByRole('button', { name: 'Begin the list anew' }).click();
  await expect(page.getByText(/^13 of 13/)).toBeVisible();
});
