import { Outcome } from '../deck/problem';
import { finish, Job, JobRule } from '../job/job';
import { afterEnding, afterRoutine, keyOf } from './afterRoutine';
import { MEND_COSTS, MendCosts } from './costs';
import {
  compare,
  FREE,
  JunctionMend,
  plus,
  Price,
  Reached,
  waysInInterval,
  waysTo,
  weigh,
  Weighed,
} from './junction';
import { OrderRules, OrderWish, PackPart, readOrderWish, rulesOf } from './orderWish';
import { PackState } from './state';

/** What is done before a routine. */
export interface Junction {
  readonly before: string;
  /** Whether the interval lies there. */
  readonly interval: boolean;
  readonly mends: readonly JunctionMend[];
}

/** The best order, with what it costs. */
export interface Running {
  readonly order: readonly string[];
  readonly impossible: number;
  readonly outOfSight: number;
  readonly seconds: number;
  readonly value: number;
  /** The mean seconds in this order with these mends. */
  readonly expected: number;
  readonly junctions: readonly Junction[];
}

export type RunningOutcome = Outcome<{ readonly running: Running }>;

export interface RunningOrderArgs {
  readonly wish: OrderWish;
  readonly costs?: MendCosts;
}

/** How much of it is done, 0 to 1. */
export interface RunningProgress {
  readonly share: number;
}

/** What all packs may be in, and how many spares are left: for each pack in turn. */
interface World {
  readonly states: readonly (readonly PackState[])[];
  readonly spares: readonly number[];
}

/** What was done to a pack, and the way that it was done. */
interface Done {
  readonly mend: JunctionMend;
  readonly way: Reached;
  readonly pack: number;
}

/** One way to come from a world over a junction through a routine. */
interface Step {
  readonly price: Price;
  readonly world: number;
  readonly done: readonly Done[];
}

/** One way to treat a pack at a junction. */
interface Treated {
  readonly price: Price;
  /** Seconds of the interval that it takes. */
  readonly inInterval: number;
  readonly states: readonly PackState[];
  readonly spares: number;
  readonly done: readonly Done[];
}

/** The best known way to a last routine with a set of them done and the packs as they are. */
interface Entry {
  readonly done: number;
  readonly last: number;
  readonly world: number;
  readonly price: Price;
  readonly from: Entry | undefined;
  readonly step: Step;
  /** Which of the entries of as many routines comes first by its order. */
  rank: number;
}

const MINUTE = 60;

class Search {
  private readonly packs: readonly string[];
  private readonly worlds: World[] = [];
  private readonly ids = new Map<string, number>();
  private readonly known = new Map<string, readonly Step[]>();
  readonly rules: OrderRules;

  constructor(
    private readonly wish: OrderWish,
    private readonly costs: MendCosts,
  ) {
    this.packs = Object.keys(wish.packs);
    this.rules = rulesOf(wish);
  }

  start(): number {
    return this.idOf({
      states: this.packs.map((name) => [this.wish.packs[name].start ?? { lies: 'ready' }]),
      spares: this.packs.map((name) => this.wish.packs[name].spares ?? 0),
    });
  }

  private idOf(world: World): number {
    const key = `${world.states.map((states) => states.map(keyOf).sort().join('+')).join('|')}|${world.spares.join()}`;
    const known = this.ids.get(key);
    if (known !== undefined) return known;
    this.ids.set(key, this.worlds.length);
    return this.worlds.push(world) - 1;
  }

  /** The ways through a junction and a routine, of those to the same world the cheapest. */
  steps(world: number, routine: number, interval: boolean): readonly Step[] {
    const key = `${world.toString()} ${routine.toString()} ${interval.toString()}`;
    const known = this.known.get(key);
    if (known) return known;
    const made = this.makeSteps(this.worlds[world], routine, interval);
    this.known.set(key, made);
    return made;
  }

