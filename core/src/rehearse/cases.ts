import { finish, Job } from '../job/job';
import { Machine } from '../procedure/machine';
import type { FirstValues } from '../procedure/way';
import { Procedure } from '../procedure/procedure';
import { compile } from '../procedure/compile';
import { openSights } from './prove';

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
export const casesOf = (procedure: Procedure, budget = BUDGET): Cases | undefined =>
  finish(listCases(procedure, { budget }));

/** The same as a job, which yields how far it is. */
export function* listCases(
  procedure: Procedure,
  { budget = BUDGET, first: values }: { readonly budget?: number; readonly first?: FirstValues } = {},
): Job<number, Cases | undefined> {
  const program = compile(procedure);
  const first = new Machine(program);
  if (program.claims.length > 0 && !first.run(budget)) return undefined;
  const cases: Case[] = [];
  const seen = { names: [] as readonly string[], alike: true };
  const machine = new Machine(program, {
    first: values,
    open: program.claims.length > 0 ? openSights(first) : undefined,
    ended: ({ choices }, end) => {
      const chosen = choices.map(([name]) => name);
      // A world that failed before all was chosen lacks the rest.
      const [short, long] = chosen.length > seen.names.length ? [seen.names, chosen] : [chosen, seen.names];
      seen.alike &&= cases.length < MOST_CASES && short.every((name, index) => long[index] === name);
      seen.names = long;
      if (seen.alike) cases.push({ values: choices.map(([, value]) => value), end });
    },
  });
  // Stopped now and then, so that what cannot be listed is not run to its end.
  while (seen.alike && !machine.run(machine.steps + 100_000)) {
    if (machine.full || machine.steps >= budget) return undefined;
    yield machine.progress;
  }
  return seen.alike && new Set(seen.names).size === seen.names.length
    ? { names: seen.names, cases }
    : undefined;
}
