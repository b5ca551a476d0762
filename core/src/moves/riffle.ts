import { Rng, seededRng } from '../deck/rng';
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
export const arrangeRiffle = (rng: Rng, size: number): Arrangement => {
  const upper = Array.from({ length: size }, () => rng() < 0.5);
  const count = upper.filter(Boolean).length;
  let [top, bottom] = [0, count];
  return upper.map((fromTop) => (fromTop ? top++ : bottom++));
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
  invert: never,
  describe: () => 'Riffle the pack once.',
};
