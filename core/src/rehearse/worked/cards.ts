import { formatCard } from '../../deck/notation';
import { numberOrder } from '../../deck/order';
import { seededRng, shuffled } from '../../deck/rng';

/** A full pack in an order of no rule, as a performer may know one. */
export const LEARNT: readonly string[] = shuffled(numberOrder(), seededRng(1852)).map(formatCard);

/** Ace to king of a suit. */
export const run = (suit: 'C' | 'D' | 'H' | 'S'): readonly string[] =>
  [...'A23456789TJQK'].map((rank) => rank + suit);
