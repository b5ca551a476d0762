import { Browser, CDPSession, test } from '@playwright/test';

/**
 * What the page's main thread does in the 3.5 s behind the first answer, on a first visit and a later one, at this
 * machine's speed and four times slower; printed and not judged.
 */
const BEHIND = 3500;
const ROUNDS = 5;

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

const busy = async (session: CDPSession): Promise<number> => {
  const { metrics } = await session.send('Performance.getMetrics');
  return (metrics.find(({ name }) => name === 'TaskDuration')?.value ?? 0) * 1000;
};

interface Visit {
  /** Milliseconds of the main thread before and behind the answer. */
  readonly before: number;
  readonly behind: number;
  /** The longest tasks behind it, in milliseconds. */
  readonly longest: readonly number[];
  readonly requests: number;
}

const visits = async (browser: Browser, baseURL: string, slower: number): Promise<[Visit, Visit]> => {
  const context = await browser.newContext({ baseURL, viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Performance.enable', { timeDomain: 'threadTicks' });
  if (slower > 1) await session.send('Emulation.setCPUThrottlingRate', { rate: slower });
  await page.addInitScript(() => {
    const tasks: [number, number][] = [];
    Object.assign(window, { tasks });
    new PerformanceObserver((list) => {
      for (const { startTime, duration } of list.getEntries()) tasks.push([startTime, duration]);
    }).observe({ type: 'longtask' });
    const watch = (): void => {
      if (document.querySelector('section[aria-label=Answer]')) setTimeout(() => performance.mark('answer'));
      else requestAnimationFrame(watch);
    };
    watch();
  });
  const look = async (): Promise<Visit> => {
    await page.waitForFunction(() => performance.getEntriesByName('answer').length > 0);
    const before = await busy(session);
    const seen = await page.evaluate(() => performance.getEntriesByType('resource').length);
    await page.waitForTimeout(BEHIND);
    const behind = (await busy(session)) - before;
    const [longest, all] = await page.evaluate(() => {
      const { tasks } = window as unknown as { tasks: [number, number][] };
      const [{ startTime }] = performance.getEntriesByName('answer');
      const late = tasks.filter(([start]) => start > startTime).map(([, duration]) => Math.round(duration));
      return [late, performance.getEntriesByType('resource').length];
    });
    return { before, behind, longest, requests: all - seen };
  };
  await page.goto('/reckon');
  const first = await look();
  await page.waitForTimeout(1000);
  const start = await busy(session);
  await page.reload();
  const again = await look();
  await context.close();
  return [first, { ...again, before: Math.max(0, again.before - start) }];
};

for (const slower of [1, 4])
  test(`main thread behind the first answer, ${slower.toString()} times slower`, async ({
    browser,
    baseURL,
  }) => {
    const all: [Visit, Visit][] = [];
    for (let round = 0; round < ROUNDS; round++) all.push(await visits(browser, baseURL ?? '', slower));
    for (const [index, name] of ['first', 'later'].entries()) {
      const those = all.map((each) => each[index]);
      const of = (figure: (visit: Visit) => number): string => median(those.map(figure)).toFixed(0);
      console.log(
        `${name} visit, ${slower.toString()} times slower: ${of(({ behind }) => behind)} ms behind the answer, ` +
          `longest task ${of(({ longest }) => Math.max(0, ...longest))} ms (${those.map(({ longest }) => longest.join(' ')).join(' | ')}), ` +
          `${of(({ requests }) => requests)} requests; before it ${of(({ before }) => before)} ms`,
      );
    }
  });

for (const later of [3500, 12_000])
  test(`opening Learn, a procedure and a key in its editor, ${later.toString()} ms behind the answer`, async ({
    browser,
    baseURL,
  }) => {
    const costs = {
      Learn: [] as number[],
      'a procedure': [] as number[],
      'a key in its editor': [] as number[],
    };
    for (let round = 0; round < ROUNDS; round++) {
      const context = await browser.newContext({ baseURL, viewport: { width: 1280, height: 800 } });
      const page = await context.newPage();
      const session = await context.newCDPSession(page);
      await session.send('Performance.enable', { timeDomain: 'threadTicks' });
      await page.goto('/reckon');
      await page.waitForSelector('section[aria-label=Answer]');
      await page.waitForTimeout(later);
      const cost = async (act: () => Promise<unknown>, settle: number): Promise<number> => {
        const before = await busy(session);
        await act();
        await page.waitForTimeout(settle);
        return (await busy(session)) - before;
      };
      costs.Learn.push(await cost(() => page.keyboard.press('2'), 1500));
      await page.keyboard.press('5');
      await page.waitForTimeout(12_000);
      const link = page.getByRole('link', { name: 'Two cuts and a packet of numbers' });
      costs['a procedure'].push(await cost(() => link.click(), 2000));
      await page.locator('.line[data-line="1"]').click();
      await page.keyboard.press('Enter');
      await page.waitForTimeout(1000);
      for (const key of 'some cut')
        costs['a key in its editor'].push(
          await cost(() => page.keyboard.press(key === ' ' ? 'Space' : key), 600),
        );
      await context.close();
    }
    for (const [name, values] of Object.entries(costs))
      console.log(
        `${name}, ${later.toString()} ms behind the answer: median ${median(values).toFixed(0)} ms of main thread (${values.map((each) => each.toFixed(0)).join(', ')})`,
      );
  });
