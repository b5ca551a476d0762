import { numberOrder } from '../deck/order';
import { finish, runJob } from '../job/job';
import { blocksOf } from './blocks';
import { DAY } from './day';
import { FORECAST, ForecastArgs, forecastOf } from './forecast';
import { itemId, itemsOf } from './item';
import { Memory, SCHEDULE, scheduleBy } from './schedule';

const order = numberOrder();
const NOW = Date.UTC(2026, 10, 26, 12);
const schedule = scheduleBy();
const args = (part: Partial<ForecastArgs> = {}): ForecastArgs => ({
  ...{ order, directions: ['number', 'card'], blocks: blocksOf(order, { kind: 'own' }), newCards: 5 },
  ...{ schedule: SCHEDULE, memories: [], now: NOW, offset: 60, minutes: 10, answerTime: 5000 },
  ...{ recallRate: 1, days: 60, runs: 12, seed: 5, ...part },
});
/** Everything held, due so many days from now. */
const held = (inDays: number): ForecastArgs['memories'] =>
  itemsOf(order, ['number', 'card']).map((item): [string, Memory] => [
    itemId(item),
    {
      ...schedule.fresh(NOW),
      ...{ state: 2, stability: 20, difficulty: 5, reps: 4, scheduled: 20 },
      ...{ last: NOW - (20 - inDays) * DAY, due: NOW + inDays * DAY },
    },
  ]);

test('a new order is known after some weeks, no earlier than its cards are begun, and a day never asks for more than its minutes', () => {
  const { due, answers, known } = forecastOf(runJob(FORECAST, args()), 60);
  expect(due).toHaveLength(60);
  expect(due[0].high).toBe(0);
  const most = (10 * 60_000) / 5000;
  for (const { low, middle, high } of answers) {
    expect(low).toBeLessThanOrEqual(middle);
    expect(middle).toBeLessThanOrEqual(high);
    expect(high).toBeLessThanOrEqual(most);
  }
  // 52 cards at five a day.
  expect(known?.low).toBeGreaterThanOrEqual(10);
  expect(known?.high).toBeLessThan(60);
});

test('what is due in so many days is due on that day, and not before', () => {
  const { due } = forecastOf(runJob(FORECAST, args({ memories: held(7), minutes: 60 })), 60);
  for (let day = 0; day < 7; day++) expect(due[day].high).toBe(0);
  expect(due[7].low).toBe(104);
});

test('a moment that was rounded down is no earlier than the last answer', () => {
  const now = Math.floor(NOW / 3_600_000) * 3_600_000;
  const memories = held(0).map(([id, memory]): [string, Memory] => [
    id,
    { ...memory, last: now + 1_800_000 },
  ]);
  expect(runJob(FORECAST, args({ now, memories, runs: 2, days: 5 }))).toEqual(
    runJob(FORECAST, args({ now: now + 1_800_000, memories, runs: 2, days: 5 })),
  );
});

test('who is right less often than the schedule expects is done later and has more to do', () => {
  const sum = (recallRate: number): number =>
    forecastOf(
      runJob(FORECAST, args({ memories: held(0), minutes: 60, recallRate, runs: 3 })),
      60,
    ).answers.reduce((all, { middle }) => all + middle, 0);
  expect(sum(0.7)).toBeGreaterThan(sum(1));
});

test('too few minutes for all: it is not known in time, and nobody claims it', () => {
  expect(forecastOf(runJob(FORECAST, args({ minutes: 1, days: 30 })), 30).known).toBeUndefined();
  expect(forecastOf(runJob(FORECAST, args({ newCards: 0 })), 60).known).toBeUndefined();
  expect(forecastOf({ runs: [] }, 3)).toMatchObject({ due: [{}, {}, {}], known: undefined });
});

test('the same seed gives the same, in one piece or in parts', () => {
  expect(runJob(FORECAST, args({ runs: 3 }))).toEqual(runJob(FORECAST, args({ runs: 3 })));
  expect(runJob(FORECAST, args({ runs: 3 })).runs).toHaveLength(3);
  const job = FORECAST.start(args({ runs: 3 }));
  expect(job.next()).toMatchObject({ done: false, value: { runs: [{}] } });
  expect(finish(job).runs).toHaveLength(3);
});
