import { randomInt, seededRng } from '../deck/rng';
import { SwapCards } from '../moves/swapCards';
import { lookOf } from './look';
import { laidOf } from './checkWish';

/**
 * The exchanges of two cards that make one order of another, as few as can be: of each ring of cards that change places
 * one fewer than it has. Cards that look alike may lie for each other.
 *
 * @param from, to orders of the same cards, the top card first.
 */
export const exchangesBetween = (from: readonly string[], to: readonly string[]): readonly SwapCards[] => {
  const [now, wanted] = [laidOf(from).map(lookOf), laidOf(to).map(lookOf)];
  const moves: SwapCards[] = [];
  wanted.forEach((look, index) => {
    if (now[index] === look) return;
    const lying = now.flatMap((each, at) => (at > index && each === look && wanted[at] !== look ? [at] : []));
    // A card that comes home by it saves an exchange.
    const other = lying.find((at) => wanted[at] === now[index]) ?? lying.at(0);
    if (other === undefined) return;
    [now[index], now[other]] = [now[other], now[index]];
    moves.push({ kind: 'swap cards', one: index + 1, other: other + 1 });
  });
  return moves;
};

/** Places from 1 that look different. */
export const placesChanged = (from: readonly string[], to: readonly string[]): readonly number[] => {
  const [a, b] = [laidOf(from).map(lookOf), laidOf(to).map(lookOf)];
  return b.flatMap((look, index) => (a[index] === look ? [] : [index + 1]));
};

/** How many pairs of cards change places for another order like one. */
const PAIRS = 5;

/** An order a little different from one: the start from which another like it is looked for. */
export const alike = (order: readonly string[], seed: number): readonly string[] => {
  const rng = seededRng(seed);
  const other = [...order];
  for (let pair = 0; pair < PAIRS; pair++) {
    const [a, b] = [randomInt(rng, other.length), randomInt(rng, other.length)];
    [other[a], other[b]] = [other[b], other[a]];
  }
  return other;
};
