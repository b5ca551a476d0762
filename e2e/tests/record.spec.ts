import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Locator, Page } from '@playwright/test';
import { expect, goTo, test } from './enumeron';
import { after, generator, Killable } from './killable';

/** Presses keys and counts them. */
class Keys {
  count = 0;

  constructor(private readonly page: Page) {}

  async press(...keys: readonly string[]): Promise<void> {
    for (const key of keys) {
      await this.page.keyboard.press(key);
      this.count++;
    }
  }

  /** Types into the field that has the focus, and goes on. */
  async tell(text: string): Promise<void> {
    await this.press(...text, 'Enter');
  }
}

/** The label of the field that has the focus. */
const here = (page: Page): Promise<string> =>
  page.evaluate(() => document.activeElement?.closest('label, .ends')?.textContent.trim() ?? '');

test('seven routines are written down after a show by keyboard in under 120 keys', async ({
  enumeron,
  page,
}) => {
  await enumeron.open('/reckon');
  const keys = new Keys(page);
  await keys.press('7');
  await expect(page.getByText('86 of 104 hit')).toBeVisible();
  for (let tab = 0; tab < 20; tab++) {
    await keys.press('Tab');
    if ((await page.evaluate(() => document.activeElement?.textContent.trim())) === 'Write tonight down')
      break;
  }
  await keys.press('Enter');
  await expect(page.locator('en-routine-row')).toHaveCount(7);
  await expect.poll(() => here(page)).toContain('Hit');
  // A card at a number: it hit, they lifted 21 and named 27.
  await keys.press('Enter');
  await expect.poll(() => here(page)).toContain('lifted');
  await keys.tell('21');
  await keys.tell('27');
  // Two cuts, one difference: an out, and why.
  await keys.press('o');
  await expect.poll(() => here(page)).toContain('why');
  await keys.tell('too near');
  await keys.tell('12');
  await keys.tell('14');
  // The harbour count hit, In the pocket missed, nobody knows why.
  await keys.press('Enter');
  await keys.press('m');
  await expect.poll(() => here(page)).toContain('why');
  await keys.press('Enter');
  // A card made of two: the cut is not noted, the second way.
  await keys.press('Enter');
  await expect.poll(() => here(page)).toContain('cut');
  await keys.press('Enter');
  await keys.tell('2');
  // Counted in silence: about half was 20; nobody was asked again. The letter was left out.
  await keys.press('Enter');
  await expect.poll(() => here(page)).toContain('lifted');
  await keys.tell('20');
  await keys.press('Enter');
  await keys.press('l');
  await expect.poll(() => here(page)).toContain('note');
  await keys.press('Tab');
  await expect(page.getByRole('button', { name: 'Done' })).toBeFocused();
  await keys.press('Enter');
  await expect(page.getByLabel('Routines that hit')).toHaveText('4 of 6 hit');
  expect(keys.count).toBeLessThan(120);
  console.log(`${keys.count.toString()} keys`);
  const lines = page.locator('.programme li');
  await expect(lines.nth(0)).toContainText('lifted 21');
  await expect(lines.nth(0)).toContainText('number 27');
  await expect(lines.nth(1)).toContainText('too near');
  await expect(lines.nth(4)).toContainText('The rank of the second card.');
  await expect(lines.nth(6)).toContainText('left out');
  // What they chose counts at once; undo is the room’s own.
  await goTo(page, '/record/choices');
  await expect(page.getByText('42 choices')).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByText('The letter in the till: left out: undone')).toBeVisible();
});

test('a night is removed, comes back by undo, is duplicated and found by its words', async ({
  enumeron,
  page,
}) => {
  await enumeron.open('/record/sample-night-4');
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByText('86 of 104 hit')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(page.getByText('86 of 104 hit')).toBeVisible();
  await page.getByRole('searchbox', { name: 'Search nights' }).fill('lost the COUNT');
  await expect(page.locator('en-night-table [role=row]')).toHaveCount(2);
  await page.getByRole('button', { name: /^More of 6 Nov/ }).click();
  await page.getByRole('menuitem', { name: 'Duplicate' }).click();
  await expect(page.locator('en-routine-row')).toHaveCount(10);
  await page.getByLabel('place', { exact: true }).fill('Lighthouse');
  await page.reload();
  await expect(page.getByLabel('place', { exact: true })).toHaveValue('Lighthouse');
  await goTo(page, '/record');
  await page.getByRole('searchbox', { name: 'Search nights' }).fill('lighthouse');
  await expect(page.locator('en-night-table [role=row]')).toHaveCount(2);
});

test('weighed by the record a proof says so, and is set back; a night more is told once', async ({
  enumeron,
  page,
}) => {
  test.setTimeout(120_000);
  await enumeron.open('/record/choices');
  await page.getByRole('button', { name: /A packet counted in silence, lifted: by my record/ }).click();
  await page.getByRole('link', { name: 'A packet counted in silence' }).click();
  await expect(page.getByText('by your 41 choices; before: about 26 within 5.')).toBeVisible();
  const title = page.locator('#proof-title');
  await expect(title).toHaveText(/^Works 76 times in 100/);
  await page.getByRole('button', { name: 'Set it back' }).click();
  await expect(page.getByText('by your 41 choices')).toHaveCount(0);
  await expect(title).toHaveText(/^Works 80 times in 100/);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText('by your 41 choices')).toBeVisible();
  await expect(title).toHaveText(/^Works 76 times in 100/);
  // One more, written down: the figure follows, and it is told once.
  await goTo(page, '/record/sample-night-1/write');
  await page.getByLabel('lifted, 1 to 51').nth(0).fill('30');
  await goTo(page, '/record/sample-night-2');
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await goTo(page, '/rehearse/sample-a-packet-counted-in-silence');
  await expect(page.getByText('lifted: 41 choices then, 37 now')).toBeVisible();
  await page.getByRole('button', { name: 'Noted' }).click();
  await expect(page.getByText('37 now')).toHaveCount(0);
  await page.reload();
  await expect(page.getByText('by your 37 choices')).toBeVisible();
  await expect(page.getByText('37 now')).toHaveCount(0);
});

