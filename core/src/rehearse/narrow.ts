import { Condition, Procedure, Step } from '../procedure/procedure';
import { insideOf } from '../procedure/walk';
import { insertSteps, Path, replaceStep } from './editSteps';
import { Range } from './widestRange';

/** Where a name is chosen, or undefined. */
const chosenAt = (
  steps: readonly Step[],
  name: string,
  above: Path = [],
): { path: Path; step: Step } | undefined => {
  for (const [index, step] of steps.entries()) {
    const path = [...above, index + 1];
    if ((step.do === 'choose' || step.do === 'choose one') && step.name === name) return { path, step };
    for (const [branch, inside] of insideOf(step).entries()) {
      const found = chosenAt(inside, name, [...path, branch + 1]);
      if (found) return found;
    }
  }
  return undefined;
};

/**
 * A procedure that asks for just these ranges: of a choice between two plain numbers the numbers are narrowed; behind
 * any other they are asked for, so that what lies outside is left out.
 */
export const narrow = (procedure: Procedure, ranges: readonly Range[]): Procedure =>
  ranges.reduce((narrowed, { name, from, to }) => {
    const found = chosenAt(narrowed.steps, name);
    if (!found) return narrowed;
    const { path, step } = found;
    if (step.do === 'choose' && typeof step.from === 'number' && typeof step.to === 'number')
      return { ...narrowed, steps: replaceStep(narrowed.steps, path, { ...step, from, to }) };
    const that: Condition =
      from === to
        ? { equal: [name, from] }
        : { all: [{ 'at most': [from, name] }, { 'at most': [name, to] }] };
    const behind = [...path.slice(0, -1), path[path.length - 1] + 1];
    return { ...narrowed, steps: insertSteps(narrowed.steps, behind, [{ do: 'require', that }]) };
  }, procedure);
