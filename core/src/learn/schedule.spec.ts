import fc from 'fast-check';
import { createEmptyCard, fsrs, Rating } from 'ts-fsrs';
import { DAY, dayOf, dayStart } from './day';
import { Grade, gradeOf, INTERRUPTED, isFluent, PACE } from './grade';
import { checkWeights, Memory, replay, SCHEDULE, scheduleBy } from './schedule';

const START = Date.UTC(2026, 0, 5, 9);
const RATINGS = [Rating.Again, Rating.Hard, Rating.Good, Rating.Easy] as const;
const grades = fc.constantFrom<Grade>(1, 2, 3, 4);
/** Answers with minutes, days or months between. */
const histories = fc
  .array(fc.record({ grade: grades, wait: fc.integer({ min: 20_000, max: 90 * DAY }) }), {
    minLength: 1,
    maxLength: 12,
  })
  .map((answers) => {
    let at = START;
    return answers.map(({ grade, wait }) => ({ grade, at: (at += wait) }));
  });

test('the schedule says what ts-fsrs says, called directly over the same answers', () => {
  fc.assert(
    fc.property(histories, fc.constantFrom(0.8, 0.9, 0.95), (answers, retention) => {
      const direct = fsrs({ request_retention: retention, w: [...SCHEDULE.weights], enable_fuzz: false });
      let card = createEmptyCard(new Date(answers[0].at));
      for (const { at, grade } of answers) card = direct.next(card, new Date(at), RATINGS[grade - 1]).card;
      const schedule = scheduleBy({ ...SCHEDULE, retention });
      const memory = replay(schedule, answers) as Memory;
      expect(memory).toMatchObject({
        due: card.due.getTime(),
        stability: card.stability,
        difficulty: card.difficulty,
        state: card.state,
        scheduled: card.scheduled_days,
        step: card.learning_steps,
        reps: card.reps,
        lapses: card.lapses,
        last: card.last_review?.getTime(),
      });
      const later = memory.due + 3 * DAY;
      expect(schedule.recall(memory, later)).toBe(direct.get_retrievability(card, new Date(later), false));
    }),
  );
});

test('a memory is a plain value: stored and read back it goes on in the same way', () => {
  const schedule = scheduleBy();
  fc.assert(
    fc.property(histories, grades, (answers, grade) => {
      const memory = replay(schedule, answers) as Memory;
      const stored = JSON.parse(JSON.stringify(memory)) as Memory;
      const at = memory.due + 1000;
      expect(schedule.next(stored, grade, at)).toEqual(schedule.next(memory, grade, at));
      // What is taken back is as if it had never been.
      expect(replay(schedule, [...answers, { grade, at }].slice(0, -1))).toEqual(memory);
    }),
  );
  expect(replay(schedule, [])).toBeUndefined();
  expect(schedule.recall(schedule.fresh(START), START)).toBe(0);
});

test('parameters are checked before they are used', () => {
  expect(checkWeights(SCHEDULE.weights)).toEqual({ ok: true, weights: SCHEDULE.weights });
  for (const wrong of [[], [1, 2], SCHEDULE.weights.map(() => Number.NaN)])
    expect(checkWeights(wrong).ok).toBe(false);
});

test.each<[Partial<Parameters<typeof gradeOf>[0]>, Grade, boolean]>([
  [{ right: false, ms: 300 }, 1, false],
  [{ ms: 700 }, 4, true],
  [{ ms: 750 }, 4, true],
  [{ ms: 751 }, 3, true],
  [{ ms: 1500 }, 3, true],
  [{ ms: 1501 }, 3, false],
  [{ ms: 4000 }, 3, false],
  [{ ms: 4001 }, 2, false],
  [{ ms: INTERRUPTED }, 2, false],
  [{ ms: INTERRUPTED + 1 }, 3, false],
  [{ ms: 9000, interrupted: true }, 3, false],
  [{ ms: 400, interrupted: true }, 3, false],
  [{ ms: 400, hinted: true }, 2, false],
  [{ ms: 400, first: true }, 3, true],
  [{ ms: 5000, first: true }, 2, false],
  [{ right: false, ms: 400, first: true }, 1, false],
])('%j is graded %d', (answered, grade, fluent) => {
  const full = { right: true, ms: 0, ...answered };
  expect(gradeOf(full)).toBe(grade);
  expect(isFluent(full, PACE)).toBe(fluent);
});

test('a day begins at four in the morning, wherever that is', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 4e12 }), fc.integer({ min: -720, max: 840 }), (at, offset) => {
      const start = dayStart(at, offset);
      expect(start).toBeLessThanOrEqual(at);
      expect(at - start).toBeLessThan(DAY);
      const local = new Date(start + offset * 60_000);
      expect([local.getUTCHours(), local.getUTCMinutes(), local.getUTCSeconds()]).toEqual([4, 0, 0]);
      expect(dayOf(start, offset)).toBe(dayOf(at, offset));
      expect(dayOf(start - 1, offset)).toBe(dayOf(at, offset) - 1);
    }),
  );
});