test('nights go to another browser as a file, come back changed, and nothing doubles', async ({
  enumeron,
  page,
  browser,
}) => {
  test.setTimeout(120_000);
  await enumeron.open('/record');
  await page.getByRole('button', { name: 'Write tonight down' }).click();
  await page.getByLabel('place', { exact: true }).fill('Lighthouse');
  await page.getByRole('radio', { name: 'Hit' }).first().click();
  const files = join(tmpdir(), `enumeron-nights-${Date.now().toString()}`);
  const save = async (from: Page, button: string, name: string): Promise<string> => {
    await goTo(from, '/record/files');
    const saved = from.waitForEvent('download');
    await from.getByRole('button', { name: button }).click();
    await (await saved).saveAs(join(files, name));
    return join(files, name);
  };
  const json = await save(page, 'All of it', 'here.json');
  expect(JSON.parse(await readFile(json, 'utf8'))).toMatchObject({ nights: [{ place: 'Lighthouse' }] });
  const context = await browser.newContext();
  const other = await context.newPage();
  await other.goto('/record/files');
  const open = async (
    on: Page,
    file: Parameters<Locator['setInputFiles']>[0],
    says: string,
  ): Promise<void> => {
    // A file that comes right behind another is taken for a part of the same press.
    await expect(async () => {
      const input = on.locator('input[type=file]');
      if (await input.count()) await input.setInputFiles(file);
      await expect(on.locator('.headline')).toHaveText(says, { timeout: 2000 });
    }).toPass();
  };
  await open(other, json, '1 night new');
  await other.getByRole('button', { name: 'Merge them' }).click();
  await goTo(other, '/record');
  await other.getByRole('searchbox', { name: 'Search nights' }).fill('lighthouse');
  await other.locator('en-night-table .name a').click();
  await other.getByRole('link', { name: 'Change' }).click();
  await other.getByRole('textbox', { name: 'note', exact: true }).fill('Fog.');
  const back = await save(other, 'All of it', 'back.json');
  await open(page, back, '1 night changed');
  await page.getByRole('button', { name: 'Merge them' }).click();
  await open(page, back, 'Nothing in it is new here');
  await page.getByRole('button', { name: 'Close' }).click();
  // A table and a calendar of the same bring nothing new either.
  const csv = await save(page, 'A table', 'nights.csv');
  await open(page, csv, 'Nothing in it is new here');
  await page.getByRole('button', { name: 'Close' }).click();
  const ics = await save(page, 'Dates', 'nights.ics');
  await open(page, ics, 'Nothing in it is new here');
  await page.getByRole('button', { name: 'Close' }).click();
  const mine = {
    ...{ name: 'mine.csv', mimeType: 'text/csv' },
    buffer: Buffer.from(
      'Day;Venue;Trick;Worked\n3/10/2026;Harbour hall;In the pocket;yes\n9/10/2026;Net loft;Two cuts;no\n',
    ),
  };
  await open(page, mine, '2 nights new');
  await page.getByRole('button', { name: 'Worked is left out' }).click();
  await page.getByRole('menuitem', { name: 'ended' }).click();
  await page.getByRole('button', { name: 'Merge them' }).click();
  await goTo(page, '/record');
  await page.getByRole('searchbox', { name: 'Search nights' }).fill('harbour hall');
  await expect(page.locator('en-night-table [role=row]').nth(1)).toContainText('1 of 1');
  await context.close();
  await rm(files, { recursive: true, force: true });
});

/** How often it is killed: KILLS=20 for the figure in full. */
const KILLS = Number(process.env['KILLS'] ?? 3);

/** All that stands in the form. */
const shownIn = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => [
    ...[...document.querySelectorAll('en-routine-row input')].map(
      (field) => (field as HTMLInputElement).value,
    ),
    ...[...document.querySelectorAll('en-routine-row [aria-checked="true"]')].map((each) => each.textContent),
  ]);

test('killed while a night is written down, at most the last key is lost', async ({ baseURL }) => {
  test.setTimeout(60_000 + KILLS * 20_000);
  const profile = await mkdtemp(join(tmpdir(), 'enumeron-kill-record-'));
  const browser = new Killable(profile, baseURL ?? '');
  const random = generator(20_261_130);
  try {
    let page = await browser.open('/record', 'en-night-table .name');
    await page.getByRole('button', { name: 'Write tonight down' }).click();
    await page.locator('en-routine-row').first().waitFor();
    const path = new URL(page.url()).pathname;
    for (let kill = 0; kill < KILLS; kill++) {
      const field = page.locator('en-routine-row input.goes-on').nth(kill % 4);
      await field.fill('');
      let [before, shown]: (readonly string[])[] = [[], []];
      for (const key of kill % 2 === 0 ? ['3', '1'] : ['2', '4']) {
        before = await shownIn(page);
        await field.press(key);
        shown = await shownIn(page);
      }
      await after(random() * 120);
      await browser.kill();
      page = await browser.open(path, 'en-routine-row');
      await page.locator('en-routine-row').nth(6).waitFor();
      const states = [JSON.stringify(before), JSON.stringify(shown)];
      await expect.poll(async () => states.includes(JSON.stringify(await shownIn(page)))).toBe(true);
    }
  } finally {
    await browser.kill();
    await rm(profile, { recursive: true, force: true });
  }
});
