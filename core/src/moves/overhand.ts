import { seededRng } from '../deck/rng';
import { Arrangement, range } from './arrangement';
import { above, SEED, ShapeOf } from '../deck/shape';

/** An overhand shuffle made by chance: packets are chopped off the top and land in reverse order. */
export interface Overhand {
  readonly kind: 'overhand';
  readonly seed: number;
  /** The chance of a chop at each gap between cards, above 0 and up to 1. */
  readonly chop: number;
}

export const arrangeOverhand = ({ seed, chop }: Overhand, size: number): Arrangement => {
  const rng = seededRng(seed);
  const packets: number[][] = [];
  for (const index of range(0, size)) {
    if (index === 0 || rng() < chop) packets.push([]);
    packets[packets.length - 1].push(index);
  }
  return packets.reverse().flat();
};

export const describeOverhand = (): string => 'Shuffle the pack overhand once.';

export const OVERHAND_SHAPE: ShapeOf<Overhand> = { seed: SEED, chop: above(0, 1) };
