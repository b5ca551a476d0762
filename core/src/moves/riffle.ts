import { seededRng } from '../deck/rng';
import { Arrangement } from './arrangement';
import { SEED, ShapeOf } from '../deck/shape';

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
export const arrangeRiffle = ({ seed }: Riffle, size: number): Arrangement => {
  const rng = seededRng(seed);
  const upper = Array.from({ length: size }, () => rng() < 0.5);
  const count = upper.filter(Boolean).length;
  let [top, bottom] = [0, count];
  return upper.map((fromTop) => (fromTop ? top++ : bottom++));
};

export const describeRiffle = (): string => 'Riffle the pack once.';

export const RIFFLE_SHAPE: ShapeOf<Riffle> = { seed: SEED };
