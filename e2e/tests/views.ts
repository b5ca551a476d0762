import { deflateRawSync } from 'node:zlib';
import { expect, Page } from '@playwright/test';
import { Enumeron, goTo, TIDEMARK } from './enumeron';
import { settled } from './settled';

/** A main view of the application, and what is typed into the ask line before it is looked at. */
export interface View {
  readonly name: string;
  readonly path: string;
  readonly ask?: readonly string[];
  /** What travels packed in the fragment of its address. */
  readonly packed?: string;
  /** Whether Escape would leave it. */
  readonly hasKeys?: boolean;
  /** Whether nothing of the frame stands about it. */
  readonly isWhole?: boolean;
  /** Brings the view into the state in which it has most to show. */
  readonly fill?: (page: Page) => Promise<void>;
}

/** Waits for what writes a procedure: it comes behind what shows it. */
const written = async (page: Page): Promise<void> => {
  await page.getByRole('combobox', { name: /^Add step/ }).waitFor();
  await page.getByText('Set-up and notes').waitFor();
};

/** Adds wishes by their words, and waits until they are judged. */
export const wished = async (page: Page, ...words: readonly string[]): Promise<void> => {
  const box = page.getByRole('textbox', { name: /^Add a wish/ });
  for (const each of words) {
    const lines = page.locator('en-wish-list .line');
    const before = await lines.count();
    // What was typed here before a reload may come back in between.
    await expect(async () => {
      if ((await lines.count()) > before) return;
      await box.fill(each);
      await box.press('Enter');
      await expect(lines).toHaveCount(before + 1, { timeout: 1000 });
    }).toPass();
  }
  await page
    .locator('.right')
    .filter({ hasText: /\d of \d/ })
    .nth(words.length - 1)
    .waitFor();
};

/** A count, mates and three cards that cannot live together, looked for. */
export const conflicting = async (page: Page): Promise<void> => {
  await wished(page, 'the next two ranks give the cut', 'mates half', 'a card at a place');
  const own = page.locator('[data-wish="2"]');
  await own.getByRole('button', { name: 'one card more' }).click();
  await own.getByRole('button', { name: 'one card more' }).click();
  for (const [index, [card, place]] of [
    ['AS', '3'],
    ['7H', '20'],
    ['4C', '41'],
  ].entries()) {
    await own.locator('input[data-field=cards]').nth(index).fill(card);
    await own.locator('input[data-field=places]').nth(index).fill(place);
  }
  await page.getByRole('button', { name: 'Find an order' }).click();
};

