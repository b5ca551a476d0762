import { Likely, Procedure, Step } from '../procedure/procedure';
import { Fit } from './fitChoice';

/** The chances of a fit as a procedure takes them: by value. */
export const tableOf = ({
  from,
  chances,
}: Pick<Fit, 'from' | 'chances'>): Extract<Likely, { table: unknown }> => ({
  table: Object.fromEntries(chances.map((chance, index) => [(from + index).toString(), chance])),
});

/**
 * A procedure with other likelihoods for choices of helpers. All else is as it is written.
 *
 * @param likely by the name of what is chosen; names that it has not change nothing.
 */
export const weighed = (procedure: Procedure, likely: ReadonlyMap<string, Likely>): Procedure => {
  const walk = (steps: readonly Step[]): readonly Step[] => steps.map(within);
  const within = (step: Step): Step => {
    switch (step.do) {
      case 'choose':
        return withLikely(step);
      case 'choose one':
        return withLikely({ ...step, of: step.of.map((way) => ({ ...way, steps: walk(way.steps) })) });
      case 'if':
        return {
          ...{ ...step, then: walk(step.then) },
          ...(step.otherwise && { otherwise: walk(step.otherwise) }),
        };
      case 'repeat':
        return { ...step, steps: walk(step.steps) };
      case 'out':
        return step.steps ? { ...step, steps: walk(step.steps) } : step;
      default:
        return step;
    }
  };
  const withLikely = (step: Extract<Step, { do: 'choose' | 'choose one' }>): Step => {
    const own = step.by === 'performer' ? undefined : likely.get(step.name);
    return own ? { ...step, likely: own } : step;
  };
  return likely.size === 0 ? procedure : { ...procedure, steps: walk(procedure.steps) };
};
