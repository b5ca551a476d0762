import { lending } from './lender';

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
const lender = lending<{ work(): void }>(() => {
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
  const first = lender();
  const offered = await first.lend();
  first.giveBack();
  const second = lender();
  expect(await second.lend()).toBe(offered);
  expect(opened).toHaveLength(1);
  // Two jobs at a time have a worker each.
  expect(await lender().lend()).not.toBe(offered);
  expect(opened).toHaveLength(2);
});

test('a worker that nobody wants is kept for a while, and not while it is lent', async () => {
  const job = lender();
  await job.lend();
  job.giveBack();
  jest.advanceTimersByTime(19_000);
  const [own] = opened;
  expect(own.ended).toBe(false);
  const next = lender();
  await next.lend();
  jest.advanceTimersByTime(19_000);
  expect(own.ended).toBe(false);
  next.giveBack();
  jest.advanceTimersByTime(21_000);
  expect(own.ended).toBe(true);
});

test('what is ended is not lent again; one that fails tells whoever has it, and nobody after', async () => {
  const job = lender();
  await job.lend();
  job.end();
  expect(opened[0].ended).toBe(true);
  const next = lender();
  await next.lend();
  expect(opened).toHaveLength(2);
  opened[1].dispatchEvent(Object.assign(new Event('error'), { message: 'no such script' }));
  await expect(next.failed).rejects.toThrow('no such script');
  next.giveBack();
  const last = lender();
  await last.lend();
  opened[1].dispatchEvent(new Event('error'));
  await expect(last.failed).rejects.toThrow('no such worker');
});
