import { readdir } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { expect, Locator, Page, test } from '@playwright/test';
import { goTo, more } from './enumeron';
import { settled } from './settled';
import { VIEWS } from './views';

const DIST = fileURLToPath(new URL('../../app/dist', import.meta.url));

/** Refuses each script but the first at its first request; gives the names of those that were refused. */
const refuseOnce = async (page: Page, refused: Set<string>): Promise<void> => {
  await page.route('**/*.js', async (route) => {
    const name = new URL(route.request().url()).pathname.slice(1);
    if (name.startsWith('main-') || refused.has(name)) return route.continue();
    refused.add(name);
    return route.abort();
  });
};

/** Waits until something is there as a patient user does: what offers to try again is pressed. */
const patiently = async (page: Page, wanted: Locator, act?: () => Promise<unknown>): Promise<void> => {
  for (let tries = 0; tries < 60; tries++) {
    const again = page.getByRole('button', { name: 'Try again' });
    const lacks = (await again.count()) > 0;
    if (lacks)
      await again
        .first()
        .click({ timeout: 1000 })
        .catch(() => undefined);
    const isThere = async (): Promise<boolean> => (await again.count()) === 0 && (await wanted.count()) > 0;
    const came = expect.poll(isThere, { timeout: lacks ? 1000 : 200, intervals: [20, 40, 80] }).toBe(true);
    if (await came.then(() => true).catch(() => false)) return;
    if (!lacks) await act?.().catch(() => undefined);
  }
  await expect(wanted).toBeVisible();
};

const ask = async (page: Page, text: string): Promise<void> => {
  await page.locator('en-ask-line input').fill(text);
  await page.locator('en-ask-line input').press('Enter');
};

/** So many orders that the list is drawn in part, laid into the database past the application. */
const manyOrders = (page: Page): Promise<void> =>
  page.evaluate(async () => {
    const db = await new Promise<IDBDatabase>((resolve) => {
      const request = indexedDB.open('enumeron');
      request.onsuccess = () => resolve(request.result);
    });
    await new Promise<void>((resolve) => {
      const transaction = db.transaction('orders', 'readwrite');
      for (let index = 0; index < 70; index++)
        transaction.objectStore('orders').put({
          ...{ id: `many-${index.toString()}`, name: `Many ${index.toString()}`, cards: [1, 2, 3] },
          ...{ sample: false, made: 100 + index, changed: 100 + index },
        });
      transaction.oncomplete = () => resolve();
    });
    db.close();
  });

