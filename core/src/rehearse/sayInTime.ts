import { countOf } from '../deck/countOf';
import { sayShare } from '../odds/sayShare';
import { Procedure } from '../procedure/procedure';
import { pathOf, stepAt } from './editSteps';
import { Shows } from './outsInTime';
import type { Proof } from './prove';
import { sayStep } from './sentence';

/** Where a miss shows, in words. */
export interface SaidShows {
  readonly at: string;
  /** `By step 8 you can know it, before they look` */
  readonly when: string;
  /** The step in words. */
  readonly step: string;
  /** How many cases these are, and how likely. */
  readonly how: string;
  /** What is open there. */
  readonly outs: string;
}

/** Worlds are cases where nothing is mixed: else only their chance is told. */
const areCases = (shows: readonly Shows[], { outs, failed }: Proof): boolean =>
  shows.reduce((sum, { worlds }) => sum + worlds, 0) === outs + failed;

const quoted = (outs: readonly string[]): string => outs.map((words) => `“${words}”`).join(' ');

/** Says where the cases that do not hold show it first, and what is open there. */
export const sayInTime = (
  shows: readonly Shows[],
  { steps }: Procedure,
  proof: Proof,
): readonly SaidShows[] =>
  shows.map(({ at, moment, end, worlds, chance, outs }) => {
    const step = stepAt(steps, pathOf(at));
    const ends = end === 'outs' ? 'ends in the out' : 'fails';
    const share = sayShare(chance);
    return {
      at,
      step: step ? sayStep(step) : '',
      when:
        moment === 'at the end'
          ? `At step ${at} it ${ends}: nothing shows before`
          : `By step ${at} you can know it, ${moment}`,
      how: areCases(shows, proof) ? `${countOf(worlds, 'case')}, ${share}` : share,
      outs: outs.length > 0 ? `Open there: ${quoted(outs)}` : 'No out is open there',
    };
  });
