import { Page } from '@playwright/test';
import { expect, more, test } from './enumeron';
import { quiet } from './settled';

/** Runs something in the page's database, past the application, as another program or a fault would. */
const inDatabase = (page: Page, table: string, row: object): Promise<void> =>
  page.evaluate(
    async ([name, value]) => {
      const db = await new Promise<IDBDatabase>((resolve, reject) => {
        const request = indexedDB.open('enumeron');
        request.onsuccess = () => resolve(request.result);
        request.onerror = () => reject(new Error('not open'));
      });
      await new Promise<void>((resolve) => {
        const transaction = db.transaction(name, 'readwrite');
        transaction.objectStore(name).put(value);
        transaction.oncomplete = () => resolve();
      });
      db.close();
    },
    [table, row] as const,
  );

/** Whether everything works: a cut, undo, a new order, a backup. */
const works = async (page: Page): Promise<void> => {
  const status = page.locator('.status');
  await expect(page.locator('en-ask-line input')).toBeAttached();
  await page.keyboard.press('/');
  await page.keyboard.type('cut 5');
  await page.keyboard.press('Enter');
  await expect(status).toContainText('cut at 5');
  await page.keyboard.press('Escape');
  await page.keyboard.press('u');
  await expect(status).toContainText('in order');
  await page.keyboard.press('Shift+U');
  await expect(status).toContainText('cut at 5');
  await page.keyboard.press('1');
  await more(page, 'Duplicate');
  await expect(page.getByRole('heading', { name: 'Tidemark copy' })).toBeVisible();
  await page.getByRole('link', { name: 'Settings and data' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save a backup' }).click(),
  ]);
  expect(await download.failure()).toBeNull();
};

