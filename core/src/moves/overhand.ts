import { Rng, seededRng } from '../deck/rng';
import { above, SEED } from '../deck/shape';
import { Arrangement, arranging, range } from './arrangement';
import { never, Rule } from './rule';

/** An overhand shuffle made by chance: packets are chopped off the top and land in reverse order. */
export interface Overhand {
  readonly kind: 'overhand';
  readonly seed: number;
  /** The chance of a chop at each gap between cards, above 0 and up to 1. */
  readonly chop: number;
}

/** The chance of a chop where nobody tells it. */
export const CHOP = 0.2;

/** @param chop the chance of a chop at each gap between cards, above 0 and up to 1. */
export const arrangeOverhand = (rng: Rng, size: number, chop: number): Arrangement => {
  const packets: number[][] = [];
  for (const index of range(0, size)) {
    if (index === 0 || rng() < chop) packets.push([]);
    packets[packets.length - 1].push(index);
  }
  return packets.reverse().flat();
};

export const OVERHAND: Rule<Overhand> = {
  shape: { seed: SEED, chop: above(0, 1) },
  written: {
    usage: 'overhand #1',
    says: 'an overhand shuffle by chance, the same for the same number',
    pattern: /^overhand(?: #(\d+))?$/,
    parse: ([seed]) => ({ kind: 'overhand', seed: Number(seed || 1), chop: CHOP }),
  },
  ...arranging(({ seed, chop }, size) => arrangeOverhand(seededRng(seed), size, chop)),
  invert: never,
  describe: () => 'Shuffle the pack overhand once.',
};
