import { finish, Job } from '../job/job';
import { Machine } from '../procedure/machine';
import type { Counts, FirstValues } from '../procedure/way';
import { Procedure } from '../procedure/procedure';
import { compile } from '../procedure/compile';
import { Open, openIn } from './told';

export type End = 'held' | 'outs' | 'failed';

/** One combination of choices and how it ended. */
export interface Case {
  readonly values: readonly number[];
  readonly end: End;
}

/** Every case of a procedure in which the same things are chosen in every world. */
export interface Cases {
  /** What is chosen, in the order in which it is. */
  readonly names: readonly string[];
  readonly cases: readonly Case[];
}

/** More cases than this are not listed. */
export const MOST_CASES = 200_000;

/** How many steps are done to list cases. */
const BUDGET = 20_000_000;

/**
 * All cases one by one, to be drawn and described.
 *
 * @param procedure one that `readProcedure` found right, without chance.
 * @param budget how many steps may be done.
 * @returns undefined where there are too many, or where not the same things are chosen in all of them.
 */
export const casesOf = (procedure: Procedure, budget = BUDGET): Cases | undefined => {
  const judge = new Machine(compile(procedure));
  if (judge.program.claims.length > 0 && !judge.run(budget)) return undefined;
  return finish(listing(procedure, openIn(judge.known), { budget })).cases;
};

/** The cases, and what all of them weigh where each was run and weighed. */
interface Listing {
  readonly cases: Cases | undefined;
  readonly weights: Counts | undefined;
}

/**
 * The same as a job, which yields how far it is, and what the cases weigh.
 *
 * @param open what sights leave open, over all values of the first choice.
 * @param weigh where no likelihood is stated, so that nothing weighs nothing and every case is listed.
 */
export function* listing(
  procedure: Procedure,
  open: Open,
  {
    budget = BUDGET,
    first,
    weigh = false,
  }: { readonly budget?: number; readonly first?: FirstValues; readonly weigh?: boolean } = {},
): Job<number, Listing> {
  const cases: Case[] = [];
  const names: string[] = [];
  const seen = { alike: true };
  const machine = new Machine(compile(procedure), {
    ...{ first, open, weigh },
    ended: ({ made }, end) => {
      // A world that failed before all was chosen lacks the rest.
      for (let index = 0; index < made.length && seen.alike; index++) {
        names[index] ??= made[index].choice.name;
        seen.alike = names[index] === made[index].choice.name;
      }
      seen.alike &&= cases.length < MOST_CASES;
      if (seen.alike) cases.push({ values: made.map(({ value }) => value), end });
    },
  });
  // Stopped now and then, so that what cannot be listed is not run to its end.
  while (seen.alike && !machine.run(machine.steps + 100_000)) {
    if (machine.full || machine.steps >= budget) return { cases: undefined, weights: undefined };
    yield machine.progress;
  }
  if (!seen.alike) return { cases: undefined, weights: undefined };
  return {
    cases: new Set(names).size === names.length ? { names, cases } : undefined,
    weights: weigh ? machine.counts : undefined,
  };
}