export const VIEWS: readonly View[] = [
  { name: 'reckon', path: '/reckon', ask: ['face KH', '7D 15'] },
  { name: 'reckon, out of step', path: '/reckon', ask: ['deal 9', '7D 15'] },
  { name: 'reckon, a pattern', path: '/reckon/two-cuts' },
  { name: 'learn', path: '/learn', fill: (page) => page.getByText('As a table').waitFor() },
  {
    name: 'practice',
    path: '/learn/practise',
    hasKeys: true,
    fill: (page) => page.locator('.typed, .prompt').first().waitFor(),
  },
  { name: 'sums', path: '/learn/sums', fill: (page) => page.getByRole('table').waitFor() },
  {
    name: 'sum',
    path: '/learn/sums/practise',
    hasKeys: true,
    fill: (page) => page.locator('.typed').waitFor(),
  },
  { name: 'run', path: '/learn/run' },
  { name: 'running', path: '/learn/run/practise', hasKeys: true },
  { name: 'hands busy', path: '/learn/busy' },
  { name: 'spoken', path: '/learn/busy/spoken/practise', hasKeys: true },
  { name: 'dealing along', path: '/learn/busy/deal/practise', hasKeys: true },
  { name: 'tracking', path: '/learn/busy/heaps/practise', hasKeys: true },
  {
    name: 'how it stands',
    path: '/learn/standing',
    fill: (page) => page.getByText('From your last').waitFor(),
  },
  { name: 'images', path: '/learn/images' },
  { name: 'how you learn', path: '/learn/settings' },
  { name: 'arrange', path: '/arrange' },
  { name: 'an order', path: '/arrange/sample-tidemark' },
  { name: 'an order’s rule', path: '/arrange/sample-twin-harbours/rule' },
  { name: 'an order changed', path: '/arrange/sample-tidemark/edit' },
  {
    name: 'editor',
    path: '/arrange/new',
    fill: (page) => page.getByRole('textbox', { name: 'Cards' }).fill('7D 11H 7D'),
  },
  { name: 'rule', path: '/arrange/new/rule' },
  { name: 'recipe', path: '/arrange/new/recipe' },
  { name: 'bank', path: '/arrange/new/bank' },
  { name: 'at random', path: '/arrange/new/random' },
  { name: 'by wishes', path: '/arrange/new/wishes', fill: (page) => wished(page, 'each suit together') },
  {
    name: 'wishes that cannot live together',
    path: '/arrange/new/wishes',
    fill: async (page) => {
      await wished(page, 'colours alternate', 'each suit together');
      await page.getByRole('button', { name: 'Find an order' }).click();
      await page.getByText('cannot live together').waitFor();
    },
  },
  { name: 'crib', path: '/arrange/sample-tidemark/crib' },
  { name: 'sorting guide', path: '/arrange/sample-tidemark/sort' },
  { name: 'laying as the cards come', path: '/arrange/sample-twin-harbours/sort' },
  { name: 'compare', path: '/arrange/sample-tidemark/compare' },
  { name: 'question', path: '/arrange/sample-tidemark/ask' },
  { name: 'check', path: '/arrange/sample-tidemark/check' },
  {
    name: 'a shared order',
    path: '/arrange/shared',
    packed: JSON.stringify({ format: 'enumeron-order', version: 1, name: 'Kept', cards: TIDEMARK.join(' ') }),
    fill: (page) => page.getByText('It isn’t saved here').waitFor(),
  },
  { name: 'reckon, facts', path: '/reckon/seen', ask: ['lift 9S'] },
  { name: 'reckon, short group', path: '/reckon/short-group' },
  { name: 'reckon, map', path: '/reckon/map' },
  { name: 'reckon, thought shuffled', path: '/reckon/shuffled' },
  {
    name: 'weave',
    path: '/weave',
    fill: async (page) => {
      await page.getByRole('application', { name: 'The row of moves' }).focus();
      await page.keyboard.type('ioc12 o');
      await page.getByText('After 4 of 4', { exact: true }).waitFor();
    },
  },
  {
    name: 'weave, order to order',
    path: '/weave/orders',
    fill: (page) => page.locator('en-orders-page .words').waitFor(),
  },
  { name: 'weave, cycles', path: '/weave/cycles' },
  { name: 'weave, a card missing', path: '/weave/missing' },
  {
    name: 'weave, what went wrong',
    path: '/weave/wrong',
    fill: async (page) => {
      await page.getByLabel('at', { exact: true }).fill('2');
      await page.getByLabel('card', { exact: true }).first().fill('2D');
      await page.getByText('The pack lies so').waitFor();
    },
  },
  { name: 'perform', path: '/perform', fill: (page) => page.getByText('7 routines').waitFor() },
  {
    name: 'perform, a set',
    path: '/perform/sample-late-set',
    fill: async (page) => {
      await page.getByText('The harbour count').first().waitFor();
      await page.getByText(/^One mend/).waitFor({ timeout: 60_000 });
      await page.locator('.junction.mend').first().click();
      await page.locator('.line').nth(2).click();
      await page.getByRole('button', { name: 'Best order' }).click();
      await page.getByText('Use this order').waitFor();
    },
  },
  {
    name: 'perform, routines',
    path: '/perform/routines',
    fill: (page) => page.getByText('In the pocket').waitFor(),
  },
  {
    name: 'perform, a routine',
    path: '/perform/routines/sample-routine-pocket',
    fill: (page) => page.getByText('say what it needs').waitFor(),
  },
  {
    name: 'perform, before you go on',
    path: '/perform/sample-late-set/before',
    fill: (page) => page.getByText('Phone silent').waitFor(),
  },
  {
    name: 'perform, tonight',
    path: '/perform/tonight',
    fill: (page) => page.getByText('to look at').waitFor(),
  },
  {
    name: 'perform, dress rehearsal',
    path: '/perform/sample-late-set/rehearsal',
    hasKeys: true,
    fill: async (page) => {
      await page.getByRole('button', { name: 'Begin' }).click({ timeout: 60_000 });
      await page.locator('.does').waitFor();
    },
  },
  {
    name: 'perform, live cue',
    path: '/perform/live',
    ...{ hasKeys: true, isWhole: true },
    fill: async (page) => {
      await goTo(page, '/perform/tonight');
      const begin = page.getByRole('button', { name: /Run-through|Go on where it was/ });
      await begin.click({ timeout: 60_000 });
      await page.locator('.stage[data-taps] .does').waitFor();
      // A browser that is full screen takes no other size.
      await page.evaluate(() => document.exitFullscreen().catch(() => undefined));
    },
  },
  {
    name: 'perform, from here',
    path: '/perform/from-here',
    fill: (page) => page.getByText('at once').first().waitFor(),
  },
  {
    name: 'perform, reset',
    path: '/perform/reset',
    ask: ['exchange 3 20', 'deal 9'],
    fill: (page) => page.getByText('Done, next').waitFor(),
  },
  {
    name: 'perform, a shared set',
    path: '/perform/shared',
    packed: JSON.stringify({
      ...{ format: 'enumeron set', version: 1, routines: [] },
      set: {
        ...{ name: 'Kept', order: [], spares: {}, before: [], directly: [], apart: [], must: [] },
        choose: false,
      },
    }),
    fill: (page) => page.getByText('It isn’t saved here').waitFor(),
  },
  {
    name: 'record',
    path: '/record',
    fill: (page) => page.getByText('86 of 104 hit').waitFor(),
  },
  {
    name: 'record, what they choose',
    path: '/record/choices',
    fill: (page) => page.getByText('“Lift about half.” is').waitFor(),
  },
  {
    name: 'record, what they name',
    path: '/record/named',
    fill: (page) => page.getByText('numbers named').waitFor(),
  },
  {
    name: 'record, how routines go',
    path: '/record/routines',
    fill: (page) => page.getByText('hit 28 of 41').waitFor(),
  },
  {
    name: 'record, what mends take',
    path: '/record/seconds',
    fill: (page) => page.getByText('not 4.0').waitFor(),
  },
  { name: 'record, files', path: '/record/files', fill: (page) => page.getByText('Open a file').waitFor() },
  {
    name: 'record, a night',
    path: '/record/sample-night-4',
    fill: (page) => page.getByText('lost the count at 31').waitFor(),
  },
  {
    name: 'record, a night written down',
    path: '/record/sample-night-4/write',
    hasKeys: true,
    fill: (page) => page.getByText('A card at a number').first().waitFor(),
  },
  { name: 'rehearse', path: '/rehearse', fill: (page) => page.getByText('Works in all').first().waitFor() },
  {
    name: 'rehearse, a procedure',
    path: '/rehearse/sample-two-cuts-and-a-packet-of-numbers',
    fill: async (page) => {
      await page.getByText('759 of 1,275').waitFor();
      await written(page);
      await page.getByLabel('first cut, 1 to 50').fill('14');
      await page.keyboard.press('Enter');
      await page.getByText('Step 1 of 5', { exact: true }).waitFor();
    },
  },
  {
    name: 'rehearse, a step written',
    path: '/rehearse/sample-turned-over-twice-not-asked-deeper',
    fill: async (page) => {
      await page.getByText('It fails in').waitFor();
      await written(page);
      await page.getByText('Set-up and notes').click();
      await page.locator('[data-line="1"] [data-part="from"]').click();
      await page.locator('input[data-field="from"]').waitFor();
    },
  },
  {
    name: 'rehearse, by chance',
    path: '/rehearse/sample-a-key-card-under-two-riffles',
    fill: async (page) => {
      await page.getByText('It works in about').waitFor();
      await written(page);
    },
  },
  { name: 'rehearse, all odds', path: '/rehearse/odds' },
  {
    name: 'rehearse, odds',
    path: '/rehearse/odds/until-bank',
    fill: (page) => page.getByText('nineteen times in twenty').waitFor(),
  },
  {
    name: 'rehearse, busy row',
    path: '/rehearse/busy',
    fill: (page) => page.getByText('Proved by doing it').waitFor(),
  },
  {
    name: 'rehearse, cut and gather',
    path: '/rehearse/gather',
    fill: (page) => page.locator('.ways button').first().click(),
  },
  {
    name: 'rehearse, orders and procedures',
    path: '/rehearse/orders',
    fill: async (page) => {
      await page.getByRole('button', { name: 'Stop' }).click();
      await page.getByRole('table').waitFor();
    },
  },
  {
    name: 'rehearse, orders of a procedure',
    path: '/rehearse/sample-two-cuts-and-a-packet-of-numbers/orders',
    fill: (page) => page.getByText('759 of 1,275').first().waitFor(),
  },
  {
    name: 'rehearse, script',
    path: '/rehearse/sample-two-cuts-and-a-packet-of-numbers/script',
    fill: (page) => page.getByText('759 of 1,275').first().waitFor(),
  },
  {
    name: 'a shared procedure',
    path: '/rehearse/shared',
    packed: JSON.stringify({ format: 'enumeron procedure', version: 1, name: 'Kept', steps: [] }),
    fill: (page) => page.getByText('It isn’t saved here').waitFor(),
  },
  { name: 'settings', path: '/settings' },
  {
    name: 'no such page',
    path: '/learn/nowhere',
    fill: (page) => page.getByRole('heading', { name: 'There is no such page' }).waitFor(),
  },
];

/** How many views one page goes through: few enough for a test's time on a slow machine. */
const FEW = 6;
export const GROUPS = Array.from({ length: Math.ceil(VIEWS.length / FEW) }, (_, index) =>
  VIEWS.slice(index * FEW, (index + 1) * FEW),
);

/** Opens a view in the state in which it is looked at, from another view if one is open. */
export const openView = async (
  enumeron: Enumeron,
  { path, packed, ask = [], fill, hasKeys }: View,
): Promise<void> => {
  const fragment = packed === undefined ? '' : `#z1.${deflateRawSync(packed).toString('base64url')}`;
  if (enumeron.page.url() === 'about:blank') await enumeron.open(path + fragment);
  else await goTo(enumeron.page, path + fragment);
  await enumeron.page.locator('main :is(h1, h2, h3)').first().waitFor();
  for (const text of ask) await enumeron.ask(text);
  await fill?.(enumeron.page);
  if (!hasKeys) await enumeron.page.keyboard.press('Escape');
  await settled(enumeron.page);
};
