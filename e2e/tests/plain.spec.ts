import { Page } from '@playwright/test';
import { expect, test } from './enumeron';
import { GROUPS, openView } from './views';

/** The application at an address that is not secure: no locks, no clipboard, no promise to keep what is stored. */
const PLAIN = 'http://pocket.test:4311';
test.use({ baseURL: PLAIN });

/** What is typed into a field: too little, or wrong, so that nothing takes it for good. */
const sampleFor = (type: string, inputMode: string): string =>
  type === 'number' || inputMode === 'numeric' || inputMode === 'decimal' ? '7' : '7z';

interface Filled {
  readonly name: string;
  readonly value: string;
}

/** Every field that can be typed into, by its line and what it is called, with what stands in it. */
const fieldsOf = (page: Page): Promise<readonly Filled[]> =>
  page.evaluate(() => {
    const seen = new Map<string, number>();
    return [...document.querySelectorAll<HTMLInputElement | HTMLTextAreaElement>('input, textarea')].flatMap(
      (field) => {
        if (['checkbox', 'radio', 'file', 'range'].includes(field.type) || field.disabled || field.readOnly)
          return [];
        if (field.getClientRects().length === 0) return [];
        const called =
          field.ariaLabel ??
          [...(field.labels ?? [])].at(0)?.textContent.replace(/\s+/g, ' ').trim() ??
          field.placeholder;
        const name = `${field.closest<HTMLElement>('[data-line]')?.dataset['line'] ?? ''} ${called}`.trim();
        const count = (seen.get(name) ?? 0) + 1;
        seen.set(name, count);
        const [key, sample] = [`${name} ${count.toString()}`, field.dataset['typedHere']];
        return [{ name: key, value: sample ?? field.value }];
      },
    );
  });

/** Types into every field of a view; gives what stands in each then. */
const typeEverywhere = async (page: Page): Promise<readonly Filled[]> => {
  const fields = page.locator(
    "input:not([type='checkbox'], [type='radio'], [type='file'], [type='range']), textarea",
  );
  // Of many that are alike a few do.
  for (let index = 0; index < Math.min(await fields.count(), 12); index++) {
    const field = fields.nth(index);
    if (!(await field.isVisible()) || !(await field.isEditable())) continue;
    const [type, mode] = await field.evaluate((each: HTMLInputElement) => [each.type, each.inputMode]);
    await field.focus();
    await page.keyboard.press('ControlOrMeta+a');
    await page.keyboard.insertText(sampleFor(type, mode));
  }
  return (await fieldsOf(page)).filter(({ value }) => value !== '');
};

/** Fields that were tried already, by the same worker: the frame's stand in every view. */
const tried = new Set<string>();

for (const [index, views] of GROUPS.entries())
  test(`what is typed survives a reload at a plain address, every field (${(index + 1).toString()})`, async ({
    enumeron,
    page,
  }) => {
    for (const view of views.filter(({ hasKeys }) => !hasKeys)) {
      await openView(enumeron, view);
      expect(await page.evaluate(() => isSecureContext)).toBe(false);
      const fresh = (await fieldsOf(page)).filter(({ name }) => !tried.has(name));
      if (fresh.length === 0) continue;
      const typed = await typeEverywhere(page);
      for (const { name } of typed) tried.add(name);
      await page.reload();
      await expect
        .poll(async () => {
          const now = new Map((await fieldsOf(page)).map(({ name, value }) => [name, value]));
          return typed
            .filter(({ name, value }) => now.get(name) !== value)
            .map(({ name, value }) => [name, value, now.get(name) ?? 'not there']);
        }, view.name)
        .toEqual([]);
    }
  });

test('at a plain address what is missing is said where it is missed', async ({ enumeron, page }) => {
  await enumeron.open('/arrange/sample-tidemark');
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  await expect(page.getByText('the browser won’t copy')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Copy/ })).toHaveCount(0);
  await expect(page.getByLabel(/^The address opens/)).toHaveValue(/\/arrange\/shared#z1\./);
  await enumeron.open('/settings');
  await expect(page.getByText('needs a network for each visit')).toBeVisible();
});
