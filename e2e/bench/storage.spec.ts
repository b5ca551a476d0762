import { expect, Page, test } from '@playwright/test';
import { more } from '../tests/enumeron';

/** How storage keeps up when there is very much in it; printed and not judged. */
const at = (values: readonly number[], part: number): string =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * part))].toFixed(1);
const spread = (values: readonly number[]): string =>
  `median ${at(values, 0.5)}, 95 in 100 under ${at(values, 0.95)}, worst ${at(values, 1)} ms`;

/** Lays so many orders into the database. */
const layOrders = (page: Page, count: number): Promise<void> =>
  page.evaluate(async (many) => {
    const db = await new Promise<IDBDatabase>((resolve) => {
      const request = indexedDB.open('enumeron');
      request.onsuccess = () => resolve(request.result);
    });
    for (let from = 0; from < many; from += 5000)
      await new Promise<void>((resolve) => {
        const transaction = db.transaction('orders', 'readwrite');
        for (let index = from; index < Math.min(many, from + 5000); index++)
          transaction.objectStore('orders').put({
            id: `many-${index.toString()}`,
            name: `Many ${index.toString()}`,
            cards: Array.from({ length: 52 }, (_, card) => (card * 5 + index) % 52).filter(
              (card, place, all) => all.indexOf(card) === place,
            ),
            ...{ sample: false, made: 100 + index, changed: 100 + index },
          });
        transaction.oncomplete = () => resolve();
      });
    db.close();
  }, count);

/** Notes when each act begins, when its change stands in the page, and when its transaction has been committed. */
const watch = async (page: Page): Promise<void> => {
  await page.addInitScript(() => {
    const times: { began: number; stored: number } = { began: 0, stored: 0 };
    Object.assign(window, { times });
    for (const name of ['keydown', 'click'] as const)
      addEventListener(name, (event) => (times.began = event.timeStamp), { capture: true });
    const open = IDBDatabase.prototype.transaction;
    IDBDatabase.prototype.transaction = function (...given) {
      const transaction = open.apply(this, given);
      if (given[1] === 'readwrite')
        transaction.addEventListener('complete', () => (times.stored = performance.now()));
      return transaction;
    };
  });
};

const sinceBegun = (page: Page): Promise<number> =>
  page.evaluate(() => {
    const { times } = window as unknown as { times: { began: number; stored: number } };
    return times.stored - times.began;
  });

test('one more row among 50,000 of its kind, and a cut beside them', async ({ page }) => {
  test.setTimeout(300_000);
  await watch(page);
  await page.goto('/reckon');
  await expect(page.locator('en-ask-line input')).toBeAttached();
  await page.waitForTimeout(1000);
  await layOrders(page, 50_000);
  await page.goto('/arrange/many-7');
  await expect(page.getByRole('button', { name: 'More …' })).toBeVisible();
  await page.waitForTimeout(2000);
  const added: number[] = [];
  for (let round = 0; round < 25; round++) {
    await more(page, 'Duplicate');
    await expect(page.getByRole('heading', { name: /copy/ })).toBeVisible();
    await page.waitForTimeout(900);
    added.push(await sinceBegun(page));
    await page.goBack();
    await expect(page.getByRole('heading', { name: 'Many 7', exact: true })).toBeVisible();
    await page.waitForTimeout(300);
  }
  console.log(`one more order among 50,000, from the click until it is stored: ${spread(added)}`);
  const cuts: number[] = [];
  await page.keyboard.press('3');
  await page.getByRole('slider', { name: /Seam/ }).focus();
  for (let round = 0; round < 40; round++) {
    await page.keyboard.press('ArrowRight');
    await page.waitForTimeout(250);
    cuts.push(await sinceBegun(page));
  }
  console.log(`a cut beside 50,000 orders, from the key until it is stored: ${spread(cuts)}`);
});

test('one more draft among 50,000, at every key', async ({ page }) => {
  test.setTimeout(120_000);
  await watch(page);
  await page.goto('/arrange/new');
  await expect(page.getByRole('textbox', { name: 'Cards' })).toBeVisible();
  await page.waitForTimeout(1000);
  await page.evaluate(async () => {
    const db = await new Promise<IDBDatabase>((resolve) => {
      const request = indexedDB.open('enumeron');
      request.onsuccess = () => resolve(request.result);
    });
    await new Promise<void>((resolve) => {
      const transaction = db.transaction('drafts', 'readwrite');
      for (let index = 0; index < 50_000; index++)
        transaction.objectStore('drafts').put({
          ...{ id: `other ${index.toString()}`, tab: 'other', subject: `s${index.toString()}`, at: 1 },
          fields: { name: 'A name', text: 'AC 2C 3C 4C 5C 6C' },
        });
      transaction.oncomplete = () => resolve();
    });
    db.close();
  });
  await page.waitForTimeout(2000);
  // Another page reads again and again: what it can read is stored, whatever the first one is busy with.
  const other = await page.context().newPage();
  await other.goto('/healthz');
  const keys: number[] = [];
  await page.getByRole('textbox', { name: 'Cards' }).focus();
  for (let round = 0; round < 40; round++) {
    const stored = other.evaluate(async (length) => {
      const db = await new Promise<IDBDatabase>((resolve) => {
        const request = indexedDB.open('enumeron');
        request.onsuccess = () => resolve(request.result);
      });
      const read = (): Promise<string> =>
        new Promise((resolve) => {
          const request = db.transaction('drafts').objectStore('drafts').index('subject').get('new');
          request.onsuccess = () =>
            resolve((request.result as { fields: { text: string } } | undefined)?.fields.text ?? '');
        });
      // With room between two readings, so that they do not hold the writing up.
      while ((await read()).length <= length) await new Promise((resolve) => setTimeout(resolve, 2));
      const at = performance.timeOrigin + performance.now();
      db.close();
      return at;
    }, round);
    await other.waitForTimeout(60);
    await page.keyboard.press(pickKey(round));
    const began = await page.evaluate(
      () => performance.timeOrigin + (window as unknown as { times: { began: number } }).times.began,
    );
    keys.push((await stored) - began);
  }
  console.log(`a draft among 50,000, from the key until another page can read it: ${spread(keys)}`);
});

const pickKey = (round: number): string => ['A', 'C', 'Space'][round % 3];

test('the list of 5,000 orders', async ({ page }) => {
  await page.goto('/reckon');
  await expect(page.locator('en-ask-line input')).toBeAttached();
  await page.waitForTimeout(1000);
  await layOrders(page, 5000);
  const first: number[] = [];
  for (let round = 0; round < 7; round++) {
    await page.goto('/reckon');
    await expect(page.locator('en-ask-line input')).toBeAttached();
    await page.waitForTimeout(1200);
    await page.evaluate(() => {
      addEventListener('keydown', (event) => {
        const began = event.timeStamp;
        const look = (): void => {
          const drawn = document.querySelectorAll('en-order-entry .name').length >= 5;
          if (drawn) setTimeout(() => Object.assign(window, { drawn: performance.now() - began }));
          else requestAnimationFrame(look);
        };
        look();
      });
    });
    await page.keyboard.press('1');
    await page.waitForFunction(() => 'drawn' in window);
    first.push(await page.evaluate(() => (window as unknown as { drawn: number }).drawn));
  }
  console.log(`5,000 orders, from the key until the list is painted: ${spread(first)}`);
});
