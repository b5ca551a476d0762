import { Page, test } from '@playwright/test';

/**
 * Speeds of the real thing, printed and not judged: how long from the start of the page until the answer
 * stands there, and how much scripting a key in the ask line takes.
 */
const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

/** Milliseconds from the start of the page until the first frame with the answer's region in it is painted. */
const untilAnswer = async (page: Page): Promise<number> => {
  await page.waitForFunction(() => performance.getEntriesByName('answer-shown').length > 0);
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
        // A task begun in a frame is done when that frame has been laid out and painted.
        if (document.querySelector('section[aria-label=Answer]'))
          setTimeout(() => performance.mark('answer-shown'));
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

/** Names of the keys that are measured, in the order in which a visitor presses them. */
const KEYS = ['/', ...'7D 15', 'Escape'];

test('scripting for a key in the ask line', async ({ browser, baseURL }) => {
  const costs = KEYS.map((): number[] => []);
  for (let visit = 0; visit < 8; visit++) {
    const context = await browser.newContext({ baseURL, viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    await page.goto('/reckon');
    await page.waitForSelector('en-ask-line input');
    await page.waitForTimeout(1000);
    const session = await context.newCDPSession(page);
    // The processor time of the page's thread, so that other work on the machine is not counted.
    await session.send('Performance.enable', { timeDomain: 'threadTicks' });
    const scripting = async (): Promise<number> => {
      const { metrics } = await session.send('Performance.getMetrics');
      return (metrics.find(({ name }) => name === 'ScriptDuration')?.value ?? 0) * 1000;
    };
    for (const [index, key] of KEYS.entries()) {
      const before = await scripting();
      await page.keyboard.press(key === ' ' ? 'Space' : key);
      await page.waitForTimeout(120);
      costs[index].push((await scripting()) - before);
    }
    await context.close();
  }
  for (const [index, key] of KEYS.entries()) {
    const worst = Math.max(...costs[index]);
    console.log(
      `ask line, ${JSON.stringify(key)}: median ${median(costs[index]).toFixed(1)} ms, worst ${worst.toFixed(1)} ms`,
    );
  }
});
