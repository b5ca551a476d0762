import { idleInTime } from './idle';

const original = window.requestIdleCallback as typeof requestIdleCallback | undefined;

afterEach(() => {
  Object.assign(window, { requestIdleCallback: original });
});

test('who waits for an idle browser waits two seconds at most, or as long as it says', () => {
  const asked: unknown[] = [];
  Object.assign(window, {
    requestIdleCallback: (_: IdleRequestCallback, options?: IdleRequestOptions) => asked.push(options),
  });
  idleInTime();
  requestIdleCallback(() => undefined);
  requestIdleCallback(() => undefined, { timeout: 5000 });
  expect(asked).toEqual([{ timeout: 2000 }, { timeout: 5000 }]);
});

test('a browser without it is left as it is', () => {
  Object.assign(window, { requestIdleCallback: undefined });
  idleInTime();
  expect(window.requestIdleCallback as unknown).toBeUndefined();
});
