import { Problem } from '../../deck/problem';
import { wrong } from '../kind';
import { FLAG_SLOT, maybe, PLACE, spanProblem } from '../slots';
import { Span } from '../wish';

/** The fields of a wish that holds inside some places only. */
export const spanFields = { from: maybe(PLACE), to: maybe(PLACE) };

/** The same for one that may go on from the face to the top instead. */
export const roundFields = { ...spanFields, round: maybe(FLAG_SLOT) };

export const spanWrong = ({ from, to, round }: Span & { readonly round?: boolean }): Problem | undefined => {
  if (round === true && (from !== undefined || to !== undefined))
    return wrong('Going round it has no first and no last place.', 'Leave out the places, or going round.');
  const problem = spanProblem({ from, to });
  return problem === undefined ? undefined : wrong(problem, 'Begin at the smaller place.');
};

/** Where it holds, at the end of a sentence. */
export const inSpan = ({ from, to, round }: Span & { readonly round?: boolean }): string => {
  if (round === true) return '[{round}, going round]';
  if (from !== undefined && to !== undefined) return ', from {from} to {to}';
  if (from !== undefined) return ', from {from} on';
  return to === undefined ? '' : ' in the first {to}';
};
