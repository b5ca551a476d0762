import { JobRule } from '../job/job';
import { Order, sameOrder } from '../deck/order';
import { cutBetween } from '../deck/offset';
import { applyMove, Move } from '../moves/move';

/** How far a search for a route has come. */
export interface RouteProgress {
  /** How many moves beside cuts the routes have that are looked through now. */
  readonly moves: number;
  /** How much of those has been looked through, from 0 to 1. */
  readonly part: number;
}

/** What a search ends with: the route, or undefined when there is none with so few moves. */
type RouteSearch = Generator<RouteProgress, readonly Move[] | undefined, undefined>;

/** The longest route that is searched for: weaves, reverse weaves and reversals; cuts between them are free. */
export const LONGEST_ROUTE = 5;
/** How many moves are searched back from the order wanted and kept; the others are tried from the start. */
const KEPT = 2;

/** The moves of a route beside cuts; each has its inverse among them. */
const stepsFor = (size: number): readonly Move[] => [
  { kind: 'weave', weave: 'out' },
  { kind: 'weave', weave: 'in' },
  { kind: 'unweave', weave: 'out' },
  { kind: 'unweave', weave: 'in' },
  { kind: 'reverse packet', from: 1, to: size },
  ...[13, 26, 39]
    .filter((count) => count < size)
    .map((count): Move => ({ kind: 'reverse packet', from: 1, to: count })),
];

const INVERSE = [2, 3, 0, 1, 4, 5, 6, 7];

/** Each step as where it takes the card for each index from: `after[i] = before[source[i]]`. */
const sourcesOf = (steps: readonly Move[], size: number): Uint8Array[] => {
  const indices = Array.from({ length: size }, (_, index) => index);
  return steps.map((step) => Uint8Array.from(applyMove(indices, step)));
};

/**
 * `before` cut at `count`, then a step, then rotated so that card 0 is on top: packs are searched up to a cut.
 * Cards are numbers from 0 to N − 1.
 */
const stepInto = (after: Uint8Array, before: Uint8Array, count: number, source: Uint8Array): void => {
  const size = before.length;
  let top = 0;
  for (let index = 0; index < size; index++) {
    const from = source[index] + count;
    if (before[from < size ? from : from - size] === 0) {
      top = index;
      break;
    }
  }
  for (let index = 0; index < size; index++) {
    const at = index + top;
    const from = source[at < size ? at : at - size] + count;
    after[index] = before[from < size ? from : from - size];
  }
};

const { imul } = Math;

/** Two 32-bit FNV-1a sums as one number of 53 bits: equal packs have equal keys, and others hardly ever. */
const keyOf = (pack: Uint8Array): number => {
  let [a, b] = [0x811c9dc5, 0x01000193];
  for (const card of pack) {
    a = imul(a ^ card, 0x01000193);
    b = imul(b ^ (card + 101), 0x85ebca6b);
    b ^= b >>> 13;
  }
  return (a >>> 0) * 0x200000 + ((b >>> 0) & 0x1fffff);
};

/** A pack on the way back from the order wanted: it becomes `next` by a step after a cut. */
interface Back {
  readonly pack: Uint8Array;
  readonly next: Back | undefined;
  readonly cut: number;
  readonly step: number;
}

const rotated = (pack: Uint8Array): Uint8Array => {
  const top = pack.indexOf(0);
  return pack.map((_, index) => pack[(index + top) % pack.length]);
};

/** A whole reversal is the same whatever the cut before it. */
const cutsFor = (step: number, size: number): number => (step === 4 ? 1 : size);

/**
 * Searches for the row with the fewest weaves, reverse weaves and reversals (of 13, 26, 39 or all cards) that
 * brings one order to another, with a cut wherever it helps: from both ends at once, so that the first route
 * found is a shortest one. A generator, so that a worker can go on, tell and stop.
 *
 * @param from an order. @param to the same cards. @param longest at most LONGEST_ROUTE.
 */
export function* searchRoute(from: Order, to: Order, longest = LONGEST_ROUTE): RouteSearch {
  if (from.length !== to.length || from.some((card) => !to.includes(card))) return undefined;
  const size = from.length;
  const steps = stepsFor(size);
  const sources = sourcesOf(steps, size);
  const start = rotated(Uint8Array.from(from, (card) => to.indexOf(card)));
  const goal: Back = { pack: Uint8Array.from(to, (_, index) => index), next: undefined, cut: 0, step: -1 };
  const known = new Map<number, Back>([[keyOf(goal.pack), goal]]);
  const finish = (path: readonly Uint8Array[], back: Back): readonly Move[] | undefined =>
    routeThrough(from, to, [...path, ...packsTo(back, sources)], steps);

  let layer: Back[] = [goal];
  if (keyOf(start) === keyOf(goal.pack)) return finish([], goal);
  for (let moves = 1; moves <= longest; moves++) {
    yield { moves, part: 0 };
    if (moves <= KEPT) {
      layer = growBack(layer, sources, known);
      const back = known.get(keyOf(start));
      if (back) return finish([], back);
      continue;
    }
    const found = yield* tryForward(start, moves - KEPT, moves, sources, known);
    if (found) return finish(found.path, found.back);
  }
  return undefined;
}

