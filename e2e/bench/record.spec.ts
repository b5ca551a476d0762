import { expect, test } from '@playwright/test';
import { goTo } from '../tests/enumeron';

/** So many nights, each with so many choices. */
const [NIGHTS, ROUTINES, CHOICES] = [2000, 5, 4];

/** 2,000 nights of 20 choices: how long Record takes to open, to draw, to search; printed and not judged. */
test('2,000 nights', async ({ page }) => {
  await page.goto('/record');
  await expect(page.getByText('86 of 104 hit')).toBeVisible();
  await page.evaluate(
    async ([nights, routines, choices]) => {
      const open = indexedDB.open('enumeron');
      const db = await new Promise<IDBDatabase>((resolve, reject) => {
        open.onsuccess = () => resolve(open.result);
        open.onerror = () => reject(new Error('it is not opened'));
      });
      const store = db.transaction('performances', 'readwrite').objectStore('performances');
      for (let index = 0; index < nights; index++) {
        const at = Date.UTC(2020, 0, 1) + index * 86_400_000;
        const done = Array.from({ length: routines }, (_, routine) => ({
          ...{
            id: `routine-${routine.toString()}`,
            name: `Routine ${routine.toString()}`,
            steps: [],
            mends: [],
          },
          how: (index * 7 + routine) % 9 === 0 ? 'missed' : 'hit',
          choices: Array.from({ length: choices }, (__, choice) => ({
            ...{ path: choice.toString(), name: `cut ${choice.toString()}`, from: 1, to: 51 },
            value: 1 + ((index * 13 + routine * 7 + choice * 29) % 51),
            said: `Cut, the ${choice.toString()}. time.`,
            ...(choice === 3 && { named: true }),
          })),
        }));
        store.put({
          ...{
            id: `bench-${index.toString()}`,
            at,
            changed: at,
            real: true,
            name: 'Late',
            audience: '',
            done,
          },
          ...{
            place: index % 3 === 0 ? 'Salt Room' : 'Boathouse',
            note: index === 77 ? 'a heron' : '',
            seconds: 2400,
          },
        });
      }
      await new Promise((resolve) => (store.transaction.oncomplete = resolve));
      db.close();
    },
    [NIGHTS, ROUTINES, CHOICES] as const,
  );
  await page.goto('/reckon');
  await page.waitForTimeout(8000);
  await page.evaluate(() => {
    const tasks: number[] = [];
    Object.assign(window, { tasks });
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) tasks.push(duration);
    }).observe({ type: 'longtask' });
  });
  /** From a press to the frame in which something stands there, in milliseconds. */
  const timed = (what: string, act: string, shows: string): Promise<void> =>
    page
      .evaluate(
        async ([path, text]) => {
          const before = performance.now();
          if (path.startsWith('/')) {
            history.pushState(null, '', path);
            dispatchEvent(new PopStateEvent('popstate'));
          } else {
            const field = document.querySelector<HTMLInputElement>('input[type=search]');
            if (field) field.value = path;
            field?.dispatchEvent(new Event('input', { bubbles: true }));
          }
          for (;;) {
            await new Promise((resolve) => requestAnimationFrame(resolve));
            if (document.querySelector('main')?.textContent.includes(text)) break;
          }
          await new Promise((resolve) => setTimeout(resolve));
          return performance.now() - before;
        },
        [act, shows] as const,
      )
      .then((ms) => console.log(`${what}: ${ms.toFixed(0)} ms`));
  await timed('the room opens', '/record', '2,011 nights');
  await timed('a search', 'heron', '1 night.');
  await timed('back to all', '', '2,011 nights');
  for (const [path, shows] of [
    ['/record/choices', '10,000 choices'],
    ['/record/named', '10,011 numbers named'],
    ['/record/routines', 'Routine 0'],
    ['/record/seconds', 'not 4.0'],
    ['/record', '2,011 nights'],
  ])
    await timed(path, path, shows);
  const tasks = await page.evaluate(() => (window as unknown as { tasks: number[] }).tasks);
  console.log(`long tasks: ${tasks.map((each) => each.toFixed(0)).join(', ')}`);
  await goTo(page, '/record');
});