test.describe('storage that', () => {
  test('refuses to open: all of it works, under a standing sign', async ({ page }) => {
    await page.addInitScript(() => {
      IDBFactory.prototype.open = () => {
        throw new DOMException('no storage', 'SecurityError');
      };
    });
    await page.goto('/reckon');
    await expect(page.getByRole('alert')).toContainText('keeps no data');
    await works(page);
    await expect(page.getByRole('alert')).toContainText('keeps no data');
  });

  test('is missing: all of it works, under a standing sign', async ({ page }) => {
    await page.addInitScript(() => {
      localStorage.setItem('enumeron-visited', '1');
      Object.defineProperty(window, 'indexedDB', { value: undefined });
    });
    await page.goto('/reckon');
    await expect(page.getByRole('alert')).toContainText('keeps no data');
    await works(page);
  });

  test('does not answer: all of it works, and what was done is offered when it does', async ({ page }) => {
    await page.addInitScript(() => {
      localStorage.setItem('enumeron-visited', '1');
      const open = IDBFactory.prototype.open;
      // The request is made and succeeds; its answer is held back.
      IDBFactory.prototype.open = function (...given) {
        const request = open.apply(this, given);
        const add = request.addEventListener.bind(request);
        const held: (() => void)[] = [];
        let answers = false;
        const later = (act: () => void): void => {
          if (answers) act();
          else held.push(act);
        };
        request.addEventListener = ((type: string, listener: EventListener) =>
          add(type, (event: Event) => later(() => listener.call(request, event)))) as typeof add;
        for (const name of ['onsuccess', 'onupgradeneeded', 'onerror', 'onblocked'] as const) {
          const own = name.slice(2);
          Object.defineProperty(request, name, {
            set: (listener: EventListener | null) => {
              if (listener)
                add(own, (event: Event) =>
                  // An upgrade cannot wait; all else does.
                  own === 'upgradeneeded'
                    ? listener.call(request, event)
                    : later(() => listener.call(request, event)),
                );
            },
          });
        }
        Object.assign(window, {
          answer: () => {
            answers = true;
            for (const act of held) act();
          },
        });
        return request;
      };
    });
    await page.goto('/reckon');
    await expect(page.getByRole('alert')).toContainText('Storage does not answer', { timeout: 40_000 });
    await works(page);
    await page.evaluate(() => (window as unknown as { answer: () => void }).answer());
    await expect(page.getByRole('alert')).toContainText('Your stored data has come back');
    await page.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByRole('alert')).toHaveCount(0);
    const other = await page.context().newPage();
    await other.goto('/arrange');
    await expect(other.locator('.status')).toContainText('cut at 5');
    await expect(other.getByRole('link', { name: /Tidemark copy/ })).toBeVisible();
  });

  test('refuses to write: what was done stays, is in a backup, and is stored when there is room', async ({
    page,
  }) => {
    await page.goto('/reckon');
    await expect(page.locator('en-ask-line input')).toBeAttached();
    await page.keyboard.press('/');
    await page.keyboard.type('cut 2');
    await page.keyboard.press('Enter');
    await expect(page.locator('.status')).toContainText('cut at 2');
    await page.keyboard.press('Escape');
    // What is on its way is stored.
    await page.waitForFunction(() => sessionStorage.getItem('enumeron-in-flight') === null);
    await page.evaluate(() => {
      const { put, add } = IDBObjectStore.prototype;
      const refuse = (): never => {
        throw new DOMException('no room', 'QuotaExceededError');
      };
      Object.assign(IDBObjectStore.prototype, { put: refuse, add: refuse });
      Object.assign(window, { makeRoom: () => Object.assign(IDBObjectStore.prototype, { put, add }) });
    });
    await page.keyboard.press('/');
    await page.keyboard.type('cut 5');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
    await expect(page.locator('.status')).toContainText('cut at 7');
    const sign = page.getByRole('alert');
    await expect(sign).toContainText('Not stored: the last thing you did');
    await page.keyboard.press('1');
    await more(page, 'Duplicate');
    await expect(page.getByRole('heading', { name: 'Tidemark copy' })).toBeVisible();
    await expect(sign).toContainText('Not stored: the last 2 things you did');
    await sign.getByRole('button', { name: 'Try again' }).click();
    await expect(sign).toContainText('Not stored: the last 2 things you did');
    await sign.getByRole('link', { name: 'Save a backup' }).click();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save a backup' }).click(),
    ]);
    expect(download.suggestedFilename()).toMatch(/^enumeron-/);
    // What is typed is told as well.
    await page.goto('/arrange/new').catch(() => undefined);
    await expect(page.getByRole('alert')).toHaveCount(0);
    // The reload made room: what was held is stored.
    await expect(page.locator('.status')).toContainText('cut at 7');
    await page.goto('/arrange');
    await expect(page.getByRole('link', { name: /Tidemark copy/ })).toBeVisible();
  });

  test('holds a damaged pack: it is told, left, and kept when the pack is moved', async ({ page }) => {
    await page.goto('/reckon');
    await expect(page.locator('en-ask-line input')).toBeAttached();
    await quiet(page);
    await inDatabase(page, 'state', { id: 'pack', home: 'nonsense' });
    await page.reload();
    await expect(page.getByText('1 stored row cannot be read.')).toBeVisible();
    await expect(page.locator('en-ask-line input')).toBeAttached();
    await page.keyboard.press('/');
    await page.keyboard.type('cut 5');
    await page.keyboard.press('Enter');
    await expect(page.locator('.status')).toContainText('cut at 5');
    await page.keyboard.press('Escape');
    await page.getByRole('link', { name: 'Settings and data' }).click();
    await quiet(page);
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save a backup' }).click(),
    ]);
    const text = await (await import('node:fs/promises')).readFile(await download.path(), 'utf8');
    const { rows } = JSON.parse(text) as { rows: { damaged: { text: string }[] } };
    expect(JSON.parse(rows.damaged[0].text)).toEqual({ id: 'pack', home: 'nonsense' });
  });
});

