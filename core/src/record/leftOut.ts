import { Plan } from '../perform/cue/plan';
import { RoutineDone } from '../perform/cue/done';

/** The routines of a plan that were not begun, as they are kept. */
export const leftOut = ({ order, routines }: Plan, done: readonly RoutineDone[]): readonly RoutineDone[] =>
  order
    .filter((id) => !done.some((each) => each.id === id))
    .flatMap((id) => routines.find((each) => each.id === id) ?? [])
    .map(({ id, name }) => ({ id, name, how: 'left out', choices: [], steps: [], mends: [] }));
