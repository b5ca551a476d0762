import { CDPSession, test } from '@playwright/test';

/** What the page's main thread is busy with after an act; printed and not judged. */
const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

const busy = async (session: CDPSession): Promise<number> => {
  const { metrics } = await session.send('Performance.getMetrics');
  return (metrics.find(({ name }) => name === 'TaskDuration')?.value ?? 0) * 1000;
};

test('main thread: to a room, and a tap on the card pad', async ({ browser, baseURL }) => {
  const first: number[] = [];
  const again: number[] = [];
  const taps: number[] = [];
  const longest: number[] = [];
  for (let visit = 0; visit < 3; visit++) {
    const context = await browser.newContext({ baseURL, viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    await page.goto('/reckon');
    await page.waitForSelector('en-ask-line input');
    await page.waitForTimeout(4000);
    const session = await context.newCDPSession(page);
    await session.send('Performance.enable');
    await page.evaluate(() => {
      const tasks: number[] = [];
      Object.assign(window, { tasks });
      new PerformanceObserver((list) => {
        for (const { duration } of list.getEntries()) tasks.push(duration);
      }).observe({ type: 'longtask' });
    });
    const cost = async (act: () => Promise<void>, settle = 700): Promise<number> => {
      const before = await busy(session);
      await act();
      await page.waitForTimeout(settle);
      return (await busy(session)) - before;
    };
    first.push(await cost(() => page.keyboard.press('1'), 1500));
    for (let round = 0; round < 5; round++) {
      await page.keyboard.press('3');
      await page.waitForTimeout(700);
      again.push(await cost(() => page.keyboard.press('1')));
    }
    await page.keyboard.press('3');
    await page.waitForTimeout(1000);
    for (const index of [3, 20, 31, 9, 45, 14, 27]) {
      const box = await page.locator('en-card-pad button').nth(index).boundingBox();
      await page.mouse.move((box?.x ?? 0) + 5, (box?.y ?? 0) + 5);
      await page.waitForTimeout(150);
      taps.push(await cost(() => page.mouse.down().then(() => page.mouse.up()), 300));
    }
    const tasks = await page.evaluate(() => (window as unknown as { tasks: number[] }).tasks);
    longest.push(Math.max(0, ...tasks));
    await context.close();
  }
  const ms = (values: readonly number[]): string => `median ${median(values).toFixed(0)} ms`;
  console.log(`to Arrange the first time: ${ms(first)}`);
  console.log(`to Arrange again: ${ms(again)}`);
  console.log(`a tap on the card pad: ${ms(taps)}`);
  console.log(
    `the longest task of a visit (0: none over 50 ms): ${longest.map((each) => each.toFixed(0)).join(', ')} ms`,
  );
});