test.describe('two tabs', () => {
  test('that act at the same moment both count, thirty times of thirty', async ({ page, context }) => {
    const tabs = [page, await context.newPage()];
    for (const tab of tabs) {
      await tab.goto('/reckon');
      await expect(tab.locator('en-ask-line input')).toBeAttached();
    }
    for (const tab of tabs) await quiet(tab);
    const act = async (tab: Page, text: string): Promise<void> => {
      await tab.locator('en-ask-line input').fill(text);
      await tab.locator('en-ask-line input').press('Enter');
    };
    let turned = 0;
    for (let round = 0; round < 30; round++) {
      await Promise.all([act(tabs[0], 'cut 5'), act(tabs[1], 'cut 3')]);
      turned = (turned + 8) % 52;
      for (const tab of tabs)
        await expect(tab.locator('.status')).toContainText(
          turned === 0 ? 'in order' : `cut at ${turned.toString()}`,
        );
    }
    for (let round = 0; round < 5; round++) {
      await Promise.all([act(tabs[0], 'somewhere'), act(tabs[1], 'lift 9S')]);
      await expect(tabs[0].getByRole('list', { name: 'Noted so far' }).getByRole('listitem')).toHaveCount(
        round * 2 + 2,
      );
    }
    // A card that was named in one and a number that was named in the other.
    await Promise.all([act(tabs[0], '7D'), act(tabs[1], '15')]);
    await expect(tabs[0].locator('section[aria-label=Answer]')).toContainText(/7♦/);
    await expect(tabs[0].locator('.slot.number')).toHaveCount(1);
  });

  test('that write a new order have a draft each; what a closed one left is offered', async ({
    page,
    context,
  }) => {
    const other = await context.newPage();
    for (const [tab, text] of [
      [page, 'AC 2C'],
      [other, 'KH QH'],
    ] as const) {
      await tab.goto('/arrange/new');
      await tab.getByRole('textbox', { name: 'Cards' }).pressSequentially(text, { delay: 20 });
    }
    await page.reload();
    await expect(page.getByRole('textbox', { name: 'Cards' })).toHaveValue('AC 2C');
    await other.close();
    await page.reload();
    await expect(page.getByText('Unfinished since')).toContainText('KH QH');
    await page.getByRole('button', { name: 'Go on with it' }).click();
    await expect(page.getByRole('textbox', { name: 'Cards' })).toHaveValue('KH QH');
    await page.reload();
    await expect(page.getByRole('textbox', { name: 'Cards' })).toHaveValue('KH QH');
    await expect(page.getByText('Unfinished since')).toHaveCount(0);
  });

  test('that change the same order are told, and mine, theirs or both can be had', async ({
    page,
    context,
  }) => {
    await page.goto('/arrange/sample-tidemark');
    await more(page, 'Duplicate');
    await expect(page.getByRole('heading', { name: 'Tidemark copy' })).toBeVisible();
    const path = `${new URL(page.url()).pathname}/edit`;
    const other = await context.newPage();
    const begin = async (tab: Page, name: string): Promise<void> => {
      await tab.goto(path);
      await expect(tab.getByRole('textbox', { name: 'Cards' })).not.toHaveValue('');
      await tab.getByRole('textbox', { name: 'Name' }).fill(name);
    };
    const saveElsewhere = async (name: string): Promise<void> => {
      await begin(other, name);
      await other.getByRole('button', { name: 'Save the order' }).click();
      await expect(other.getByRole('heading', { name })).toBeVisible();
    };
    const told = page.getByRole('alert').filter({ hasText: 'changed elsewhere' });

    await begin(page, 'Mine');
    await saveElsewhere('Theirs');
    await expect(told).toBeVisible();
    await page.getByRole('button', { name: 'Save the order' }).click();
    await expect(page).toHaveURL(new RegExp(path));
    await page.getByRole('button', { name: 'The other one' }).click();
    await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Theirs');

    await begin(page, 'Mine again');
    await saveElsewhere('Theirs again');
    await page.getByRole('button', { name: 'Both: mine as a second order' }).click();
    await expect(page.getByRole('heading', { name: 'Mine again' })).toBeVisible();
    await expect(page.getByRole('link', { name: /Theirs again/ })).toBeVisible();

    await begin(page, 'Mine at last');
    await saveElsewhere('Theirs at last');
    await page.getByRole('button', { name: 'Mine, in its place' }).click();
    await page.getByRole('button', { name: 'Save the order' }).click();
    await expect(page.getByRole('heading', { name: 'Mine at last' })).toBeVisible();
    await expect(page.getByRole('link', { name: /Theirs at last/ })).toHaveCount(0);
  });
});

