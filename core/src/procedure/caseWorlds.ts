import { Possible } from './askedPools';
import { World } from './form';
import { CANNOT, Choice, CLAIM, HELD, LEFT_OUT, OUT, Program, UNKNOWN } from './program';
import { StateText } from './stateText';
import { Trail } from './trail';

/** How a case ended: the worst that any of its worlds came to. */
export interface CaseEnd {
  /** HELD, OUT, LEFT_OUT, or how it failed. */
  readonly how: number;
  /** The path of the step at which it failed. */
  readonly path: string;
}

/** The machine whose worlds these are. */
export interface Host extends World {
  readonly program: Program;
  readonly trail: Trail;
  /** By instruction: the values that are read from there on. */
  readonly live: readonly Int32Array[];
  /** Where the trail is free. */
  readonly trailEnd: number;
  /** All worlds of a case have been run. */
  settleCase(end: CaseEnd): void;
  /** All worlds have been run; gives where the machine goes on. */
  goOn(): number;
}

/** Worlds that wait at one choice, as texts, each with the range that it may choose from. */
interface Waiting {
  readonly at: number;
  readonly choice: Choice;
  readonly worlds: Map<string, readonly [low: number, high: number]>;
}

/** The worlds in which the same was chosen so far. */
interface Level {
  end: CaseEnd | undefined;
  readonly waiting: Map<number, Waiting>;
  /** Where they wait, by path; set when all have been run so far. */
  groups: readonly Waiting[] | undefined;
  group: number;
  value: number;
  /** Those that choose the value, and how many of them have been begun. */
  members: readonly string[];
  begun: number;
}

/** What was asked of a world, and which answer is being tried. */
interface Branch {
  readonly at: number;
  readonly possible: readonly Possible[];
  index: number;
  readonly saved: number;
}

const levelOf = (): Level => ({
  ...{ end: undefined, waiting: new Map<number, Waiting>(), groups: undefined },
  ...{ group: 0, value: 0, members: [], begun: 0 },
});

const numbersOf = (path: string): readonly number[] => path.split('.').map(Number);

/** Which path comes first: below 0 where the first does; `3` before `3.1.1`. */
export const inTurn = (path: string, other: string): number => {
  const [a, b] = [numbersOf(path), numbersOf(other)];
  for (let index = 0; index < a.length && index < b.length; index++)
    if (a[index] !== b[index]) return a[index] - b[index];
  return a.length - b.length;
};

/** From the worst end to the best, and of failures the one that is told. */
const worse = (a: CaseEnd, b: CaseEnd | undefined): CaseEnd => {
  if (!b) return a;
  const [first, second] = [RANK.get(a.how) ?? FAILS, RANK.get(b.how) ?? FAILS];
  if (first !== FAILS || second !== FAILS) return first < second ? a : b;
  const order = inTurn(a.path, b.path) || REASONS.indexOf(a.how) - REASONS.indexOf(b.how);
  return order < 0 ? a : b;
};
const FAILS = 0;
const RANK: ReadonlyMap<number, number> = new Map([
  [OUT, 1],
  [HELD, 2],
  [LEFT_OUT, 3],
]);
const REASONS = [CANNOT, CLAIM, UNKNOWN];

/**
 * Worlds that differ in what lies where, and not in what was chosen, are one case. They are run side by side: all of
 * them to their end or their next choice, then for each value of that choice those that may choose it.
 */
export class CaseWorlds {
  /** Whether there are more than one. */
  isOpen = false;
  private readonly levels: Level[] = [];
  private readonly branches: Branch[] = [];
  private base = 0;

  constructor(
    private readonly host: Host,
    private readonly text: StateText,
  ) {}

  /** What has been chosen since they are more than one, and at which instructions. */
  get choices(): readonly { readonly choice: Choice; readonly value: number; readonly at: number }[] {
    return this.levels.slice(0, -1).map(({ groups, group, value }) => {
      const { choice, at } = (groups ?? [])[group];
      return { choice, value, at };
    });
  }

