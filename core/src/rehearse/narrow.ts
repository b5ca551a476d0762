import { Condition, Procedure, Step } from '../procedure/procedure';
import { insideOf } from '../procedure/walk';
import { insertSteps, Path, replaceStep, stepAt, withBranch } from './editSteps';
import { Range } from './widestRange';

/** Every place where a name is chosen, the last first, so that what is put in behind one moves no other. */
const placesOf = (steps: readonly Step[], name: string, above: Path = []): readonly Path[] =>
  steps
    .flatMap((step, index): readonly Path[] => {
      const path = [...above, index + 1];
      const inside = insideOf(step).flatMap((each, branch) => placesOf(each, name, [...path, branch + 1]));
      return (step.do === 'choose' || step.do === 'choose one') && step.name === name
        ? [path, ...inside]
        : inside;
    })
    .sort(backwards);

const backwards = (one: Path, other: Path): number => {
  const at = one.findIndex((part, index) => part !== other[index]);
  return at < 0 ? other.length - one.length : (other.at(at) ?? 0) - one[at];
};

const within = ({ name, from, to }: Range): Condition =>
  from === to ? { equal: [name, from] } : { all: [{ 'at most': [from, name] }, { 'at most': [name, to] }] };

/** The steps with a range asked for at one place. */
const narrowAt = (steps: readonly Step[], path: Path, range: Range): readonly Step[] => {
  const step = stepAt(steps, path);
  const required: Step = { do: 'require', that: within(range) };
  // What is done in a way that lies outside is left out before it is done.
  if (step?.do === 'choose one')
    return replaceStep(
      steps,
      path,
      step.of.reduce<Step>(
        (held, option, index) =>
          index + 1 < range.from || index + 1 > range.to
            ? withBranch(held, index + 1, [required, ...option.steps])
            : held,
        step,
      ),
    );
  if (step?.do === 'choose' && typeof step.from === 'number' && typeof step.to === 'number') {
    const [from, to] = [Math.max(step.from, range.from), Math.min(step.to, range.to)];
    if (from <= to) return replaceStep(steps, path, { ...step, from, to });
  }
  return insertSteps(steps, [...path.slice(0, -1), path[path.length - 1] + 1], [required]);
};

/**
 * A procedure that asks for just these ranges, wherever they are chosen: of a choice between two plain numbers the
 * numbers are narrowed; elsewhere they are asked for, so that what lies outside is left out.
 */
export const narrow = (procedure: Procedure, ranges: readonly Range[]): Procedure =>
  ranges.reduce<Procedure>(
    (narrowed, range) => ({
      ...narrowed,
      steps: placesOf(narrowed.steps, range.name).reduce(
        (steps, path) => narrowAt(steps, path, range),
        narrowed.steps,
      ),
    }),
    procedure,
  );