test('a double click saves, copies or deletes once', async ({ page }) => {
  await page.goto('/arrange/sample-tidemark');
  const orders = page.getByRole('navigation', { name: 'Orders' }).getByRole('link');
  await page.getByRole('button', { name: 'More …' }).click();
  await page.getByRole('menuitem', { name: 'Duplicate' }).dblclick();
  await expect(page.getByRole('heading', { name: 'Tidemark copy' })).toBeVisible();
  await quiet(page);
  await expect(orders).toHaveCount(7);
  await page.getByRole('button', { name: 'More …' }).click();
  await page.getByRole('menuitem', { name: 'Remove' }).dblclick();
  await quiet(page);
  await expect(orders).toHaveCount(6);
  await page.goto('/arrange/new');
  await page.getByRole('textbox', { name: 'Name' }).fill('Once');
  await page.getByRole('textbox', { name: 'Cards' }).fill('AC 2C');
  await page.getByLabel(/A part of a pack/).check();
  await page.getByRole('button', { name: 'Save the order' }).dblclick();
  await expect(page.getByRole('heading', { name: 'Once' })).toBeVisible();
  await quiet(page);
  await expect(orders).toHaveCount(7);
});

/** Keeps the drafts' table busy from a page, so that nothing is stored in it, until what it gives is called. */
const holdDrafts = async (page: Page): Promise<() => Promise<void>> => {
  await page.evaluate(async () => {
    const { name = '' } = (await indexedDB.databases())[0];
    const db = await new Promise<IDBDatabase>((resolve) => {
      const request = indexedDB.open(name);
      request.onsuccess = () => resolve(request.result);
    });
    const table = db.transaction('drafts', 'readwrite').objectStore('drafts');
    const held = { isHeld: true };
    const goOn = (): void => {
      if (held.isHeld) table.count().onsuccess = goOn;
      else db.close();
    };
    goOn();
    Object.assign(window, { held });
  });
  return () =>
    page.evaluate(() => {
      (window as unknown as { held: { isHeld: boolean } }).held.isHeld = false;
    });
};

test('what is typed survives leaving the view, Back, and a closed tab at the same moment, however late it is stored', async ({
  page,
  context,
}) => {
  const text = 'AC 3H KH 9D QC 4C JH AS';
  const cards = (tab: Page): ReturnType<Page['getByRole']> => tab.getByRole('textbox', { name: 'Cards' });
  await page.goto('/reckon');
  await expect(page.getByRole('textbox').first()).toBeVisible();
  for (const leave of [
    async (tab: Page) => tab.reload(),
    async (tab: Page) => {
      await tab.getByRole('link', { name: 'Reckon' }).click();
      await tab.goto('/arrange/new');
    },
    async (tab: Page) => {
      await tab.goBack();
      await tab.goto('/arrange/new');
    },
  ]) {
    const tab = await context.newPage();
    await tab.goto('/arrange');
    await tab.goto('/arrange/new');
    await expect(cards(tab)).toHaveValue('');
    const letGo = await holdDrafts(page);
    await cards(tab).pressSequentially(text, { delay: 15 });
    await leave(tab);
    await letGo();
    await expect(cards(tab)).toHaveValue(text);
    await tab.getByRole('button', { name: 'Discard changes' }).click();
    await tab.close();
  }
  const closed = await context.newPage();
  await closed.goto('/arrange/new');
  const letGo = await holdDrafts(page);
  await cards(closed).pressSequentially(text, { delay: 15 });
  await closed.close();
  await letGo();
  await page.goto('/arrange/new');
  await page.getByRole('button', { name: 'Go on with it' }).click();
  // The last key may have been on its way out of the tab.
  await expect(cards(page)).toHaveValue(new RegExp(`^${text.slice(0, -1)}`));
});
