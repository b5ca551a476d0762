import { Page } from '@playwright/test';
import { test } from '../tests/enumeron';

/**
 * Speeds of the real thing, printed and not judged: how long from the start of the page until the answer
 * stands there, and how much scripting a key in the ask line takes.
 */
const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

/** Milliseconds from the start of the page to the first frame with the answer's region in it. */
const untilAnswer = async (page: Page): Promise<number> => {
  await page.waitForSelector('section[aria-label=Answer]');
  return page.evaluate(() => {
    const [entry] = performance.getEntriesByName('answer-shown');
    return Math.round(entry.startTime);
  });
};

test('time to the first answer', async ({ browser, baseURL }) => {
  const first: number[] = [];
  const again: number[] = [];
  for (let round = 0; round < 7; round++) {
    const context = await browser.newContext({ baseURL, viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    await page.addInitScript(() => {
      const watch = (): void => {
        if (document.querySelector('section[aria-label=Answer]')) performance.mark('answer-shown');
        else requestAnimationFrame(watch);
      };
      watch();
    });
    await page.goto('/reckon');
    first.push(await untilAnswer(page));
    await page.waitForTimeout(600);
    await page.reload();
    again.push(await untilAnswer(page));
    await context.close();
  }
  console.log(`first visit, nothing cached: ${first.join(', ')} ms, median ${median(first)}`);
  console.log(`every later visit: ${again.join(', ')} ms, median ${median(again)}`);
});

test('scripting for a key in the ask line', async ({ enumeron, page }) => {
  await enumeron.open();
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const scripting = async (): Promise<number> => {
    const { metrics } = await session.send('Performance.getMetrics');
    return (metrics.find(({ name }) => name === 'ScriptDuration')?.value ?? 0) * 1000;
  };
  const costs: number[] = [];
  await page.keyboard.press('/');
  for (const round of [1, 2, 3]) {
    for (const key of '7D 15') {
      const before = await scripting();
      await page.keyboard.type(key);
      await page.waitForTimeout(100);
      if (round > 1) costs.push((await scripting()) - before);
    }
    await page.keyboard.press('Escape');
    await page.waitForTimeout(100);
  }
  const worst = Math.max(...costs);
  console.log(
    `ask line, ${costs.length} keys: median ${median(costs).toFixed(1)} ms, worst ${worst.toFixed(1)} ms`,
  );
});
