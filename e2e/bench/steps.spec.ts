import { writeFileSync } from 'node:fs';
import { test } from '@playwright/test';

const STEPS = 1000;

/** As a file: a choice, then a card dealt and put back over and over. */
const manySteps = (): string => {
  const [choose, deal, put] = [
    { do: 'choose', name: 'number', from: 1, to: 3 },
    { do: 'deal', count: 1, from: 'packet', onto: 'table', by: 'helper' },
    { do: 'put', packet: 'table', where: 'on', other: 'packet', by: 'helper' },
  ];
  const steps = Array.from({ length: STEPS }, (_, index) => (index === 0 ? choose : index % 2 ? deal : put));
  return JSON.stringify({
    ...{ format: 'enumeron procedure', version: 1, name: 'A thousand steps' },
    ...{ packets: { packet: ['QH', { indifferent: 19 }] }, steps },
  });
};

/** How a procedure of the most steps that are read keeps up; printed and not judged. */
test('a thousand steps: from the link until they show, and a key in one of them', async ({ page }) => {
  const path = test.info().outputPath('thousand.json');
  writeFileSync(path, manySteps());
  await page.goto('/rehearse');
  await page.getByLabel('Open a file').setInputFiles(path);
  await page.waitForSelector('en-step-list .line');
  await page.waitForTimeout(3000);
  const shown: number[] = [];
  for (let round = 0; round < 3; round++) {
    await page.goto('/rehearse');
    const link = page.getByRole('link', { name: 'A thousand steps' });
    await link.waitFor();
    await page.waitForTimeout(2000);
    shown.push(
      await link.evaluate(
        (element: HTMLElement) =>
          new Promise<number>((resolve) => {
            const began = performance.now();
            const look = (): void => {
              if (document.querySelector('en-step-list .line')) {
                requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - began)));
              } else requestAnimationFrame(look);
            };
            element.click();
            look();
          }),
      ),
    );
  }
  await page.waitForTimeout(3000);
  const lines = await page.locator('en-step-list .line').count();
  await page.locator('.line[data-line="500"]').click();
  await page.keyboard.press('Enter');
  await page.waitForTimeout(1000);
  const keys: number[] = [];
  await page.evaluate(() => {
    const painted: number[] = [];
    Object.assign(window, { painted });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) if (entry.name === 'keydown') painted.push(entry.duration);
    }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit);
    const tasks: number[] = [];
    Object.assign(window, { tasks });
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) tasks.push(duration);
    }).observe({ type: 'longtask' });
  });
  for (let key = 0; key < 12; key++) {
    await page.keyboard.press('ControlOrMeta+a');
    await page.keyboard.press((1 + (key % 2)).toString());
    await page.waitForTimeout(500);
  }
  const { painted, tasks } = await page.evaluate(() => {
    const noted = window as unknown as { painted: number[]; tasks: number[] };
    return { painted: noted.painted, tasks: noted.tasks };
  });
  keys.push(...painted);
  const list = (values: readonly number[]): string => values.map((value) => value.toFixed(0)).join(', ');
  console.log(`from the click until the first steps stand there: ${list(shown)} ms; lines ${lines}`);
  console.log(`keys, input to paint: ${list(keys)} ms; long tasks ${list(tasks)} ms`);
});
