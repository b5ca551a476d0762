import { Page, test } from '@playwright/test';

/** With 50,000 answers stored: how long Learn takes to open, to ask on, and to show how an order stands. Not judged. */

const ANSWERS = 50_000;

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
const say = (what: string, values: readonly number[]): void =>
  console.log(`${what}: median ${median(values).toFixed(0)} ms, worst ${Math.max(...values).toFixed(0)} ms`);

/** Answers like those that are stored, laid into the database past the application. */
const fill = (page: Page): Promise<void> =>
  page.evaluate(async (count) => {
    const db = await new Promise<IDBDatabase>((resolve) => {
      const request = indexedDB.open('enumeron');
      request.onsuccess = () => resolve(request.result);
    });
    const stored = await new Promise<Record<string, unknown>[]>((resolve) => {
      const request = db.transaction('reviews').objectStore('reviews').getAll();
      request.onsuccess = () => resolve(request.result as Record<string, unknown>[]);
    });
    for (let done = 0; done < count;) {
      const transaction = db.transaction('reviews', 'readwrite');
      for (let part = 0; part < 5000 && done < count; part++, done++) {
        const like = stored[done % stored.length];
        const at = (like['at'] as number) - 86_400_000 * (1 + Math.floor(done / stored.length));
        transaction.objectStore('reviews').put({ ...like, id: `bench-${done.toString()}`, at });
      }
      await new Promise<void>((resolve) => (transaction.oncomplete = () => resolve()));
    }
    db.close();
  }, ANSWERS);

/** From an act until what shows it is there and painted. */
const until = (page: Page, selector: string, text: string): Promise<number> =>
  page.evaluate(
    ({ selector: wanted, text: has }) =>
      new Promise<number>((resolve) => {
        const began = performance.now();
        const look = (): void => {
          const there = [...document.querySelectorAll(wanted)].some((each) => each.textContent.includes(has));
          if (there) requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - began)));
          else setTimeout(look, 4);
        };
        look();
      }),
    { selector, text },
  );

test('Learn with 50,000 answers', async ({ page }) => {
  test.setTimeout(240_000);
  await page.goto('/learn');
  await page.getByRole('button', { name: 'Remove the sample' }).waitFor();
  await fill(page);
  const room: number[] = [];
  const charts: number[] = [];
  for (let visit = 0; visit < 7; visit++) {
    await page.goto('/reckon');
    await page.waitForTimeout(3500);
    await page.keyboard.press('2');
    room.push(await until(page, '.due', 'due'));
    await page.waitForTimeout(1500);
    await page.getByRole('link', { name: 'How it stands' }).click();
    charts.push(await until(page, '.note', 'From your last'));
  }
  say('to Learn, until what is due is painted', room);
  say('to how it stands, until every chart is painted', charts);

  await page.goto('/learn/practise');
  await page.locator('.typed, .prompt').first().waitFor();
  await page.waitForTimeout(1500);
  const answers: number[] = [];
  for (let count = 0; count < 40; count++) {
    const ms = await page.evaluate(
      () =>
        new Promise<number | undefined>((resolve) => {
          const press = (key: string): boolean =>
            document.body.dispatchEvent(
              new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }),
            );
          const now = (): string => document.querySelector('main section')?.textContent ?? '';
          // A new card, or a mistake, is gone past; its own key is not counted.
          if (!document.querySelector('.typed')) {
            press('Enter');
            setTimeout(() => resolve(undefined), 200);
            return;
          }
          const before = now();
          const began = performance.now();
          for (const key of document.querySelector('.numbers') ? ['1', '2'] : ['k', 'd']) press(key);
          const look = (): void => {
            if (now() !== before && document.querySelector('.prompt'))
              requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - began)));
            else if (performance.now() - began > 2000) resolve(undefined);
            else setTimeout(look, 1);
          };
          look();
        }),
    );
    if (ms !== undefined) answers.push(ms);
    await page.waitForTimeout(400);
  }
  say(`from answer to what is painted next, ${answers.length.toString()} answers`, answers);
});
