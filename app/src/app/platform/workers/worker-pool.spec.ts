import { workerPool } from './worker-pool';

/** A worker that answers nothing, and tells whether it was ended. */
class Endpoint extends EventTarget {
  ended = false;
  postMessage(): void {
    return;
  }
  terminate(): void {
    this.ended = true;
  }
}

let opened: Endpoint[] = [];
const pool = workerPool<{ work(): void }>(() => {
  const endpoint = new Endpoint();
  opened.push(endpoint);
  return endpoint as unknown as Worker;
});

beforeEach(() => {
  opened = [];
  jest.useFakeTimers();
});
afterEach(() => {
  jest.advanceTimersByTime(60_000);
  jest.useRealTimers();
});

test('a worker that is lent again is the same one, and what it offers was held all the time', async () => {
  const first = pool();
  const offered = await first.lend();
  first.giveBack();
  const second = pool();
  expect(await second.lend()).toBe(offered);
  expect(opened).toHaveLength(1);
  // Two jobs at a time have a worker each.
  expect(await pool().lend()).not.toBe(offered);
  expect(opened).toHaveLength(2);
});

test('a worker that nobody wants is kept for a while, and not while it is lent', async () => {
  const job = pool();
  await job.lend();
  job.giveBack();
  jest.advanceTimersByTime(19_000);
  const [own] = opened;
  expect(own.ended).toBe(false);
  const next = pool();
  await next.lend();
  jest.advanceTimersByTime(19_000);
  expect(own.ended).toBe(false);
  next.giveBack();
  jest.advanceTimersByTime(21_000);
  expect(own.ended).toBe(true);
});

test('what is ended is not lent again; one that fails tells whoever has it, and nobody after', async () => {
  const job = pool();
  await job.lend();
  job.end();
  expect(opened[0].ended).toBe(true);
  const next = pool();
  await next.lend();
  expect(opened).toHaveLength(2);
  opened[1].dispatchEvent(Object.assign(new Event('error'), { message: 'no such script' }));
  await expect(next.failed).rejects.toThrow('no such script');
  next.giveBack();
  const last = pool();
  await last.lend();
  opened[1].dispatchEvent(new Event('error'));
  await expect(last.failed).rejects.toThrow('no such worker');
});

test('one whose work nobody wants is lent again when it rests, and ended where it does not', async () => {
  const job = pool();
  const offered = await job.lend();
  let rest: () => void = () => undefined;
  job.giveUp(new Promise<void>((resolve) => (rest = resolve)));
  expect(await pool().lend()).not.toBe(offered);
  rest();
  await Promise.resolve();
  await Promise.resolve();
  expect(await pool().lend()).toBe(offered);
  const other = pool();
  await other.lend();
  other.giveUp(new Promise(() => undefined));
  jest.advanceTimersByTime(2000);
  expect(opened.at(-1)?.ended).toBe(true);
});
