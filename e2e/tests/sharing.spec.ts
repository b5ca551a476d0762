import { Browser, Page } from '@playwright/test';
import { Enumeron, expect, goTo, test } from './enumeron';
import { quiet } from './settled';

/** What the room shows, as text. */
const shown = (page: Page): Promise<string> =>
  page
    .locator('main router-outlet + *')
    .last()
    .innerText()
    .then((text) => text.replace(/\s+/g, ' '));

/** The address that the share sheet has. */
const addressOf = async (page: Page): Promise<string> => {
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  const field = page.getByLabel(/^The address opens/);
  // A long one is packed first.
  await expect(field).not.toHaveValue('');
  const address = await field.inputValue();
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  return address;
};

/** A page of somebody who was never here. */
const elsewhere = async (browser: Browser, address: string): Promise<Page> => {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(address);
  return page;
};

const example = async (page: Page): Promise<void> =>
  page
    .locator('en-pattern-view')
    .getByRole('button', { name: /^For example/ })
    .click();

/** What is open before it is shared, and what its address has to hold in plain letters. */
const STATES: readonly (readonly [
  name: string,
  open: (enumeron: Enumeron) => Promise<void>,
  holds: string,
])[] = [
  [
    'a card at a number',
    async (enumeron) => {
      await enumeron.ask('face KH');
      await enumeron.ask('7D 15');
    },
    '/reckon?face=KH&card=7D&at=15',
  ],
  [
    'a pack that is out of step',
    async (enumeron) => {
      await enumeron.ask('deal 9');
      await enumeron.ask('7D 15');
    },
    'card=7D&at=15#z1.',
  ],
  [
    'what was seen',
    async (enumeron) => {
      await enumeron.ask('face KH');
      await enumeron.ask('lift 9S');
    },
    '/reckon/seen?face=KH&fact=lift',
  ],
  [
    'two cuts',
    async ({ page }) => {
      await goTo(page, '/reckon/two-cuts');
      await example(page);
    },
    '/reckon/two-cuts?told-',
  ],
  [
    'a short group',
    async ({ page }) => {
      await goTo(page, '/reckon/short-group');
      await example(page);
    },
    'told-suits=C.D.S',
  ],
  [
    'a gap',
    async ({ page }) => {
      await goTo(page, '/reckon/gap');
      await example(page);
    },
    '/reckon/gap?told-',
  ],
  [
    'another order',
    async (enumeron) => {
      const { page } = enumeron;
      await goTo(page, '/arrange/sample-twin-harbours');
      await page.getByRole('button', { name: 'Use', exact: false }).first().click();
      await expect(enumeron.status()).toContainText('Twin harbours');
      await goTo(page, '/reckon');
      await enumeron.ask('7D 15');
    },
    'card=7D&at=15#z1.',
  ],
  [
    'a row of weaves',
    async ({ page }) => {
      await goTo(page, '/weave');
      await page.getByRole('application', { name: 'The row of moves' }).focus();
      await page.keyboard.type('ioc12 o');
      await page.getByText('After 4 of 4', { exact: true }).waitFor();
    },
    '/weave?row=in%2Cout%2Ccut+12%2Cout',
  ],
  [
    'a question of chance',
    async ({ page }) => {
      await goTo(page, '/rehearse/odds/until-bank');
      await page.locator('en-odds-page').getByLabel('They cut about').fill('21');
    },
    '/rehearse/odds/until-bank?about=21',
  ],
];

for (const [name, open, holds] of STATES)
  test(`${name}: its address shows the same in a fresh browser`, async ({ enumeron, browser }) => {
    const { page } = enumeron;
    await enumeron.open();
    await open(enumeron);
    await quiet(page);
    const before = await shown(page);
    const address = await addressOf(page);
    expect(address).toContain(holds);
    const other = await elsewhere(browser, address);
    await expect.poll(() => shown(other)).toBe(before);
    // What it brought is there without the address, and undo takes it back.
    await expect.poll(() => new URL(other.url()).search).toBe('');
    await other.reload();
    await expect.poll(() => shown(other)).toBe(before);
    await other.context().close();
  });

test('an order of 48 cards is shared, and so is a pack of it', async ({ enumeron, browser }) => {
  const { page } = enumeron;
  await enumeron.open('/arrange/new/rule');
  await page.getByRole('radio', { name: 'Spaced run' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Every fourth');
  await page.getByRole('button', { name: 'Save the order' }).click();
  await expect(page.getByRole('heading', { name: 'Every fourth' })).toBeVisible();
  const other = await elsewhere(browser, await addressOf(page));
  await expect(other.getByRole('heading', { name: 'Every fourth' })).toBeVisible();
  await other.context().close();
  await page.getByRole('button', { name: 'Use', exact: false }).first().click();
  await expect(enumeron.status()).toContainText('48 cards');
  await goTo(page, '/reckon');
  const pack = await elsewhere(browser, await addressOf(page));
  await expect(pack.locator('.status')).toContainText('Every fourth · 48 cards');
  await pack.context().close();
});

for (const [path, name, steps] of [
  ['/arrange/sample-twin-harbours', 'Twin harbours', undefined],
  ['/rehearse/sample-turned-over-twice-deeper', 'Turned over twice, deeper', 'It works in all 1,275 cases'],
  ['/rehearse/sample-two-cuts-and-a-packet-of-numbers', 'Two cuts and a packet of numbers', '759 of 1,275'],
] as const)
  test(`${name}: looked at in a fresh browser, and kept by a press`, async ({ enumeron, browser }) => {
    await enumeron.open(path);
    await expect(enumeron.page.locator('main').getByText(name).first()).toBeVisible();
    const address = await addressOf(enumeron.page);
    expect(address).toContain('/shared#z1.');
    const other = await elsewhere(browser, address);
    await expect(other.getByRole('heading', { name })).toBeVisible();
    await expect(other.getByText('It isn’t saved here until you say so')).toBeVisible();
    expect(await other.title()).toContain(name);
    await other.getByRole('button', { name: 'Save it' }).click();
    await expect(other).not.toHaveURL(/shared/);
    if (steps) await expect(other.getByText(steps).first()).toBeVisible();
    else await expect(other.getByRole('heading', { name })).toBeVisible();
    await other.context().close();
  });

test('what is cut off, or cannot be read, is told', async ({ enumeron }) => {
  const { page } = enumeron;
  await enumeron.open('/arrange/shared#z1.abc');
  await expect(page.getByText('This address holds no order')).toBeVisible();
  await enumeron.open('/rehearse/shared');
  await expect(page.getByText('This address holds no procedure')).toBeVisible();
  await enumeron.open('/reckon?card=7D&at=15#z1.abc');
  await expect(page.getByText('Part of this address is missing')).toBeVisible();
  await enumeron.open('/reckon?card=99&at=abc&fact=nonsense&face=XX');
  await expect(enumeron.status()).toContainText('in order');
  await enumeron.open('/settings');
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  await expect(page.getByText('Nothing here can be shared by a link')).toBeVisible();
});