  private makeSteps(world: World, routine: number, interval: boolean): readonly Step[] {
    const limit = (this.wish.intervalMinutes ?? 0) * MINUTE || Infinity;
    let combined: readonly (readonly Treated[])[] = [[]];
    this.packs.forEach((_, pack) => {
      const ways = this.treated(world, pack, routine, interval);
      combined = combined.flatMap((before) =>
        ways
          .map((way) => [...before, way])
          .filter((all) => all.reduce((sum, { inInterval }) => sum + inInterval, 0) <= limit),
      );
    });
    const best = new Map<number, Step>();
    for (const all of combined) {
      const price = all.reduce((sum, way) => plus(sum, way.price), FREE);
      const to = this.idOf({
        states: all.map(({ states }) => states),
        spares: all.map(({ spares }) => spares),
      });
      const known = best.get(to);
      if (!known || compare(price, known.price) < 0)
        best.set(to, { price, world: to, done: all.flatMap(({ done }) => done) });
    }
    return [...best.values()];
  }

  private partOf(pack: number, routine: number): PackPart | undefined {
    const { packs } = this.wish.routines[routine];
    const name = this.packs[pack];
    return Object.hasOwn(packs, name) ? packs[name] : undefined;
  }

  /** The ways to treat a pack before a routine, and how it lies behind it. */
  private treated(world: World, pack: number, routine: number, interval: boolean): readonly Treated[] {
    const [states, spares, home] = [world.states[pack], world.spares[pack], this.home(pack)];
    const before = interval ? waysInInterval(states, home, this.costs) : [undefined];
    return before.flatMap((first) => {
      const alone = this.note(pack, first, true);
      const now = first?.states ?? states;
      const [price, inInterval] = [first?.price ?? FREE, first?.price[2] ?? 0];
      const part = this.partOf(pack, routine);
      if (!part) return [{ price, inInterval, states: now, spares, done: alone }];
      return (interval ? [true, false] : [false]).flatMap((inside) =>
        waysTo(now, part.needs, home, spares, this.costs, inside).map((way): Treated => ({
          price: plus(price, way.price),
          inInterval: inInterval + (inside ? way.price[2] : 0),
          states: afterRoutine(way.states, part.leaves, home.length),
          spares: way.how === 'change' ? spares - 1 : spares,
          done: [...alone, ...this.note(pack, way, inside)],
        })),
      );
    });
  }

  private note(pack: number, way: Reached | undefined, inInterval: boolean): readonly Done[] {
    if (!way) return [];
    return [{ pack, way, mend: { pack: this.packs[pack], how: way.how, inInterval, price: way.price } }];
  }

  private home(pack: number) {
    return this.wish.packs[this.packs[pack]].home;
  }

  /** The mean seconds of an order with its mends: each pack by itself, its states weighted. */
  expected(path: readonly Entry[]): number {
    let seconds = 0;
    const weights = this.packs.map((name): readonly Weighed[] => [
      { state: this.wish.packs[name].start ?? { lies: 'ready' }, weight: 1 },
    ]);
    for (const { step, last } of path)
      this.packs.forEach((_, pack) => {
        for (const { way } of step.done.filter((done) => done.pack === pack)) {
          const each = weights[pack].map(({ state, weight }) => ({ ...way.of(state), weight }));
          seconds += each.reduce((sum, one) => sum + one.weight * one.seconds, 0);
          weights[pack] = weigh(each.map(({ after, weight }) => ({ state: after, weight })));
        }
        const part = this.partOf(pack, last);
        if (part) weights[pack] = through(weights[pack], part, this.home(pack).length);
      });
    return seconds;
  }
}

/** What a routine leaves of weighted states: each ending takes its share of the cases. */
const through = (
  before: readonly Weighed[],
  { leaves, cases }: PackPart,
  size: number,
): readonly Weighed[] => {
  if (leaves === 'same') return before;
  const counts = leaves.map((_, index) => cases?.[index] ?? 1);
  const all = counts.reduce((sum, count) => sum + count, 0);
  return weigh(
    before.flatMap(({ state, weight }) =>
      leaves.map((ending, index) => ({
        state: afterEnding(state, ending, size),
        weight: (weight * counts[index]) / all,
      })),
    ),
  );
};

const pathOf = (entry: Entry): readonly Entry[] => {
  const path: Entry[] = [];
  for (let each: Entry | undefined = entry; each; each = each.from) path.unshift(each);
  return path;
};

