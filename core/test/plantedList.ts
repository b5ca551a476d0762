import { randomInt, Rng, seededRng, shuffled } from '../src/deck/rng';
import { checkWish } from '../src/wish/checkWish';
import { Wish, WishList, WishName } from '../src/wish/wish';
import { FULL, KINDS, randomWish } from './randomWish';

const RANKS = [...'A23456789TJQK'];
const SUITS = ['C', 'H', 'S', 'D'];
const mate = (card: string): string => card[0] + 'SHDC'['CDHS'.indexOf(card[1])];

const halfOf = (rng: Rng): string[] => {
  const half: string[] = [];
  for (const card of shuffled(FULL, rng)) if (!half.includes(mate(card))) half.push(card);
  return half.slice(0, 26);
};

/** Orders of six families: shuffled, by suit, by two rules, mirrored two ways, colours in turn. */
const FAMILIES: readonly ((rng: Rng) => readonly string[])[] = [
  (rng) => shuffled(FULL, rng),
  (rng) => shuffled(SUITS, rng).flatMap((suit) => RANKS.map((rank) => rank + suit)),
  (rng) => {
    const [first, step, suits] = [randomInt(rng, 13), 1 + randomInt(rng, 12), shuffled(SUITS, rng)];
    return Array.from({ length: 52 }, (_, index) => RANKS[(first + index * step) % 13] + suits[index % 4]);
  },
  (rng) => {
    const [row, suits] = [shuffled(RANKS, rng), shuffled(SUITS, rng)];
    return Array.from({ length: 52 }, (_, index) => row[index % 13] + suits[index % 4]);
  },
  (rng) => {
    const half = halfOf(rng);
    const others = half.map(mate);
    return [...half, ...(randomInt(rng, 2) === 0 ? others : others.reverse())];
  },
  (rng) => {
    const reds = shuffled(
      FULL.filter((card) => 'DH'.includes(card[1])),
      rng,
    );
    const blacks = shuffled(
      FULL.filter((card) => 'CS'.includes(card[1])),
      rng,
    );
    return reds.flatMap((card, index) => [card, blacks[index]]);
  },
];

/** What says where every card lies would leave nothing to find. */
const PLANTED: readonly WishName[] = KINDS.filter((kind) => kind !== 'procedure');

/** A wish by chance that holds in an order; undefined where none was met in some tries. */
const heldWish = (rng: Rng, order: readonly string[]): Wish | undefined => {
  const kind = PLANTED[randomInt(rng, PLANTED.length)];
  for (let time = 0; time < 30; time++) {
    const wish = randomWish(rng, order, 1, kind);
    if (checkWish(order, wish).holds) return wish;
  }
  return undefined;
};

/** A list of one to eight wishes that all hold in a hidden order of 52 cards. */
export const plantedList = (seed: number): WishList => {
  const rng = seededRng(seed);
  const order = FAMILIES[seed % FAMILIES.length](rng);
  const wishes: Wish[] = [];
  const count = 1 + (seed % 8);
  while (wishes.length < count) {
    const wish = heldWish(rng, order);
    if (wish) wishes.push(wish);
  }
  return { pack: FULL, wishes };
};
