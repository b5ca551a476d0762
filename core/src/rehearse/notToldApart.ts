import { Job } from '../job/job';
import { NONE } from '../procedure/form';
import { Machine } from '../procedure/machine';
import type { Failure, FirstValues } from '../procedure/way';
import { Procedure } from '../procedure/procedure';
import { compile } from '../procedure/compile';
import { Told } from './told';

/** Two cases that look alike to the performer and in which what must be known is not the same. */
export interface NotToldApart {
  /** The path of the step that claims it. */
  readonly at: string;
  readonly one: Failure['choices'];
  readonly other: Failure['choices'];
  readonly values: readonly [number, number];
}

/** A claim, from 0, and sights that leave it open. */
export interface OpenSight {
  readonly claim: number;
  readonly sights: string;
}

/** A case with open sights, and what would have to be known in it. */
export interface LooksAlike extends OpenSight {
  readonly at: string;
  readonly value: number;
  readonly choices: Failure['choices'];
}

const AT_ONCE = 100_000;

/** The first sights that leave something open. */
export const firstOpen = (told: Told): OpenSight | undefined => {
  for (const [claim, table] of told.entries())
    for (const [sights, value] of table) if (value === NONE) return { claim, sights };
  return undefined;
};

/**
 * The first cases with sights that leave something open in which it is not the same, as a job.
 *
 * @param most how many values are looked for: 2, or 1 where one is all that there is.
 */
export function* looksAlike(
  procedure: Procedure,
  { claim, sights }: OpenSight,
  most: number,
  { budget, first }: { readonly budget: number; readonly first?: FirstValues },
): Job<number, readonly LooksAlike[]> {
  const program = compile(procedure);
  const found: LooksAlike[] = [];
  const machine = new Machine(program, {
    first,
    ended: () => undefined,
    looked: ({ choices }, claimed, seen, value) => {
      if (claimed !== claim || seen !== sights || found.length === most) return;
      if (!found.some((each) => each.value === value))
        found.push({ claim, sights, at: program.claims[claim], value, choices });
    },
  });
  while (found.length < most && !machine.run(machine.steps + AT_ONCE)) {
    if (machine.full || machine.steps >= budget) break;
    yield machine.progress;
  }
  return found;
}

/** The first two of such cases that the performer cannot tell apart; undefined where there are none. */
export const notToldApart = ([one, ...others]: readonly LooksAlike[]): NotToldApart | undefined => {
  const other = others.find(({ value }) => value !== one.value);
  return (
    other && {
      ...{ at: one.at, one: one.choices, other: other.choices },
      values: [one.value, other.value],
    }
  );
};
