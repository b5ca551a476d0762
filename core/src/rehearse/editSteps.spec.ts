import { Rng, seededRng } from '../deck/rng';
import { Procedure, Step } from '../procedure/procedure';
import { insideOf } from '../procedure/walk';
import { randomProcedure } from '../../test/randomProcedure';
import {
  dropPath,
  insertSteps,
  lineBefore,
  linesOf,
  listAt,
  moveSteps,
  Path,
  pathBelow,
  pathBeside,
  pathOf,
  removeSteps,
  replaceStep,
  sayPath,
  stepAt,
} from './editSteps';

const out = (words: string): Step => ({ do: 'out', words });
const held = (steps: readonly Step[]): number =>
  steps.reduce((sum, step) => sum + 1 + insideOf(step).reduce((inner, each) => inner + held(each), 0), 0);

/** Every path at which a step stands. */
const pathsIn = (steps: readonly Step[]): readonly Path[] =>
  linesOf(steps).flatMap((line) => (line.kind === 'step' ? [pathOf(line.path)] : []));
const pick = <Item>(rng: Rng, items: readonly Item[]): Item => items[Math.floor(rng() * items.length)];

const steps: readonly Step[] = [
  out('a'),
  { do: 'if', that: { less: [1, 2] }, then: [out('b'), out('c')], otherwise: [out('d')] },
  {
    do: 'choose one',
    name: 'way',
    of: [
      { words: 'left', steps: [] },
      { words: 'right', steps: [out('e')] },
    ],
  },
  { do: 'repeat', times: 2, steps: [out('f')] },
];
const words = (all: readonly Step[]): string =>
  all
    .map((step) =>
      step.do === 'out'
        ? step.words
        : `[${insideOf(step)
            .map((each) => words(each))
            .join('|')}]`,
    )
    .join('');

test('lines and what stands at each path', () => {
  expect(
    linesOf(steps).map((line) => [line.path, line.depth, line.kind === 'branch' ? line.words : '']),
  ).toEqual([
    ['1', 0, ''],
    ['2', 0, ''],
    ['2.1.1', 1, ''],
    ['2.1.2', 1, ''],
    ['2.2', 1, 'otherwise'],
    ['2.2.1', 1, ''],
    ['3', 0, ''],
    ['3.1', 1, 'left'],
    ['3.2', 1, 'right'],
    ['3.2.1', 1, ''],
    ['4', 0, ''],
    ['4.1.1', 1, ''],
  ]);
  expect(stepAt(steps, [2, 2, 1])).toEqual(out('d'));
  expect(stepAt(steps, [5])).toBeUndefined();
  expect(stepAt(steps, [])).toBeUndefined();
  expect(listAt(steps, [9, 1, 1])).toEqual([]);
});

test.each<[string, () => readonly Step[] | undefined, string]>([
  [
    'put in at the end of a branch',
    () => insertSteps(steps, [2, 1, 3], [out('x'), out('y')]),
    'a[bcxy|d][|e][f]',
  ],
  ['put into an empty branch', () => insertSteps(steps, [3, 1, 1], [out('x')]), 'a[bc|d][x|e][f]'],
  ['taken out', () => removeSteps(steps, [1], 2), '[|e][f]'],
  ['another in its place', () => replaceStep(steps, [4, 1, 1], out('x')), 'a[bc|d][|e][x]'],
  ['moved down past two', () => moveSteps(steps, [1], 1, [4])?.steps, '[bc|d][|e]a[f]'],
  ['moved into what stands behind it', () => moveSteps(steps, [1], 1, [2, 1, 2])?.steps, '[bac|d][|e][f]'],
  ['moved up and out', () => moveSteps(steps, [2, 1, 1], 2, [1])?.steps, 'bca[|d][|e][f]'],
  ['not into itself', () => moveSteps(steps, [2], 1, [2, 1, 1])?.steps, 'nothing'],
  ['an empty otherwise goes', () => removeSteps(steps, [2, 2, 1]), 'a[bc|][|e][f]'],
])('%s', (_, edit, so) => {
  const edited = edit();
  expect(edited ? words(edited) : 'nothing').toBe(so);
});

test('one place down at a time a step goes through every branch to the end, and up again', () => {
  const way: string[] = [];
  let [all, at]: [readonly Step[], Path] = [steps, [1]];
  for (let to = pathBeside(all, at, 1, true); to; to = pathBeside(all, at, 1, true)) {
    const moved = moveSteps(all, at, 1, to);
    if (!moved) throw new Error('into itself');
    [all, at] = [moved.steps, moved.at];
    way.push(sayPath(at));
  }
  expect(way).toEqual([
    '1.1.1',
    '1.1.2',
    '1.1.3',
    '1.2.1',
    '1.2.2',
    '2',
    '2.1.1',
    '2.2.1',
    '2.2.2',
    '3',
    '3.1.1',
    '3.1.2',
    '4',
  ]);
  for (const before of ['1', ...way.slice(0, -1)].reverse()) {
    const to = pathBeside(all, at, 1, false);
    const moved = to && moveSteps(all, at, 1, to);
    if (!moved) throw new Error('stuck');
    [all, at] = [moved.steps, moved.at];
    expect(sayPath(at)).toBe(before);
  }
  expect(all).toEqual(steps);
  expect(pathBeside(all, at, 1, false)).toBeUndefined();
});

test('moved at random, no step is lost, and it stands where it is said to stand', () => {
  const rng = seededRng(13);
  for (let round = 0; round < 300; round++) {
    const { steps: all } = randomProcedure(rng) as unknown as Procedure;
    const [from, to] = [pick(rng, pathsIn(all)), pick(rng, pathsIn(all))];
    const moved = moveSteps(all, from, 1, to);
    if (!moved) {
      expect(sayPath(to).startsWith(`${sayPath(from)}.`)).toBe(true);
      continue;
    }
    expect(held(moved.steps)).toBe(held(all));
    expect(stepAt(moved.steps, moved.at)).toEqual(stepAt(all, from));
    expect(held(removeSteps(moved.steps, moved.at))).toBe(held(removeSteps(all, from)));
  }
});

test.each([
  ['', [5], '4.1.1'],
  ['1', [2], '1'],
  ['2', [3], '2.2.1'],
  ['2.1.2', [3], '2.2.1'],
  ['2.2', [2, 2, 2], '2.2.1'],
  ['3.1', [3, 1, 1], '3.1'],
  ['3', [3, 1, 1], '3.1'],
  ['3.2', [3, 2, 2], '3.2.1'],
] as const)('what is added below line “%s”', (line, path, above) => {
  expect(pathBelow(steps, line)).toEqual(path);
  expect(lineBefore(linesOf(steps), path)).toBe(above);
});

test('the first line has none above it', () => {
  expect(lineBefore(linesOf(steps), [1])).toBeUndefined();
});

test.each([
  ['1', 0, 'a[bc|d][|e][f]'],
  ['1', 1, '[abc|d][|e][f]'],
  ['1', 3, '[bca|d][|e][f]'],
  ['1', 4, '[bc|ad][|e][f]'],
  ['1', 7, '[bc|d][a|e][f]'],
  ['1', 11, '[bc|d][|e][f]a'],
  ['4', 0, '[f]a[bc|d][|e]'],
  ['2.1.1', 1, 'ab[c|d][|e][f]'],
])('step %s dropped at line %i', (from, index, so) => {
  const moved = moveSteps(steps, pathOf(from), 1, dropPath(steps, from, index));
  expect(moved && words(moved.steps)).toBe(so);
});
