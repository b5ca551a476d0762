import { test } from '@playwright/test';
import { card, keepTen, next, number, title } from '../tests/on-stage';
import { TEN_ADDRESS } from '../tests/ten-routines';

/** How long a tap in the live cue takes to the next painted page, at this machine's speed and four times slower; printed and not judged. */
for (const slower of [1, 4])
  test(`a tap to the next painted page, ${slower.toString()} times slower`, async ({ page, context }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(TEN_ADDRESS);
    await keepTen(page);
    await page.goto('/perform');
    await page.getByRole('link', { name: /late set/ }).click();
    await page.getByRole('button', { name: 'Perform it' }).click();
    await page.getByRole('button', { name: 'Run-through' }).click({ timeout: 90_000 });
    await title(page).waitFor();
    const session = await context.newCDPSession(page);
    if (slower > 1) await session.send('Emulation.setCPUThrottlingRate', { rate: slower });
    await page.evaluate(() => {
      const painted: number[] = [];
      const tasks: number[] = [];
      Object.assign(window, { painted, tasks });
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries()) if (entry.name === 'click') painted.push(entry.duration);
      }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit);
      new PerformanceObserver((list) => {
        for (const { duration } of list.getEntries()) tasks.push(duration);
      }).observe({ type: 'longtask' });
    });
    let taps = 0;
    for (; taps < 70; taps++) {
      if ((await page.locator('.does').textContent())?.includes('That was all')) break;
      if (await page.locator('.main .next').count()) await next(page);
      else if (await page.locator('.ranks').count()) await card(page, '7D');
      else if (await page.locator('.digits').count()) await number(page, 30);
      else if (await page.locator('.choices').count()) await page.locator('.choices button').first().click();
      await page.waitForTimeout(150 * slower);
    }
    await page.waitForTimeout(800);
    const { painted, tasks } = await page.evaluate(() => {
      const noted = window as unknown as { painted: number[]; tasks: number[] };
      return { painted: noted.painted, tasks: noted.tasks };
    });
    const sorted = [...painted].sort((a, b) => a - b);
    const at = (share: number): string => (sorted[Math.floor(share * (sorted.length - 1))] ?? 0).toFixed(0);
    console.log(
      `${taps} pages, ${sorted.length} taps of 16 ms or more: median ${at(0.5)}, nine in ten ${at(0.9)}, worst ${at(1)} ms; long tasks ${tasks.map((each) => each.toFixed(0)).join(', ')}`,
    );
  });