/** Whether an order comes first by the routines as they stand in the wish; a shorter one before those that it begins. */
const comesFirst = (a: Entry, b: Entry): boolean => {
  const [one, other] = [a, b].map((entry) => pathOf(entry).map(({ last }) => last));
  const at = one.findIndex((routine, index) => routine !== other[index]);
  return at < 0 ? one.length < other.length : at < other.length && one[at] < other[at];
};

const valueOf = (wish: OrderWish, done: number): number =>
  wish.routines.reduce((sum, { value = 1 }, index) => sum + (((done >> index) & 1) === 1 ? value : 0), 0);

/** So many steps are taken between two tells of how far it is. */
const STEPS = 500;

function* search(wish: OrderWish, costs: MendCosts): Job<RunningProgress, RunningOutcome> {
  const found = new Search(wish, costs);
  const { rules } = found;
  const root: Entry = {
    ...{ done: 0, last: -1, world: found.start(), price: FREE, from: undefined, rank: 0 },
    step: { price: FREE, world: 0, done: [] },
  };
  let best: { readonly entry: Entry; readonly value: number } | undefined;
  const better = (entry: Entry, value: number): boolean => {
    if (!best) return true;
    const [a, b] = [entry.price, best.entry.price];
    const order = a[0] - b[0] || best.value - value || a[1] - b[1] || a[2] - b[2];
    return order < 0 || (order === 0 && comesFirst(entry, best.entry));
  };
  let layer: readonly Entry[] = [root];
  let steps = 0;
  for (let position = 0; position < rules.count && layer.length > 0; position++) {
    const next = new Map<string, Entry>();
    for (const from of layer)
      for (let routine = 0; routine < rules.count; routine++) {
        if (!rules.mayFollow(from.done, from.last, routine)) continue;
        for (const step of found.steps(from.world, routine, rules.isInterval(position))) {
          if (++steps % STEPS === 0) yield { share: position / rules.count };
          const done = from.done | (1 << routine);
          const price = plus(from.price, step.price);
          const key = `${done.toString()} ${routine.toString()} ${step.world.toString()}`;
          const known = next.get(key);
          const order = known ? compare(price, known.price) || from.rank - (known.from?.rank ?? 0) : -1;
          if (order < 0)
            next.set(key, { done, last: routine, world: step.world, price, from, step, rank: 0 });
        }
      }
    layer = [...next.values()].sort((a, b) => (a.from?.rank ?? 0) - (b.from?.rank ?? 0) || a.last - b.last);
    let rank = 0;
    layer.forEach((entry, index) => {
      const before = layer[index - 1] as Entry | undefined;
      if (before && (before.from?.rank !== entry.from?.rank || before.last !== entry.last)) rank++;
      entry.rank = rank;
      const value = valueOf(wish, entry.done);
      if (rules.mayEnd(entry.done, entry.last) && better(entry, value)) best = { entry, value };
    });
    yield { share: (position + 1) / rules.count };
  }
  if (!best) {
    const problem = {
      what: 'No order keeps all of this.',
      remedy: 'Take a fixed point away, or allow more minutes.',
    };
    return { ok: false, problems: [problem] };
  }
  const path = pathOf(best.entry).slice(1);
  const [impossible, outOfSight, seconds] = best.entry.price;
  const ids = path.map(({ last }) => wish.routines[last].id);
  return {
    ok: true,
    running: {
      ...{ order: ids, impossible, outOfSight, seconds, value: best.value, expected: found.expected(path) },
      junctions: path.map(({ step, last }, position) => ({
        before: wish.routines[last].id,
        interval: rules.isInterval(position),
        mends: step.done.map(({ mend }) => mend).filter(({ price }) => compare(price, FREE) > 0),
      })),
    },
  };
}

/** The best running order of all that are allowed, as a job (docs/code/performing.md, 5). */
export const RUNNING_ORDER: JobRule<RunningOrderArgs, RunningProgress, RunningOutcome> = {
  *start({ wish, costs = MEND_COSTS }) {
    const read = readOrderWish(wish);
    return read.ok ? yield* search(wish, costs) : read;
  },
};

export const bestRunningOrder = (wish: OrderWish, costs = MEND_COSTS): RunningOutcome =>
  finish(RUNNING_ORDER.start({ wish, costs }));