/** In one worker, one after the other: a script that a test saw refused is not refused in the next. */
test.describe('each script and worker may be refused once: the place is reached, and what was done is kept', () => {
  test.describe.configure({ mode: 'default' });
  const refused = new Set<string>();

  test.beforeEach(async ({ page }) => {
    page.setDefaultTimeout(10_000);
    await refuseOnce(page, refused);
  });

  test('in the frame', async ({ page }) => {
    await page.goto('/reckon');
    await patiently(page, page.locator('en-ask-line input'));
    await ask(page, 'cut 5');
    await patiently(page, page.locator('.status', { hasText: 'cut at 5' }));
    await page.keyboard.press('Escape');
    await patiently(page, page.locator('mat-snack-bar-container'), () => page.keyboard.press('u'));
    await patiently(page, page.getByRole('dialog'), () => page.keyboard.press('?'));
  });

  // A drill of a part of Learn comes with that part; the stage and the dress rehearsal come by themselves.
  const views = VIEWS.filter(
    ({ hasKeys, name, path }) => !hasKeys || name === 'practice' || path.startsWith('/perform'),
  );
  const roomOf = (path: string): string => path.split('/')[1];
  for (const room of new Set(views.map(({ path }) => roomOf(path))))
    test(`in every view of ${room}, with what is deferred in it`, async ({ page }) => {
      await page.goto(`/${room}`);
      for (const path of new Set(views.map((view) => view.path).filter((path) => roomOf(path) === room))) {
        // Some parts come when the page is idle, and may be lacking later than others; a page may begin anew for one.
        await expect(async () => {
          if (new URL(page.url()).pathname !== path) await goTo(page, path);
          await patiently(page, page.locator('main :is(h1, h2, h3)').first());
          await settled(page);
          await expect(page.locator('en-missing-part')).toHaveCount(0, { timeout: 1000 });
        }).toPass();
      }
    });

  test('in a proof by chance, and in a file of a procedure', async ({ page }) => {
    await page.goto('/rehearse/sample-a-packet-counted-in-silence');
    await patiently(page, page.locator('en-curve-chart svg'));
    await patiently(page, page.locator('en-step-list .keys'));
    await page.goto('/rehearse');
    const turned = {
      name: 'a.json',
      mimeType: 'application/json',
      buffer: Buffer.from('{"name":"A","steps":[]}'),
    };
    await patiently(page, page.getByText('No step yet'), () =>
      page.getByLabel('Open a file').setInputFiles(turned, { timeout: 2000 }),
    );
  });

  test('in a file that is saved', async ({ page }) => {
    await page.goto('/arrange/sample-tidemark');
    await patiently(page, page.getByText(/\d+ of 100/).first());
    let saved = '';
    page.on('download', (download) => (saved = download.suggestedFilename()));
    await expect(async () => {
      await patiently(page, page.getByRole('menuitem', { name: /CSV/ }), () => more(page, 'Save as a file'));
      await page.getByRole('menuitem', { name: /CSV/ }).click();
      await expect.poll(() => saved, { timeout: 4000 }).toBe('tidemark.csv');
    }).toPass();
  });

  test('in a search by a worker', async ({ page }) => {
    await page.goto('/arrange/sample-tidemark/sort');
    const sorted = page.getByRole('radio', { name: 'New, or sorted by suit' });
    await patiently(page, sorted);
    // A reload for a script that was refused has forgotten the choice.
    await patiently(page, page.getByRole('region', { name: 'The row found' }), async () => {
      await sorted.click({ timeout: 1000 });
      await page.getByRole('button', { name: 'Search for a row' }).click({ timeout: 1000 });
    });
  });

  test('in what makes an order', async ({ page }) => {
    const broken = { name: 'broken.json', mimeType: 'application/json', buffer: Buffer.from('{\n oops') };
    await page.goto('/arrange/new');
    await patiently(page, page.getByText(/Line 2, column 2/), () =>
      page.getByLabel('Open a file with an order').setInputFiles(broken),
    );
    await patiently(page, page.locator('en-order-desk'), () =>
      page.getByRole('radio', { name: 'Lay it card by card' }).click(),
    );
  });

  test('in a backup', async ({ page }) => {
    await page.goto('/settings');
    await patiently(page, page.getByRole('button', { name: 'Save a backup' }));
    // The busy machine of a test may take longer than a click's patience.
    const [backup] = await Promise.all([
      page.waitForEvent('download', { timeout: 60_000 }),
      page.getByRole('button', { name: 'Save a backup' }).click(),
    ]);
    expect(await backup.failure()).toBeNull();
  });

  test('in a key card that is tried, and in facts', async ({ page }) => {
    await page.goto('/arrange/sample-breakwater');
    await patiently(page, page.getByRole('button', { name: 'Use this order' }));
    await page.getByRole('button', { name: 'Use this order' }).click();
    await page.goto('/reckon/key-card');
    await patiently(page, page.locator('en-thumb-pad, en-card-pad').first());
    await page.locator('en-card-pad button', { hasText: '9♥' }).first().click();
    await patiently(page, page.getByText('After 5 riffles'));
    for (const fact of ['somewhere', 'lift 9S', 'somewhere', 'cuts JH 2D']) await ask(page, fact);
    await patiently(page, page.locator('section[aria-label=Known] dd').first());
  });

  test('in a list of many orders', async ({ page }) => {
    await page.goto('/arrange');
    await patiently(page, page.locator('en-order-entry').first());
    await manyOrders(page);
    await page.goto('/arrange');
    await patiently(page, page.locator('en-long-list en-order-entry').first());
    await page.goto('/arrange/many-1');
    await patiently(page, page.locator('en-name-form'), () => more(page, 'Rename'));
  });

  test('and so was each of the build', async () => {
    const names = (await readdir(DIST)).filter((name) => /^(?:chunk|worker)-.*\.js$/.test(name));
    const never = names.filter((name) => !refused.has(name));
    // Left are what stands in for a database and for a worker that cannot be had, what they share, and what writes
    // the files of Learn and of Record, what works out what the record says, what tells why a stored row is refused, and
    // what shares, shows what was shared and installs.
    expect(never.length, never.join(', ')).toBeLessThanOrEqual(28);
    expect(refused.size).toBeGreaterThan(30);
  });
});

test('with no storage and its stand-in refused, what is done shows and is said not to be stored', async ({
  page,
}) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('no storage', 'SecurityError');
    };
  });
  const refused = new Set<string>();
  await refuseOnce(page, refused);
  await page.goto('/reckon');
  await patiently(page, page.locator('en-ask-line input'));
  await ask(page, 'cut 5');
  await patiently(page, page.locator('.status', { hasText: 'cut at 5' }));
  await expect(page.getByRole('alert').filter({ hasText: 'keeps no data' })).toBeVisible();
});
