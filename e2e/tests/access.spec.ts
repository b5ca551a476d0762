import { Page } from '@playwright/test';
import { faultsIn } from './axe';
import { expect, test } from './enumeron';
import { settled } from './settled';
import { smallTargets } from './targets';
import { GROUPS, openView, VIEWS } from './views';
import { walk } from './walk';

/** How a view is looked at: each theme, one on a wide screen and one on a phone, and the widths that it must fit. */
const LOOKS = [
  { colorScheme: 'light', viewport: { width: 1280, height: 800 }, widths: [320, 720, 900, 1100, 1280] },
  { colorScheme: 'dark', viewport: { width: 390, height: 844 }, widths: [390] },
] as const;

/**
 * Every view, opened once and looked at in both ways: Tab reaches every control and shows where it is, and on a phone a
 * thumb finds each target.
 */
test.describe('every view in both themes, wide and on a phone', () => {
  test.use({ contextOptions: { reducedMotion: 'reduce' } });

  for (const group of GROUPS)
    test(`axe finds nothing, and Tab reaches all, in ${group.map(({ name }) => name).join('; ')}`, async ({
      enumeron,
      page,
    }) => {
      test.setTimeout(180_000);
      for (const view of group)
        for (const [index, { colorScheme, viewport, widths }] of LOOKS.entries())
          await test.step(`${view.name}, ${colorScheme}`, async () => {
            await page.emulateMedia({ colorScheme });
            await page.setViewportSize(viewport);
            if (index === 0) await openView(enumeron, view);
            else await settled(page);
            // The frame is the same in every view: it is looked at once, with the first.
            expect(await faultsIn(page, view === VIEWS[0] ? 'html' : 'main'), view.name).toEqual([]);
            if (index === 0) {
              // So is what stands about it: it is walked once, with the first of a group.
              const { unreached, unshown, stops } = await walk(page, view === group[0] ? 'body' : 'main');
              expect({ unreached, unshown }, view.name).toEqual({ unreached: [], unshown: [] });
              if (view === group[0]) expect(stops).toBeGreaterThan(view.hasKeys ? 8 : 12);
              else expect(stops).toBeGreaterThan(0);
            }
            for (const width of widths) {
              await page.setViewportSize({ ...viewport, width });
              await expect
                .poll(() => page.evaluate(() => document.documentElement.scrollWidth), {
                  message: `${view.name} goes beyond a screen of ${width}`,
                })
                .toBeLessThanOrEqual(width);
            }
            if (viewport.width < 700) expect(await smallTargets(page), view.name).toEqual([]);
          });
    });
});

test('axe finds nothing in the help, the open ask line and a slot’s menu', async ({ enumeron, page }) => {
  await enumeron.open();
  const check = async (): Promise<void> => {
    await settled(page);
    // A combobox's list hangs at the end of the page, owned by its field and not by a landmark.
    const rules = { region: { enabled: false } };
    expect(await faultsIn(page, '.cdk-overlay-container', { rules })).toEqual([]);
  };
  await page.keyboard.press('/');
  await page.keyboard.type('7');
  await check();
  await page.keyboard.press('Escape');
  await enumeron.slot(5).click();
  await check();
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await check();
});

/** The least contrast between a text on the rail and what it stands on. Hidden from a screen reader, it is hidden from axe. */
const leastContrast = (page: Page): Promise<number> =>
  page.evaluate(() => {
    const channels = (colour: string): number[] => (colour.match(/[\d.]+/g) ?? []).map(Number);
    const luminance = (colour: string): number => {
      const [red, green, blue] = channels(colour).map((value) => {
        const part = value / 255;
        return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
      });
      return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
    };
    const groundOf = (element: Element | null): string => {
      if (!element) return 'rgb(255, 255, 255)';
      const { backgroundColor } = getComputedStyle(element);
      return channels(backgroundColor)[3] === 0 ? groundOf(element.parentElement) : backgroundColor;
    };
    const texts = [...document.querySelectorAll('.slot .place, .slot .face, .slot .stack')];
    const ratios = texts.map((element) => {
      const [a, b] = [luminance(getComputedStyle(element).color), luminance(groundOf(element))];
      return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
    });
    return Math.min(...ratios);
  });

for (const colorScheme of ['light', 'dark'] as const)
  test.describe(`${colorScheme}, the rail`, () => {
    test.use({ colorScheme });

    test(`every text on it can be read, however its slot is marked`, async ({ enumeron, page }) => {
      await enumeron.open();
      // Wanted and number apart, then on one slot; seen; the whole out of step.
      for (const asked of ['7D 15', '7D 20', 'face KH', '7D 17', 'deal 9', '9D 30']) {
        await enumeron.ask(asked);
        await settled(page);
        expect(await leastContrast(page), asked).toBeGreaterThan(4.5);
      }
      await enumeron.open('/reckon/two-cuts');
      await page.getByRole('textbox', { name: 'At the first cut' }).fill('9D');
      await page.getByRole('textbox', { name: 'At the deeper cut' }).fill('7S');
      await expect(page.locator('.slot.wanted')).toHaveCount(1);
      expect(await leastContrast(page)).toBeGreaterThan(4.5);
    });
  });
