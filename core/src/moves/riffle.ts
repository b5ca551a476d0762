import { firstState, nextState, Rng, seededRng } from '../deck/rng';
import { SEED } from '../deck/shape';
import { Arrangement, arranging } from './arrangement';
import { never, Rule } from './rule';

/** A riffle shuffle as people do it, made by chance. The same seed gives the same shuffle. */
export interface Riffle {
  readonly kind: 'riffle';
  readonly seed: number;
}

/**
 * The Gilbert–Shannon–Reeds model: cut at a binomial depth, then cards fall from either packet with a chance
 * in proportion to its size. Done in reverse, which has the same law: every card draws a bit, and those with
 * the first bit come together above the others.
 */
export const arrangeRiffle = (rng: Rng, size: number): Arrangement =>
  riffled(
    Array.from({ length: size }, (_, index) => index),
    rng,
  );

/** Which cards come from the upper packet, one byte each: nothing stays in it between two riffles. */
let fromTop = new Uint8Array(64);

/** The bytes for so many cards. */
const bytesFor = (size: number): Uint8Array => {
  if (size > fromTop.length) fromTop = new Uint8Array(size);
  return fromTop;
};

/** The cards that come from the upper packet one after the other, and the others between them. */
const merged = (order: readonly number[], upper: Uint8Array, count: number): number[] => {
  const after = order.slice();
  let [top, bottom] = [0, count];
  for (let index = 0; index < order.length; index++)
    after[index] = order[upper[index] === 1 ? top++ : bottom++];
  return after;
};

/** The same done to cards; the row given stays as it is. */
export const riffled = (order: readonly number[], rng: Rng): number[] => {
  const upper = bytesFor(order.length);
  let count = 0;
  for (let index = 0; index < order.length; index++) count += upper[index] = rng() < 0.5 ? 1 : 0;
  return merged(order, upper, count);
};

/** The same by a seed, its numbers written out: the numbers below one half are the states from 0 on. */
const riffledBy = (order: readonly number[], seed: number): number[] => {
  const upper = bytesFor(order.length);
  let count = 0;
  let state = firstState(seed);
  for (let index = 0; index < order.length; index++) {
    state = nextState(state);
    count += upper[index] = state >= 0 ? 1 : 0;
  }
  return merged(order, upper, count);
};

export const RIFFLE: Rule<Riffle> = {
  shape: { seed: SEED },
  written: {
    usage: 'riffle #1',
    says: 'a riffle by chance, the same for the same number',
    pattern: /^riffle(?: #(\d+))?$/,
    parse: ([seed]) => ({ kind: 'riffle', seed: Number(seed || 1) }),
  },
  ...arranging(({ seed }, size) => arrangeRiffle(seededRng(seed), size)),
  apply: (order, { seed }) => riffledBy(order, seed),
  invert: never,
  describe: () => 'Riffle the pack once.',
};
