import { seededRng } from '../../deck/rng';
import { fluencyOf, needOf, nextLevel, SumAnswer, TARGET } from './fluency';
import { Level, LEVELS } from './sum';

/** Someone who is so likely to be right in time at each level, at so many sums: the share that came right. */
const practise = (
  chances: readonly number[],
  sums: number,
  seed: number,
): { share: number; levels: number[] } => {
  const rng = seededRng(seed);
  const answers: SumAnswer[] = [];
  const levels = LEVELS.map(() => 0);
  for (let count = 0; count < sums; count++) {
    const level: Level = nextLevel(fluencyOf(answers), rng);
    levels[level]++;
    const right = rng() < chances[level];
    answers.push({ level, right, ms: 2000 });
  }
  const late = answers.slice(sums / 2);
  return { share: late.filter(({ right }) => right).length / late.length, levels };
};

test.each([[[0.97, 0.9, 0.7, 0.4]], [[1, 0.95, 0.9, 0.6]], [[0.95, 0.7, 0.3, 0.1]]])(
  'about 85 in 100 sums come right in time, where a mixture of levels can be so: %p',
  (chances) => {
    const shares = [1, 2, 3, 4, 5].map((seed) => practise(chances, 600, seed).share);
    const mean = shares.reduce((sum, share) => sum + share, 0) / shares.length;
    expect(Math.abs(mean - TARGET)).toBeLessThan(0.05);
  },
);

test('who is never in time gets the easiest, who always is the hardest', () => {
  expect(practise([0.3, 0.1, 0, 0], 200, 1).levels[0]).toBeGreaterThan(180);
  expect(practise([1, 1, 1, 1], 200, 1).levels[3]).toBeGreaterThan(120);
});

test('late is as good as wrong, an interruption counts for nothing, the newest answers count most', () => {
  const answer = (right: boolean, ms: number, interrupted = false): SumAnswer => ({
    ...{ level: 1, right, ms },
    ...(interrupted ? { interrupted } : {}),
  });
  const none = fluencyOf([]);
  expect(fluencyOf([answer(true, 9000)])).toEqual(fluencyOf([answer(false, 1000)]));
  expect(fluencyOf([answer(true, 9000)], 10_000)).toEqual(fluencyOf([answer(true, 1000)]));
  expect(fluencyOf([answer(false, 1000, true)])).toEqual(none);
  expect(fluencyOf([answer(false, 1), answer(true, 1)])[1]).toBeGreaterThan(
    fluencyOf([answer(true, 1), answer(false, 1)])[1],
  );
  expect([0, 2, 3].map((level) => fluencyOf([answer(true, 1)])[level])).toEqual(
    [0, 2, 3].map((level) => none[level]),
  );
  expect(needOf([1, 1, 1, 1])).toBeLessThan(needOf(none));
});
