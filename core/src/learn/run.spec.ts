import fc from 'fast-check';
import { bestRuns, RUN_WAYS, runSequence, runTime, slowestSteps } from './run';

test.each(RUN_WAYS)('a run %s says every card once, beginning where it is told', (way) => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 60 }), fc.nat(), (size, some) => {
      const from = (some % size) + 1;
      const run = runSequence(size, way, from);
      expect(run[0]).toBe(from);
      expect([...run].sort((a, b) => a - b)).toEqual(Array.from({ length: size }, (_, index) => index + 1));
      const step = { forwards: 1, backwards: size - 1, 'every second': 2 % size }[way];
      const steps = run.slice(1).map((place, index) => (place - run[index] + size) % size);
      // The second round of an even order begins one further on.
      const others = steps.filter((each) => each !== step % size);
      expect(others.length).toBeLessThanOrEqual(way === 'every second' && size % 2 === 0 ? 1 : 0);
    }),
  );
});

test('the slowest steps, the time, and the best runs: fewest wrong first, then the fastest, whole ones only', () => {
  const run = { splits: [1000, 1500, 4500, 5000], wrong: [2] };
  expect(runTime(run)).toBe(5000);
  expect(runTime({ splits: [], wrong: [] })).toBe(0);
  expect(slowestSteps(run, 2)).toEqual([
    { index: 2, ms: 3000 },
    { index: 0, ms: 1000 },
  ]);
  const clean = { splits: [1, 2, 3, 9000], wrong: [] };
  const faster = { splits: [1, 2, 3, 4000], wrong: [2] };
  const half = { splits: [1, 2], wrong: [] };
  expect(bestRuns([run, faster, half, clean], 4)).toEqual([clean, faster, run]);
});