const growBack = (
  layer: readonly Back[],
  sources: readonly Uint8Array[],
  known: Map<number, Back>,
): Back[] => {
  const grown: Back[] = [];
  const pack = new Uint8Array(layer[0]?.pack.length ?? 0);
  for (const next of layer)
    for (let step = 0; step < sources.length; step++)
      for (let cut = 0; cut < cutsFor(step, pack.length); cut++) {
        stepInto(pack, next.pack, cut, sources[INVERSE[step]]);
        const key = keyOf(pack);
        if (known.has(key)) continue;
        const back = { pack: pack.slice(), next, cut, step };
        known.set(key, back);
        grown.push(back);
      }
  return grown;
};

/** What a search from the start met: the packs as they lie before each step, uncut, and the pack met. */
interface Met {
  readonly path: readonly Uint8Array[];
  readonly back: Back;
}

function* tryForward(
  start: Uint8Array,
  depth: number,
  moves: number,
  sources: readonly Uint8Array[],
  known: ReadonlyMap<number, Back>,
): Generator<RouteProgress, Met | undefined, undefined> {
  const size = start.length;
  const packs = Array.from({ length: depth + 1 }, () => new Uint8Array(size));
  const cuts = new Uint8Array(depth);
  const chosen = new Uint8Array(depth);
  packs[0].set(start);

  const down = (level: number): Back | undefined => {
    for (let step = 0; step < sources.length; step++)
      for (let cut = 0; cut < cutsFor(step, size); cut++) {
        stepInto(packs[level + 1], packs[level], cut, sources[step]);
        [cuts[level], chosen[level]] = [cut, step];
        const back = level + 1 === depth ? known.get(keyOf(packs[level + 1])) : down(level + 1);
        if (back) return back;
      }
    return undefined;
  };

  for (let step = 0; step < sources.length; step++)
    for (let cut = 0; cut < cutsFor(step, size); cut++) {
      stepInto(packs[1], packs[0], cut, sources[step]);
      [cuts[0], chosen[0]] = [cut, step];
      const back = depth === 1 ? known.get(keyOf(packs[1])) : down(1);
      if (back) {
        const path = Array.from(chosen, (at, level) => tagged(cutPack(packs[level], cuts[level]), at));
        return { path, back };
      }
      if (cut % 4 === 0) yield { moves, part: (step * size + cut) / (sources.length * size) };
    }
  return undefined;
}

const cutPack = (pack: Uint8Array, count: number): Uint8Array =>
  pack.map((_, index) => pack[(index + count) % pack.length]);

/** A pack as it lies before a step, with the step's number behind its cards. */
const tagged = (pack: Uint8Array, step: number): Uint8Array => Uint8Array.from([...pack, step]);

const packsTo = (back: Back, sources: readonly Uint8Array[]): Uint8Array[] => {
  const path: Uint8Array[] = [];
  for (let at = back; at.next; at = at.next) {
    const after = cutPack(at.next.pack, at.cut);
    const source = sources[INVERSE[at.step]];
    path.push(
      tagged(
        Uint8Array.from(source, (index) => after[index]),
        at.step,
      ),
    );
  }
  return path;
};

/** The moves of a path, with the cuts that bring the pack to where each step wants it; checked by doing them. */
const routeThrough = (
  from: Order,
  to: Order,
  path: readonly Uint8Array[],
  steps: readonly Move[],
): readonly Move[] | undefined => {
  const moves: Move[] = [];
  let now = from;
  const cutTo = (top: number): void => {
    const count = cutBetween(now.indexOf(to[top]) + 1, 1, now.length);
    if (count === 0) return;
    moves.push({ kind: 'cut', count });
    now = applyMove(now, { kind: 'cut', count });
  };
  for (const tag of path) {
    cutTo(tag[0]);
    const step = steps[tag[tag.length - 1]];
    moves.push(step);
    now = applyMove(now, step);
  }
  cutTo(0);
  return sameOrder(now, to) ? moves : undefined;
};

/** The whole search at once: for tests and short routes. */
export const findRoute = (from: Order, to: Order, longest?: number): readonly Move[] | undefined => {
  const search = searchRoute(from, to, longest);
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
};

/** The search as a job. */
export const ROUTE: JobRule<
  { readonly from: Order; readonly to: Order },
  RouteProgress,
  readonly Move[] | undefined
> = {
  start: ({ from, to }) => searchRoute(from, to),
};
