import { Step } from '../procedure/procedure';
import { insideOf } from '../procedure/walk';

/** Where a step stands: its number from 1; inside a step that holds others the branch and the number there follow. */
export type Path = readonly number[];

/** `3.1.2` as numbers. */
export const pathOf = (text: string): Path => (text === '' ? [] : text.split('.').map(Number));
export const sayPath = (path: Path): string => path.join('.');

/** A value without one of its fields. */
export const without = <Value extends object>(value: Value, field: string): Value =>
  Object.fromEntries(Object.entries(value).filter(([name]) => name !== field)) as Value;

/** A step with other steps in one of its branches, which is counted from 1. */
export const withBranch = (step: Step, branch: number, steps: readonly Step[]): Step => {
  switch (step.do) {
    case 'if': {
      if (branch === 1) return { ...step, then: steps };
      return steps.length > 0 ? { ...step, otherwise: steps } : without(step, 'otherwise');
    }
    case 'choose one':
      return {
        ...step,
        of: step.of.map((option, index) => (index === branch - 1 ? { ...option, steps } : option)),
      };
    case 'repeat':
    case 'out':
      return { ...step, steps };
    default:
      return step;
  }
};

/** The list of steps in which a path stands: of the whole, or of a branch. Empty where there is none. */
export const listAt = (steps: readonly Step[], path: Path): readonly Step[] => {
  if (path.length < 2) return steps;
  const [number, branch, ...rest] = path;
  const inside = steps.length < number ? undefined : insideOf(steps[number - 1])[branch - 1];
  return inside ? listAt(inside, rest) : [];
};

export const pathsFrom = (path: Path, count: number): readonly string[] =>
  Array.from({ length: count }, (_, index) => sayPath([...path.slice(0, -1), path[path.length - 1] + index]));

/** The step at a path, or undefined. */
export const stepAt = (steps: readonly Step[], path: Path): Step | undefined =>
  path.length === 0
    ? undefined
    : listAt(steps, path)
        .slice(path[path.length - 1] - 1)
        .at(0);

/** The steps with another list where a path stands. */
const withList = (
  steps: readonly Step[],
  path: Path,
  change: (list: readonly Step[]) => readonly Step[],
): readonly Step[] => {
  if (path.length < 2) return change(steps);
  const [number, branch, ...rest] = path;
  return steps.map((step, index) =>
    index === number - 1
      ? withBranch(step, branch, withList(insideOf(step).at(branch - 1) ?? [], rest, change))
      : step,
  );
};

/** Puts a step in the place of the one at a path. */
export const replaceStep = (steps: readonly Step[], path: Path, step: Step): readonly Step[] =>
  withList(steps, path, (list) =>
    list.map((each, index) => (index === (path.at(-1) ?? 0) - 1 ? step : each)),
  );

/** Puts steps in so that the first of them stands at a path. */
export const insertSteps = (steps: readonly Step[], path: Path, added: readonly Step[]): readonly Step[] => {
  const at = (path.at(-1) ?? 1) - 1;
  return withList(steps, path, (list) => [...list.slice(0, at), ...added, ...list.slice(at)]);
};

/** Takes steps out: so many in a row, from the one at a path on. */
export const removeSteps = (steps: readonly Step[], path: Path, count = 1): readonly Step[] => {
  const at = (path.at(-1) ?? 1) - 1;
  return withList(steps, path, (list) => [...list.slice(0, at), ...list.slice(at + count)]);
};

/** Where a path leads when so many steps at another have been taken out before it. */
const behindRemoved = (path: Path, removed: Path, count: number): Path => {
  const last = removed.length - 1;
  const beside = path.length > last && removed.slice(0, -1).every((part, index) => path[index] === part);
  if (!beside || path[last] <= removed[last]) return path;
  return path.map((part, index) => (index === last ? Math.max(removed[last], part - count) : part));
};

const isInside = (path: Path, from: Path, count: number): boolean => {
  const last = from.length - 1;
  return (
    path.length > from.length &&
    from.slice(0, -1).every((part, index) => path[index] === part) &&
    path[last] >= from[last] &&
    path[last] < from[last] + count
  );
};

/**
 * Moves so many steps in a row.
 *
 * @param from the path of the first. @param to the path before which they go, as paths were before; it may be behind
 *   the last step of a list.
 * @returns the steps and the path at which the first then stands; undefined where they would go into themselves.
 */
export const moveSteps = (
  steps: readonly Step[],
  from: Path,
  count: number,
  to: Path,
): { readonly steps: readonly Step[]; readonly at: Path } | undefined => {
  if (isInside(to, from, count)) return undefined;
  const first = (from.at(-1) ?? 1) - 1;
  const moved = listAt(steps, from).slice(first, first + count);
  const at = behindRemoved(to, from, count);
  return { steps: insertSteps(removeSteps(steps, from, count), at, moved), at };
};

