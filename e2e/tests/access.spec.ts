import AxeBuilder from '@axe-core/playwright';
import { expect, test } from './enumeron';

const views = [
  { name: 'reckon', path: '/reckon', ask: ['face KH', '7D 15'] },
  { name: 'reckon, out of step', path: '/reckon', ask: ['deal 9', '7D 15'] },
  { name: 'reckon, a pattern', path: '/reckon/two-cuts', ask: [] },
  { name: 'arrange', path: '/arrange/sample-tidemark', ask: [] },
  { name: 'editor', path: '/arrange/new', ask: [] },
  { name: 'rule', path: '/arrange/new/rule', ask: [] },
  { name: 'recipe', path: '/arrange/new/recipe', ask: [] },
  { name: 'bank', path: '/arrange/new/bank', ask: [] },
  { name: 'at random', path: '/arrange/new/random', ask: [] },
  { name: 'crib', path: '/arrange/sample-tidemark/crib', ask: [] },
  { name: 'sorting guide', path: '/arrange/sample-tidemark/sort', ask: [] },
  { name: 'laying as the cards come', path: '/arrange/sample-twin-harbours/sort', ask: [] },
  { name: 'compare', path: '/arrange/sample-tidemark/compare', ask: [] },
  { name: 'question', path: '/arrange/sample-tidemark/ask', ask: [] },
  { name: 'check', path: '/arrange/sample-tidemark/check', ask: [] },
  { name: 'reckon, facts', path: '/reckon/seen', ask: ['lift 9S'] },
  { name: 'reckon, short group', path: '/reckon/short-group', ask: [] },
  { name: 'reckon, map', path: '/reckon/map', ask: [] },
  { name: 'reckon, thought shuffled', path: '/reckon/shuffled', ask: [] },
  { name: 'settings', path: '/settings', ask: [] },
];

/** How many views one page goes through: few enough for a test's time on a slow machine. */
const FEW = 4;
const groups = Array.from({ length: Math.ceil(views.length / FEW) }, (_, index) =>
  views.slice(index * FEW, (index + 1) * FEW),
);

/** Every view in either theme, once on a wide screen and once on a phone. */
for (const { colorScheme, viewport } of [
  { colorScheme: 'light', viewport: { width: 1280, height: 800 } },
  { colorScheme: 'dark', viewport: { width: 390, height: 844 } },
] as const)
  test.describe(`${colorScheme}, ${viewport.width} wide`, () => {
    test.use({ colorScheme, viewport, contextOptions: { reducedMotion: 'reduce' } });

    for (const group of groups)
      test(`axe finds nothing in ${group.map(({ name }) => name).join('; ')}`, async ({ enumeron, page }) => {
        test.slow();
        for (const { name, path, ask } of group)
          await test.step(name, async () => {
            await enumeron.open(path);
            for (const text of ask) await enumeron.ask(text);
            if (name === 'editor') await page.getByRole('textbox', { name: 'Cards' }).fill('7D 11H 7D');
            await page.keyboard.press('Escape');
            await page.waitForTimeout(300);
            // The frame is the same in every view: it is looked at once, with the first.
            const axe = new AxeBuilder({ page });
            const { violations } = await (name === views[0].name ? axe : axe.include('main')).analyze();
            expect(
              violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join('\n')}`),
              name,
            ).toEqual([]);
          });
      });
  });

test('axe finds nothing in the help, the open ask line and a slot’s menu', async ({ enumeron, page }) => {
  await enumeron.open();
  const check = async (): Promise<void> => {
    await page.waitForTimeout(400);
    // A combobox's list hangs at the end of the page, owned by its field and not by a landmark.
    const { violations } = await new AxeBuilder({ page })
      .include('.cdk-overlay-container')
      .disableRules('region')
      .analyze();
    expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0].html}`)).toEqual([]);
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

test('every control of Reckon is reached by Tab, and shows that it is', async ({ enumeron, page }) => {
  await enumeron.open();
  await enumeron.ask('7D 15');
  await page.keyboard.press('Escape');
  const reached = new Set<string>();
  for (let step = 0; step < 40; step++) {
    await page.keyboard.press('Tab');
    const stop = await page.evaluate(() => {
      const element = document.activeElement as HTMLElement | null;
      if (!element || element === document.body) return undefined;
      const { outlineStyle, boxShadow } = getComputedStyle(element);
      const around = element.closest('.line') ? 'solid' : outlineStyle;
      return {
        name: element.ariaLabel ?? element.textContent.trim(),
        shown: around !== 'none' || boxShadow !== 'none',
      };
    });
    if (stop) reached.add(stop.name);
  }
  const names = [...reached].join(' | ');
  for (const name of [
    'Help',
    'Settings and data',
    'Seam: cuts the pack',
    'place 1, ace of clubs',
    'Done',
    'more ways',
  ])
    expect(names).toContain(name);
});
