import { DAY } from './day';
import { Grade } from './grade';
import { replay, scheduleBy } from './schedule';
import { recallRate, TimedAnswer, usualTime } from './speed';

const schedule = scheduleBy();
const START = Date.UTC(2026, 3, 1, 10);
const before = replay(
  schedule,
  ([3, 3, 3] as Grade[]).map((grade, index) => ({ grade, at: START + index * 3 * DAY })),
);
const told = (part: Partial<TimedAnswer>): TimedAnswer => ({
  at: START + 20 * DAY,
  right: true,
  ms: 1000,
  before,
  ...part,
});

test('the usual time is the median of what was not interrupted, with the time between', () => {
  expect(usualTime([])).toBe(5000);
  const times = [900, 4000, 1200, 100_000].map((ms) => told({ ms }));
  expect(usualTime([...times.slice(0, 3), told({ ms: 90_000, interrupted: true })])).toBe(1200 + 1500);
  expect(usualTime(times)).toBe(4000 + 1500);
});

test('right as often as expected is 1, more often above, less often below; new items say nothing', () => {
  expect(before?.state).toBe(2);
  expect(recallRate(schedule, [])).toBe(1);
  expect(recallRate(schedule, [told({ before: undefined, right: false })])).toBe(1);
  const expected = before ? schedule.recall(before, START + 20 * DAY) : 0;
  const share = (right: number, of: number): number =>
    recallRate(
      schedule,
      Array.from({ length: of }, (_, index) => told({ right: index < right })),
    );
  for (const [right, of] of [
    [10, 10],
    [0, 10],
    [30, 40],
  ])
    expect(share(right, of)).toBeCloseTo((right + 20) / (of * expected + 20), 12);
  expect(share(10, 10)).toBeGreaterThan(1);
  expect(share(0, 10)).toBeLessThan(1);
});