  /** A world is asked what lies somewhere: it goes on as one world for each answer. */
  branch(at: number, possible: readonly Possible[]): number {
    const { host, branches, levels } = this;
    const { table, trail, live } = host;
    if (!this.isOpen) {
      this.isOpen = true;
      levels.push(levelOf());
      this.base = table.free;
    }
    const last = branches.at(-1);
    const saved = last ? trail.endOf(last.saved) : host.trailEnd;
    trail.save(saved, live[at]);
    table.kept = table.free;
    branches.push({ at, possible, index: 0, saved });
    table.settle(possible[0]);
    return at;
  }

  /** A world has come to a choice. */
  meet(choice: Choice, at: number, low: number, high: number): number {
    const { waiting } = this.levels[this.levels.length - 1];
    const there = waiting.get(at) ?? { at, choice, worlds: new Map() };
    waiting.set(at, there);
    there.worlds.set(this.text.of(this.host, this.host.live[at]), [low, high]);
    return this.nextWorld();
  }

  /** A world has ended. */
  end(end: CaseEnd): number {
    const level = this.levels[this.levels.length - 1];
    level.end = worse(end, level.end);
    return this.nextWorld();
  }

  private nextWorld(): number {
    const { branches, host } = this;
    const { table, trail, live } = host;
    for (let last = branches.at(-1); last; last = branches.at(-1)) {
      if (++last.index < last.possible.length) {
        trail.restore(last.saved, live[last.at]);
        table.settle(last.possible[last.index]);
        return last.at;
      }
      branches.pop();
      table.kept = branches.length > 0 ? trail.freeAt(branches[branches.length - 1].saved) : this.base;
    }
    const above = this.levels.at(-2);
    return above && above.begun < above.members.length ? this.begin(above) : this.nextValue();
  }

  /** All worlds in which the same was chosen have been run: their case is counted, and the next one begins. */
  private nextValue(): number {
    const { levels, host } = this;
    for (;;) {
      const level = levels[levels.length - 1];
      if (!level.groups) {
        if (level.end) host.settleCase(level.end);
        level.groups = [...level.waiting.values()].sort((a, b) =>
          inTurn(host.program.paths[a.at], host.program.paths[b.at]),
        );
        level.value = leastOf(level.groups.at(0)) - 1;
      }
      if (this.advance(level)) {
        levels.push(levelOf());
        return this.begin(level);
      }
      levels.pop();
      if (levels.length === 0) {
        this.isOpen = false;
        return host.goOn();
      }
    }
  }

  /** Goes to the next value that some world may choose; false where there is none. */
  private advance(level: Level): boolean {
    const groups = level.groups ?? [];
    while (level.group < groups.length) {
      const { worlds } = groups[level.group];
      level.value++;
      level.members = [...worlds]
        .filter(([, [low, high]]) => low <= level.value && level.value <= high)
        .map(([text]) => text);
      level.begun = 0;
      if (level.members.length > 0) return true;
      const next = leastOf(groups[level.group], level.value + 1);
      if (next < Infinity) level.value = next - 1;
      else level.value = leastOf(groups.at(++level.group)) - 1;
    }
    return false;
  }

  /** Begins the next world that chooses the value. */
  private begin(level: Level): number {
    const { host } = this;
    const { at, choice } = (level.groups ?? [])[level.group];
    host.table.free = this.base;
    host.table.kept = this.base;
    this.text.load(level.members[level.begun++], host, host.live[at]);
    host.values[choice.value] = level.value;
    return at + 1;
  }
}

/** The least value, not below `from`, with which the range of a world begins; Infinity where there is none. */
const leastOf = (waiting: Waiting | undefined, from = Number.NEGATIVE_INFINITY): number => {
  let least = Number.POSITIVE_INFINITY;
  for (const [low] of waiting?.worlds.values() ?? []) if (low >= from && low < least) least = low;
  return least;
};
