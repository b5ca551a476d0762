import { MOST_AT_ONCE } from './columns';
import { nextOf } from './live';
import type { Machine } from './machine';
import { Choice, Do, Program } from './program';
import { Stretch, WaysWeigh, WORTH } from './stretch';
import { FirstValues, MOST_FAILURES } from './way';
import type { Weighing } from './weighing';

/** What can be done for many worlds at once. */
const AT_ONCE: ReadonlySet<Do> = new Set([
  ...[Do.Lift, Do.LiftOver, Do.Turn, Do.Put, Do.Cut, Do.Set, Do.Top, Do.Give],
  ...[Do.Test, Do.Must, Do.Jump, Do.Branch, Do.End],
]);

/** Whether it is chosen there among ways that are always as many. */
const isWay = ({ code }: Program, at: number): boolean => {
  const [choice, next] = [code[at], code.at(at + 1)];
  return choice.kind === Do.Choose && next?.kind === Do.Branch && next.value === choice.value;
};

const KNOWN = new WeakMap<Program['code'], readonly boolean[]>();

/**
 * By instruction: whether a number is chosen there behind which only ways are chosen and all can be done for many worlds at
 * once.
 */
export const stretchesOf = (program: Program): readonly boolean[] => {
  const known = KNOWN.get(program.code);
  if (known) return known;
  const { code } = program;
  const found = code.map(({ kind }, at) => {
    if (kind !== Do.Choose || isWay(program, at) || program.pools > 0) return false;
    const seen = new Set<number>();
    const ahead = [at + 1];
    for (let next = ahead.pop(); next !== undefined; next = ahead.pop()) {
      if (seen.has(next)) continue;
      seen.add(next);
      if (!AT_ONCE.has(code[next].kind) && !isWay(program, next)) return false;
      ahead.push(...nextOf(code[next], next));
    }
    return true;
  });
  KNOWN.set(program.code, found);
  return found;
};

/** Fewer values than this are run one by one; and more, so that a run can be stopped between them. */
const [FEWEST, MOST] = [8, 4096];
/** After so many worlds it is seen whether many of them are run at once. */
const ENOUGH = 2000;
/** So often a world may fail before each is run by itself, until there are enough failures. */
const MOST_FAILED = 4;

/** How well a choice is done for many worlds at once. */
interface Choosing {
  worlds: number;
  parts: number;
  /** How often worlds failed while failures are still listed. */
  failed: number;
  /** Whether it was given up: the worlds part too often, or there is no room. */
  isOff: boolean;
}

/** A program is run by many machines: what one stretch has room for is kept for the next. */
const ROOMS = new WeakMap<Program['code'], Stretch>();

const stretchFor = (program: Program, machine: Machine): Stretch => {
  const known = ROOMS.get(program.code);
  if (known) return known;
  const stretch = new Stretch(program, machine);
  ROOMS.set(program.code, stretch);
  return stretch;
};

/** Runs the values of choices many at once, where that can be done and is worth it. */
export class Stretches {
  private readonly can: readonly boolean[];
  private readonly choosing = new Map<number, Choosing>();
  private readonly stretch: Stretch;
  private readonly weigh: WaysWeigh;

  /** @param weighing what choices weigh; undefined where each value counts one. @param fewest so many values are run at once. */
  constructor(
    program: Program,
    private readonly machine: Machine,
    weighing: Weighing | undefined,
    private readonly fewest = FEWEST,
  ) {
    this.can = stretchesOf(program);
    this.stretch = stretchFor(program, machine);
    this.weigh = (ways, count) => weighing?.of(ways, 1, count);
  }

  /**
   * All values of a choice from `low` to `high`, or those of `first`.
   *
   * @returns how many ended how, by the fields of a tally; undefined where they are to be run one by one: nothing has changed then.
   */
  of(
    choice: Choice,
    {
      at,
      low,
      high,
      weights,
      first,
    }: {
      readonly at: number;
      readonly low: number;
      readonly high: number;
      readonly weights: Float64Array | undefined;
      readonly first: FirstValues | undefined;
    },
  ): Float64Array | undefined {
    if (!this.can[at]) return undefined;
    const choosing = this.choosingAt(at);
    const mayFail = this.machine.failures.length === MOST_FAILURES;
    if (choosing.isOff || (!mayFail && choosing.failed > MOST_FAILED)) return undefined;
    const [from, to] = first ? [Math.max(low, first.from), Math.min(high, first.to)] : [low, high];
    if (to - from + 1 < this.fewest || to - from >= MOST) return undefined;
    if (choosing.worlds > ENOUGH && choosing.worlds < WORTH * choosing.parts) return undefined;
    const { stretch } = this;
    stretch.begin(this.machine, this.weigh);
    for (let value = from; value <= to; value += MOST_AT_ONCE) {
      const worlds = Math.min(MOST_AT_ONCE, to - value + 1);
      const weigh = weights?.subarray(value - low, value - low + worlds);
      if (!stretch.run(at, choice.value, { from: value, worlds, weights: weigh }, mayFail)) {
        choosing.failed++;
        // Where they may fail, nothing but that makes it end before.
        choosing.isOff = mayFail || stretch.isTooMuch;
        return undefined;
      }
    }
    choosing.worlds += stretch.tries;
    choosing.parts += stretch.parts;
    this.machine.didBeside(stretch.steps, stretch.tries);
    return stretch.sums.slice();
  }

  private choosingAt(at: number): Choosing {
    const known = this.choosing.get(at);
    if (known) return known;
    const choosing = { worlds: 0, parts: 0, failed: 0, isOff: false };
    this.choosing.set(at, choosing);
    return choosing;
  }
}
