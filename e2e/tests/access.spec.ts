import { Page } from '@playwright/test';
import { faultsIn } from './axe';
import { expect, goTo, test } from './enumeron';
import { settled } from './settled';
import { smallTargets } from './targets';
import { GROUPS, openView, VIEWS } from './views';
import { walk } from './walk';

/** How a view is looked at: each theme, one on a wide screen and one on a phone, and the widths that it must fit. */
const LOOKS = [
  { colorScheme: 'light', viewport: { width: 1280, height: 800 }, widths: [320, 720, 900, 1100, 1280] },
  { colorScheme: 'dark', viewport: { width: 390, height: 844 }, widths: [390] },
] as const;

/** What a live region says in twenty words or more, other than a list of what is wrong. */
const longWords = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => {
    const regions = [
      ...document.querySelectorAll('[aria-live]:not([aria-live=off]), [role=status], [role=alert]'),
    ];
    return regions
      .filter((region) => region.getClientRects().length > 0 && region.querySelector('li') === null)
      .map((region) => {
        const heard = region.cloneNode(true) as Element;
        for (const unheard of heard.querySelectorAll('[aria-hidden=true]')) unheard.remove();
        return heard.textContent.trim().replace(/\s+/g, ' ');
      })
      .filter((text) => text.split(' ').length >= 20);
  });

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
      const titles = new Map<string, string>();
      for (const view of group)
        for (const [index, { colorScheme, viewport, widths }] of LOOKS.entries())
          await test.step(`${view.name}, ${colorScheme}`, async () => {
            await page.emulateMedia({ colorScheme });
            // The live cue takes the whole screen, which cannot be resized then.
            await page.evaluate(() => document.fullscreenElement && document.exitFullscreen());
            await page.setViewportSize(viewport);
            if (index === 0) await openView(enumeron, view);
            else await settled(page);
            // The frame is the same in every view: it is looked at once, with the first.
            expect(await faultsIn(page, view === VIEWS[0] ? 'html' : 'main'), view.name).toEqual([]);
            if (index === 0) {
              const title = await page.title();
              expect(title, view.name).toMatch(/^.+ · Enumeron$|^.+ · .+ · Enumeron$/);
              // Two views of one page have one title; the room Arrange shows the order in hand, as its own page does.
              const path = view.path === '/arrange' ? '/arrange/sample-tidemark' : view.path;
              expect([title, titles.get(title) ?? path]).toEqual([title, path]);
              titles.set(title, path);
              // So is what stands about it: it is walked once, with the first of a group.
              const { unreached, unshown, stops } = await walk(page, view === group[0] ? 'body' : 'main');
              expect({ unreached, unshown }, view.name).toEqual({ unreached: [], unshown: [] });
              if (view === group[0] && !view.isWhole) expect(stops).toBeGreaterThan(view.hasKeys ? 8 : 12);
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
            if (index > 0) return;
            expect(await longWords(page), view.name).toEqual([]);
            await page.emulateMedia({ forcedColors: 'active' });
            expect(await faultsIn(page, 'main'), `${view.name}, colours forced`).toEqual([]);
            await page.emulateMedia({ forcedColors: 'none' });
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

/** A picture of a slot of the rail and what stands just about it, as one text that differs where it looks different. */
const looks = async (page: Page, place: number): Promise<string> => {
  const box = await page
    .locator('.slot')
    .nth(place - 1)
    .boundingBox();
  if (!box) throw new Error('the slot does not show');
  const clip = { x: box.x - 4, y: box.y - 8, width: box.width + 8, height: box.height + 16 };
  return (await page.screenshot({ animations: 'disabled', clip })).toString('base64');
};

test('where colours are forced each mark of the rail changes what its slot looks like', async ({
  enumeron,
  page,
}) => {
  await page.emulateMedia({ forcedColors: 'active', reducedMotion: 'reduce' });
  await enumeron.open();
  await settled(page);
  const marks = ['wanted', 'number', 'seen', 'bank', 'face-up', 'missing', 'hatched', 'broken'] as const;
  // All on one slot, so that nothing but the mark differs.
  const plain = await looks(page, 9);
  const seen = new Map<string, string>([['plain', plain]]);
  for (const mark of marks) {
    const slot = page.locator('.slot').nth(8);
    await slot.evaluate((element, name) => element.classList.add(name), mark);
    seen.set(mark, await looks(page, 9));
    await slot.evaluate((element, name) => element.classList.remove(name), mark);
  }
  expect(new Set(seen.values()).size).toBe(marks.length + 1);
  // They are the marks that the rail has.
  const styled = await page.evaluate(() =>
    [...document.styleSheets].flatMap((sheet) => [...sheet.cssRules]).map(({ cssText }) => cssText),
  );
  for (const mark of marks) expect(styled.some((rule) => rule.includes(`.${mark}`))).toBe(true);
});

test('the first Tab offers to skip to the room', async ({ enumeron, page }) => {
  await enumeron.open('/weave');
  await page.keyboard.press('Tab');
  const skip = page.getByRole('link', { name: 'Skip to the room' });
  await expect(skip).toBeFocused();
  await expect(skip).toBeInViewport();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('main')).toBeFocused();
  await expect(page).toHaveURL(/weave$/);
});

test('on a phone that lies on its side the room has two thirds of the height', async ({ enumeron, page }) => {
  await page.setViewportSize({ width: 844, height: 390 });
  for (const path of ['/arrange', '/learn', '/reckon', '/weave', '/rehearse']) {
    if (page.url() === 'about:blank') await enumeron.open(path);
    else await goTo(page, path);
    await settled(page);
    const top = await page.getByRole('main').evaluate((main) => main.getBoundingClientRect().top);
    expect([path, (390 - top) / 390 >= 2 / 3]).toEqual([path, true]);
  }
});
