import { Procedure, Step } from './procedure';
import { LATER } from './steps';

/** The version of the language that a procedure is written in. */
export const versionOf = ({ version }: Procedure): 1 | 2 => (version === 2 ? 2 : 1);

/** A list with each changed; the list itself where nothing is. */
const each = <Item>(list: readonly Item[], change: (item: Item) => Item): readonly Item[] => {
  const changed = list.map(change);
  return changed.every((item, index) => item === list[index]) ? list : changed;
};

const stepMeant = (step: Step): Step => {
  const later = LATER[step.do] ?? [];
  const kept = later.some((field) => field in step)
    ? (Object.fromEntries(
        Object.entries(step).filter(([field]) => !later.includes(field)),
      ) as unknown as Step)
    : step;
  switch (kept.do) {
    case 'choose one': {
      const of = each(kept.of, (option) => {
        const steps = each(option.steps, stepMeant);
        return steps === option.steps ? option : { ...option, steps };
      });
      return of === kept.of ? kept : { ...kept, of };
    }
    case 'if': {
      const then = each(kept.then, stepMeant);
      const otherwise = kept.otherwise && each(kept.otherwise, stepMeant);
      if (then === kept.then && otherwise === kept.otherwise) return kept;
      return { ...kept, then, ...(otherwise && { otherwise }) };
    }
    case 'repeat': {
      const steps = each(kept.steps, stepMeant);
      return steps === kept.steps ? kept : { ...kept, steps };
    }
    default:
      return kept;
  }
};

/**
 * The procedure without what its version does not know: a field that came later is kept in a file of version 1, and
 * means nothing there. The same procedure where there is nothing such.
 */
export const meant = (procedure: Procedure): Procedure => {
  if (versionOf(procedure) === 2) return procedure;
  const steps = each(procedure.steps, stepMeant);
  return steps === procedure.steps ? procedure : { ...procedure, steps };
};
