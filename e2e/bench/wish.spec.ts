import { expect, test } from '@playwright/test';
import { wished } from '../tests/views';

/** How soon an order is painted behind the press, and what typing takes while one is looked for; printed and not judged. */
test('wishes', async ({ page }) => {
  await page.addInitScript(() => {
    const tasks: number[] = [];
    const inputs: number[] = [];
    Object.assign(window, { tasks, inputs });
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) tasks.push(Math.round(duration));
    }).observe({ type: 'longtask' });
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) inputs.push(duration);
    }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit);
  });
  await page.goto('/arrange/new/wishes');
  await wished(page, 'no four of a colour', 'dealt to four');
  await page.waitForTimeout(6000);
  const times: number[] = [];
  for (let time = 0; time < 10; time++) {
    times.push(
      await page.evaluate(async () => {
        const before = document.querySelector('en-strip svg')?.innerHTML;
        const button = [...document.querySelectorAll('en-found-panel button')].find(({ textContent }) =>
          /Find an order|Another one/.test(textContent),
        ) as HTMLButtonElement;
        const began = performance.now();
        button.click();
        const strip = (): string | undefined =>
          [...document.querySelectorAll('en-found-panel en-strip svg')].at(-1)?.innerHTML;
        const first = strip() ?? before;
        while (strip() === first && performance.now() - began < 5000)
          await new Promise((resolve) => requestAnimationFrame(resolve));
        return performance.now() - began;
      }),
    );
    await page.waitForTimeout(800);
  }
  console.log(`an order behind the press, painted: ${times.map((time) => time.toFixed(0)).join(', ')} ms`);
  // Too much for the time: it goes on while one writes.
  await page.goto('/arrange/new/wishes');
  await wished(page, 'the next six colours tell');
  await page.locator('[data-wish] input').last().fill('4');
  await wished(page, 'no four', 'mates half');
  await page.evaluate(() => {
    (window as unknown as { tasks: number[]; inputs: number[] }).tasks.length = 0;
    (window as unknown as { tasks: number[]; inputs: number[] }).inputs.length = 0;
  });
  await page.getByRole('button', { name: 'Find an order' }).click();
  const field = page.locator('[data-wish="1"] input').first();
  for (let time = 0; time < 20; time++) {
    await field.fill(`${2 + (time % 5)}`);
    await page.waitForTimeout(150);
  }
  const { tasks, inputs } = await page.evaluate(() => {
    const { tasks, inputs } = window as unknown as { tasks: number[]; inputs: number[] };
    return { tasks, inputs };
  });
  console.log(
    `typing while it searches: tasks over 50 ms ${tasks.join(', ') || 'none'}; input to paint at most ${Math.max(0, ...inputs).toFixed(0)} ms`,
  );
  expect(times.length).toBe(10);
});
