import { Job } from '../job/job';
import { Machine } from '../procedure/machine';
import type { Failure } from '../procedure/way';
import { Procedure } from '../procedure/procedure';
import { compile } from '../procedure/compile';

/** Two cases that look alike to the performer and in which what must be known is not the same. */
export interface NotToldApart {
  /** The path of the step that claims it. */
  readonly at: string;
  readonly one: Failure['choices'];
  readonly other: Failure['choices'];
  readonly values: readonly [number, number];
}

const AT_ONCE = 100_000;

/** The first two cases that the performer cannot tell apart, as a job; undefined where there are none. */
export function* notToldApart(procedure: Procedure, budget: number): Job<number, NotToldApart | undefined> {
  const program = compile(procedure);
  const first = new Map<string, { readonly value: number; readonly choices: Failure['choices'] }>();
  const found: NotToldApart[] = [];
  const machine = new Machine(program, {
    ended: () => undefined,
    looked: ({ choices }, claim, sights, value) => {
      const key = `${claim} ${sights}`;
      const before = first.get(key);
      if (!before) first.set(key, { value, choices });
      else if (before.value !== value && found.length === 0)
        found.push({
          ...{ at: program.claims[claim], one: before.choices, other: choices },
          values: [before.value, value],
        });
    },
  });
  while (found.length === 0 && !machine.run(machine.steps + AT_ONCE)) {
    if (machine.full || machine.steps >= budget) return undefined;
    yield machine.progress;
  }
  return found.at(0);
}
