import { expect, Locator, Page, test as base } from '@playwright/test';

/** Enumeron as a visitor finds it, with what a test does again and again. */
export class Enumeron {
  constructor(readonly page: Page) {}

  readonly status = (): Locator => this.page.locator('.status');
  readonly answer = (): Locator => this.page.getByRole('region', { name: 'Answer' });
  readonly slot = (place: number): Locator => this.page.locator('.slot').nth(place - 1);
  readonly askLine = (): Locator => this.page.getByRole('combobox', { name: /Ask line/ });

  async open(path = '/reckon'): Promise<void> {
    await this.page.goto(path);
    await expect(this.page.locator('en-ask-line input')).toBeAttached();
  }

  /** Types into the ask line as a performer does: slash, a few characters, Enter. */
  async ask(text: string): Promise<void> {
    await this.page.keyboard.press('/');
    await expect(this.askLine()).toBeFocused();
    await this.page.keyboard.type(text);
    await this.page.keyboard.press('Enter');
  }
}

/** A page that fails the test when it logs an error or breaks the content security policy. */
export const test = base.extend<{ enumeron: Enumeron }>({
  enumeron: async ({ page }, use) => {
    const errors: string[] = [];
    page.on('console', (message) => {
      // At a plain http address the browser says of every page that it leaves this header aside.
      const aside = message.text().startsWith('The Cross-Origin-Opener-Policy header has been ignored');
      if (message.type() === 'error' && !aside) errors.push(message.text());
    });
    page.on('pageerror', (error) => errors.push(error.message));
    await use(new Enumeron(page));
    expect(errors).toEqual([]);
  },
});

export { expect };

/** The demo order, top first. */
export const TIDEMARK = (
  'AC 3H KH 9D QC 4C JH AS 6D QS TC 5H KS 7S 3C TH 7H JS 5S 7D 3S 6C 2C 8H JD 8S ' +
  '6S 2D 8C TD QD 6H 9S 3D TS AD 5D 2H 4S 8D AH 5C 9H 2S 4H KC 7C QH 4D 9C JC KD'
).split(' ');

/** Goes to a view as a link does, without a load of the page. */
export const goTo = (page: Page, path: string): Promise<void> =>
  page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, path);

/** Does what stands in the menu below an open order. */
export const more = async (page: Page, what: string): Promise<void> => {
  // It may be open from a try before; one that is closing would still take the press.
  await page.keyboard.press('Escape');
  await expect(page.getByRole('menu')).toHaveCount(0);
  await page.getByRole('button', { name: 'More …' }).click();
  await page.getByRole('menuitem', { name: what }).click();
};
