import fc from 'fast-check';
import { Step } from '../procedure/procedure';
import { insertSteps, linesOf, moveSteps, pathOf, removeSteps, stepAt } from './editSteps';
import { numberAt, numbered, numbersOf, pathOfNumber, placeIn, unnumbered } from './identity';
import { WORKED } from './worked/worked';

const cut = (count: number): Step => ({ do: 'cut', packet: 'pack', count });
const STEPS: readonly Step[] = [
  cut(1),
  {
    do: 'choose one',
    name: 'way',
    of: [
      { words: 'A', steps: [cut(2), cut(3)] },
      { words: 'B', steps: [] },
    ],
  },
  { do: 'if', that: { equal: [1, 1] }, then: [cut(4)], otherwise: [cut(5)] },
  { do: 'repeat', times: 2, steps: [cut(6)] },
];

test('steps are numbered in the order in which they stand, and no number is in a file', () => {
  expect(numbersOf(numbered(STEPS))).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9]);
  expect(numbersOf(numbered(STEPS, [5, 3, 3]))).toEqual([5, 3, 6, 7, 8, 9, 10, 11, 12]);
  expect(unnumbered(numbered(STEPS))).toEqual(STEPS);
  expect(JSON.stringify(unnumbered(numbered(STEPS)))).not.toContain('#');
  for (const { procedure } of WORKED) expect(unnumbered(numbered(procedure.steps))).toEqual(procedure.steps);
});

test('a step keeps its number wherever it is moved, and what is put in gets a new one', () => {
  const steps = numbered(STEPS);
  const moved = moveSteps(steps, [3], 1, [2, 1, 2])?.steps ?? [];
  expect(pathOfNumber(moved, 5)).toEqual([2, 1, 2]);
  expect(pathOfNumber(moved, 6)).toEqual([2, 1, 2, 1, 1]);
  const added = numbered(insertSteps(steps, [1], [cut(9)]));
  expect(numberAt(added, [1])).toBe(10);
  // A copy of a step is another one.
  expect(numberAt(numbered(insertSteps(steps, [1], steps.slice(0, 1))), [2])).toBe(10);
});

test('the path of a step is found again after others were taken out above it', () => {
  const steps = numbered(STEPS);
  const now = removeSteps(steps, [1]);
  expect(placeIn(steps, [2, 1, 2], now)).toEqual([1, 1, 2]);
  expect(placeIn(steps, [2, 2], now)).toEqual([1, 2]);
  expect(placeIn(steps, [2, 2, 1], now)).toEqual([1, 2, 1]);
  expect(placeIn(steps, [5], now)).toEqual([4]);
  expect(placeIn(steps, [1], now)).toBeUndefined();
  expect(placeIn(steps, [3, 1, 1], removeSteps(steps, [3]))).toBeUndefined();
  expect(placeIn(steps, [], now)).toEqual([]);
});

test('whatever is taken out elsewhere, each other step is the one that it was', () => {
  const procedures = WORKED.map(({ procedure }) => numbered(procedure.steps));
  fc.assert(
    fc.property(fc.nat(procedures.length - 1), fc.nat(), fc.nat(), (index, one, other) => {
      const steps = procedures[index];
      const paths = linesOf(steps)
        .filter(({ kind }) => kind === 'step')
        .map(({ path }) => pathOf(path));
      const [removed, path] = [paths[one % paths.length], paths[other % paths.length]];
      const now = removeSteps(steps, removed);
      const found = placeIn(steps, path, now);
      const gone = removed.every((part, at) => path[at] === part);
      expect(found === undefined).toBe(gone);
      if (found) expect(numberAt(now, found)).toBe(numberAt(steps, path));
      if (found) expect(stepAt(now, found)?.do).toBe(stepAt(steps, path)?.do);
    }),
  );
});
