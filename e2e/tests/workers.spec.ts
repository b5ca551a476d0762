import { CDPSession, Page } from '@playwright/test';
import { expect, goTo, test } from './enumeron';
import { quiet } from './settled';

const PROCEDURE = '/rehearse/sample-two-cuts-and-a-packet-of-numbers';

test('a worker that says nothing is told after ten seconds, and tried again', async ({ enumeron, page }) => {
  await page.addInitScript(() => {
    const Real = window.Worker;
    class Silent extends EventTarget {
      constructor(...asked: ConstructorParameters<typeof Worker>) {
        super();
        if ((window as { workersAnswer?: boolean }).workersAnswer) return new Real(...asked) as never;
      }
      postMessage(): void {
        return;
      }
      terminate(): void {
        return;
      }
    }
    window.Worker = Silent as never;
  });
  await enumeron.open(PROCEDURE);
  await expect(page.getByText('The calculation has given no answer').first()).toBeVisible({
    timeout: 25_000,
  });
  await page.evaluate(() => Object.assign(window, { workersAnswer: true }));
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText('759 of 1,275')).toBeVisible();
});

/** What the browser itself counts, when all that nobody holds is gone. */
const counted = async (session: CDPSession): Promise<{ nodes: number; heap: number }> => {
  for (let round = 0; round < 3; round++) await session.send('HeapProfiler.collectGarbage');
  const { metrics } = await session.send('Performance.getMetrics');
  const of = (name: string): number => metrics.find((each) => each.name === name)?.value ?? 0;
  return { nodes: of('Nodes'), heap: of('JSHeapUsedSize') };
};

/** Rooms that are left before what they have worked out is known. */
const PLACES = ['/learn', '/reckon', PROCEDURE, '/weave', '/learn/sums', '/arrange/sample-tidemark'];

const goRound = async (page: Page, changes: number): Promise<void> => {
  for (let change = 0; change < changes; change++) {
    await goTo(page, PLACES[change % PLACES.length]);
    await page.locator('main :is(h1, h2, h3)').first().waitFor();
  }
};

test('of 300 changes of rooms, each left at once, the second half leaves nothing behind', async ({
  enumeron,
  page,
}) => {
  await enumeron.open('/reckon');
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  // By then all that is loaded and compiled on the way is there.
  await goRound(page, 150);
  await goTo(page, '/reckon');
  await expect(enumeron.answer()).toBeVisible();
  // What was given up rests, and is forgotten.
  const settled = async (): Promise<{ nodes: number; heap: number }> => {
    let last = await counted(session);
    for (let round = 0; round < 40; round++) {
      await quiet(page);
      const now = await counted(session);
      if (Math.abs(now.heap - last.heap) < 20_000 && now.nodes === last.nodes) return now;
      last = now;
    }
    return last;
  };
  const before = await settled();
  await goRound(page, 150);
  await goTo(page, '/reckon');
  await expect(enumeron.answer()).toBeVisible();
  const after = await settled();
  console.log(
    `150 changes: ${before.nodes.toString()} to ${after.nodes.toString()} nodes, ` +
      `${(before.heap / 1e6).toFixed(2)} to ${(after.heap / 1e6).toFixed(2)} MB`,
  );
  expect(after.nodes).toBeLessThan(before.nodes * 1.1);
  expect(after.heap).toBeLessThan(before.heap * 1.1);
});
