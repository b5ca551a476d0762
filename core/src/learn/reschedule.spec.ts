import fc from 'fast-check';
import { runJob } from '../job/job';
import { DAY } from './day';
import { Grade } from './grade';
import { History, RESCHEDULE, scheduleChange } from './reschedule';
import { Memory, replay, SCHEDULE, scheduleBy } from './schedule';

const anyHistory: fc.Arbitrary<History> = fc
  .array(
    fc.array(fc.record({ gap: fc.nat(30 * DAY), grade: fc.constantFrom<Grade>(1, 2, 3, 4) }), {
      maxLength: 8,
    }),
    { maxLength: 20 },
  )
  .map((items) =>
    items.map((answers, index) => {
      let at = 1000 * DAY;
      return [`number ${index}`, answers.map(({ gap, grade }) => ({ at: (at += gap), grade }))] as const;
    }),
  );

test('rescheduling is replaying each item’s answers; back again gives what was', () => {
  fc.assert(
    fc.property(anyHistory, fc.double({ min: 0.7, max: 0.97, noNaN: true }), (history, retention) => {
      const other = { ...SCHEDULE, retention };
      const memories = new Map(runJob(RESCHEDULE, { schedule: other, history }).memories);
      const schedule = scheduleBy(other);
      for (const [item, answers] of history)
        expect(memories.get(item)).toEqual(answers.length === 0 ? undefined : replay(schedule, answers));
      const usual = scheduleBy();
      for (const [item, memory] of runJob(RESCHEDULE, { schedule: SCHEDULE, history }).memories)
        expect(memory).toEqual(replay(usual, history.find(([id]) => id === item)?.[1] ?? []));
    }),
    { numRuns: 40 },
  );
});

test('a higher retention asks sooner; what that does is told in numbers', () => {
  const answers = [0, 1, 3, 10].map((days) => ({ at: 1000 * DAY + days * DAY, grade: 3 as const }));
  const history: History = [
    ['a', answers],
    ['b', answers.slice(0, 3)],
  ];
  const under = (retention: number): Map<string, Memory> =>
    new Map(runJob(RESCHEDULE, { schedule: { ...SCHEDULE, retention }, history }).memories);
  const [usual, high] = [under(0.9), under(0.97)];
  const change = scheduleChange(usual, high, 1016 * DAY);
  expect(change.items).toBe(2);
  expect(change.interval[1]).toBeLessThan(change.interval[0]);
  expect(change.due[1]).toBeGreaterThanOrEqual(change.due[0]);
  expect(scheduleChange(new Map(), new Map(), 0)).toEqual({ items: 0, due: [0, 0], interval: [0, 0] });
});
