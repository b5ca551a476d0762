import { Procedure, Step } from './procedure';
import { LATER } from './steps';

/** The version of the language that a procedure is written in. */
export const versionOf = ({ version }: Procedure): 1 | 2 => (version === 2 ? 2 : 1);

const stepMeant = (step: Step): Step => {
  const later = LATER[step.do] ?? [];
  const kept = later.some((field) => field in step)
    ? (Object.fromEntries(
        Object.entries(step).filter(([field]) => !later.includes(field)),
      ) as unknown as Step)
    : step;
  if (kept.do === 'choose one')
    return { ...kept, of: kept.of.map((option) => ({ ...option, steps: option.steps.map(stepMeant) })) };
  if (kept.do === 'if')
    return {
      ...{ ...kept, then: kept.then.map(stepMeant) },
      ...(kept.otherwise && { otherwise: kept.otherwise.map(stepMeant) }),
    };
  return kept.do === 'repeat' ? { ...kept, steps: kept.steps.map(stepMeant) } : kept;
};

/**
 * The procedure without what its version does not know: a field that came later is kept in a file of version 1, and
 * means nothing there.
 */
export const meant = (procedure: Procedure): Procedure =>
  versionOf(procedure) === 2 ? procedure : { ...procedure, steps: procedure.steps.map(stepMeant) };