/** Where steps go when they are moved one place up or down: past a neighbour, or out of and into its branches. */
export const pathBeside = (
  steps: readonly Step[],
  from: Path,
  count: number,
  down: boolean,
): Path | undefined => {
  const [list, number] = [listAt(steps, from), from.at(-1) ?? 1];
  const above = from.slice(0, -1);
  const neighbour = list.at(down ? number - 1 + count : number - 2);
  if (down ? neighbour : number > 1 && neighbour) {
    const at = down ? number + count : number - 1;
    const branches = neighbour ? insideOf(neighbour) : [];
    if (branches.length === 0) return [...above, down ? at + 1 : at];
    const branch = down ? 1 : branches.length;
    return [...above, at, branch, down ? 1 : branches[branch - 1].length + 1];
  }
  if (above.length === 0) return undefined;
  // At the end of a branch the next one follows, or the list about the step that holds it.
  const [branch, holder] = [above[above.length - 1], above.slice(0, -1)];
  const step = stepAt(steps, holder);
  const branches = step ? insideOf(step) : [];
  const other = branch + (down ? 1 : -1);
  if (other >= 1 && other <= branches.length)
    return [...holder, other, down ? 1 : branches[other - 1].length + 1];
  const number2 = holder.at(-1) ?? 1;
  return [...holder.slice(0, -1), down ? number2 + 1 : number2];
};

/** A line of a procedure as it is written: a step, the words of a branch, or the place in a branch that has no step. */
export type Line =
  | { readonly kind: 'step'; readonly path: string; readonly depth: number; readonly step: Step }
  | {
      readonly kind: 'branch';
      readonly path: string;
      readonly depth: number;
      readonly words: string;
      /** Whether the words can be written. */
      readonly option: boolean;
      readonly isEmpty: boolean;
    };

const wordsOfBranch = (step: Step, branch: number): string => {
  if (step.do === 'choose one') return step.of[branch].words;
  if (step.do === 'out') return 'clear up';
  return step.do === 'if' && branch === 1 ? 'otherwise' : '';
};

/** Every line, in the order in which they stand. */
export const linesOf = (steps: readonly Step[], above: Path = []): readonly Line[] => {
  const depth = above.length / 2;
  return steps.flatMap((step, index): readonly Line[] => {
    const path = [...above, index + 1];
    return [
      { kind: 'step', path: sayPath(path), depth, step },
      ...insideOf(step).flatMap((inside, branch): readonly Line[] => {
        const words = wordsOfBranch(step, branch);
        const here = [...path, branch + 1];
        // Who does nothing otherwise need not say so.
        if (words === 'otherwise' && inside.length === 0) return [];
        return [
          ...(words !== '' || step.do === 'choose one' || inside.length === 0
            ? [
                {
                  ...{ kind: 'branch' as const, path: sayPath(here), depth: depth + 1, words },
                  ...{ option: step.do === 'choose one', isEmpty: inside.length === 0 },
                },
              ]
            : []),
          ...linesOf(inside, here),
        ];
      }),
    ];
  });
};

/** Whether one path stands before another. */
const isBefore = (one: Path, other: Path): boolean => {
  for (let index = 0; index < other.length; index++) {
    if (index >= one.length) return true;
    if (one[index] !== other[index]) return one[index] < other[index];
  }
  return false;
};

/** The path of the line below which new steps at a path are written; undefined where that is above all. */
export const lineBefore = (lines: readonly Line[], path: Path): string | undefined =>
  lines.filter((line) => isBefore(pathOf(line.path), path)).at(-1)?.path;

/**
 * The path at which steps go that are added below a line: inside a step that holds others, else behind it, as behind one
 * that ends in an out.
 */
export const pathBelow = (steps: readonly Step[], line: string): Path => {
  const path = pathOf(line);
  if (path.length === 0) return [steps.length + 1];
  if (path.length % 2 === 0) return [...path, listAt(steps, [...path, 1]).length + 1];
  const step = stepAt(steps, path);
  if (!step) return [steps.length + 1];
  const branch = insideOf(step).at(0);
  // Nothing comes behind an out: what holds it goes on.
  if (step.do === 'out' && !branch && path.length > 2)
    return [...path.slice(0, -3), path[path.length - 3] + 1];
  // Nor into a branch that ends in one.
  return branch && branch.at(-1)?.do !== 'out'
    ? [...path, 1, branch.length + 1]
    : [...path.slice(0, -1), path[path.length - 1] + 1];
};

/** The path to which a step goes that is dropped so that it is line number `index` of those without it. */
export const dropPath = (steps: readonly Step[], from: string, index: number): Path => {
  const rest = linesOf(steps).filter((line) => line.path !== from || line.kind === 'branch');
  const [above, below] = [rest.at(index - 1), rest.at(index)];
  if (index > 0 && above?.kind === 'branch') return [...pathOf(above.path), 1];
  if (below?.kind === 'step') return pathOf(below.path);
  if (below) {
    const holder = pathOf(below.path).slice(0, -1);
    const branch = (pathOf(below.path).at(-1) ?? 1) - 1;
    if (branch >= 1) return [...holder, branch, listAt(steps, [...holder, branch, 1]).length + 1];
  }
  return [steps.length + 1];
};
