import { Step } from '../procedure/procedure';
import { insideOf } from '../procedure/walk';
import { listAt, Path, stepAt, withBranch, without } from './editSteps';

/** Under this name a step that is being written carries its number; it stands in no file. */
const NUMBER = '#';

const numberOf = (step: Step): number | undefined =>
  (step as unknown as Readonly<Record<typeof NUMBER, number | undefined>>)[NUMBER];

/** Steps with each changed, those inside others too: a step before what is inside it. */
const eachStep = (steps: readonly Step[], change: (step: Step) => Step): readonly Step[] =>
  steps.map((step) => {
    const changed = change(step);
    return insideOf(step).reduce<Step>(
      (held, inside, index) =>
        inside.length === 0 ? held : withBranch(held, index + 1, eachStep(inside, change)),
      changed,
    );
  });

/**
 * Steps with a number each, which stays with the step wherever it goes.
 *
 * @param numbers those of a draft, in the order in which the steps stand; a step that lacks one, or has the number of a
 *   step before it, gets the next that is free, so that two who number the same steps give the same numbers.
 */
export const numbered = (steps: readonly Step[], numbers: readonly number[] = []): readonly Step[] => {
  const given = numbersOf(steps).map((number, index) => number ?? numbers.at(index));
  let next = Math.max(0, ...given.map((number) => number ?? 0)) + 1;
  const taken = new Set<number>();
  let index = 0;
  return eachStep(steps, (step) => {
    const number = given[index++];
    const own = number === undefined || taken.has(number) ? next++ : number;
    taken.add(own);
    return withNumber(step, own);
  });
};

/**
 * What a step was made into, and of what it was made: what has not changed is the same thing again, so that whoever shows
 * a thousand steps need not look at them anew at each key.
 */
const [NUMBERED, PLAIN] = [new WeakMap<Step, Step>(), new WeakMap<Step, Step>()];

const withNumber = (step: Step, number: number): Step => {
  if (numberOf(step) === number) return step;
  const before = NUMBERED.get(step);
  if (before && numberOf(before) === number) return before;
  const made = { ...step, [NUMBER]: number };
  NUMBERED.set(step, made);
  PLAIN.set(made, step);
  return made;
};

/** The numbers of steps in the order in which they stand; undefined for one that has none. */
export const numbersOf = (steps: readonly Step[]): readonly (number | undefined)[] =>
  steps.flatMap((step) => [numberOf(step), ...insideOf(step).flatMap(numbersOf)]);

/** Steps as they stand in a file. */
export const unnumbered = (steps: readonly Step[]): readonly Step[] =>
  eachStep(steps, (step) => PLAIN.get(step) ?? without(step, NUMBER));

export const numberAt = (steps: readonly Step[], path: Path): number | undefined => {
  const step = stepAt(steps, path);
  return step && numberOf(step);
};

/** Where the step with a number stands, or undefined. */
export const pathOfNumber = (steps: readonly Step[], number: number): Path | undefined => {
  for (const [index, step] of steps.entries()) {
    if (numberOf(step) === number) return [index + 1];
    for (const [branch, inside] of insideOf(step).entries()) {
      const found = pathOfNumber(inside, number);
      if (found) return [index + 1, branch + 1, ...found];
    }
  }
  return undefined;
};

/**
 * Where a place of numbered steps is in others, which somebody else may have changed meanwhile.
 *
 * @param path of a step, of a branch, or the one at which a step would come behind all others of its list.
 * @returns undefined where the step, or the one that holds the place, is not there any more.
 */
export const placeIn = (steps: readonly Step[], path: Path, now: readonly Step[]): Path | undefined => {
  if (path.length === 0) return [];
  if (path.length % 2 === 0) {
    const holder = placeIn(steps, path.slice(0, -1), now);
    return holder && [...holder, path[path.length - 1]];
  }
  const number = numberAt(steps, path);
  if (number !== undefined) return pathOfNumber(now, number);
  const list = placeIn(steps, path.slice(0, -1), now);
  return list && [...list, listAt(now, [...list, 1]).length + 1];
};
