import { LARGEST_PACK } from '@enumeron/core/deck';
import { Values } from '@enumeron/core/form';
import {
  BusyHeap,
  BusyMove,
  BusyWish,
  FEWEST_HEAPS,
  MOST_HEAPS,
  MOST_MOVES,
} from '@enumeron/core/file/rehearse/busyRow';

/** What is told of the heaps of a busy row, as it is kept: lists of numbers. */

/** Where it is kept among the fields of patterns. */
export const BUSY_PLACE = 'busy row';

/** How deep a wanted card may lie, and how many of them one heap may have. */
export const DEEPEST = LARGEST_PACK;
export const MOST_IN_HEAP = 6;
/** One place of the number that stands for several depths. */
const PLACE = DEEPEST + 1;

/** The depths that one number stands for; one depth is itself, 0 none. */
export const depthsIn = (code: number): readonly number[] =>
  code <= 0 ? [] : [code % PLACE, ...depthsIn(Math.floor(code / PLACE))].filter((depth) => depth > 0);

/** One number for several depths, as it is kept with the other fields. */
export const depthsCode = (depths: readonly number[]): number =>
  depths.reduceRight((code, depth) => code * PLACE + depth, 0);

const LARGEST_CODE = depthsCode(Array.from({ length: MOST_IN_HEAP }, () => DEEPEST));

/** What there is until something is told: four heaps of thirteen, an ace in each. */
const [CARDS, DEPTHS, MOVES, HEAPS] = [13, [3, 5, 2, 6, 4, 1], 24, 4] as const;

/** The most moves that are tracked. */
export const MOST_TRACKED = 200;

const numbersIn = (value: unknown): readonly number[] =>
  Array.isArray(value) ? value.filter((each): each is number => typeof each === 'number') : [];
const wholeIn = (value: unknown, least: number, most: number, otherwise: number): number =>
  typeof value === 'number' && value >= least && value <= most ? value : otherwise;

/** The heaps that are told, and how long a row is wished for them. */
export const busyWishIn = ({ heaps, cards, depths, moves, seed }: Values): BusyWish => {
  const [sizes, wanted] = [numbersIn(cards), numbersIn(depths)];
  return {
    heaps: Array.from({ length: wholeIn(heaps, FEWEST_HEAPS, MOST_HEAPS, HEAPS) }, (_, index): BusyHeap => {
      const code = wholeIn(wanted.at(index), 0, LARGEST_CODE, DEPTHS[index]);
      return { cards: wholeIn(sizes.at(index), 0, DEEPEST, CARDS), wanted: depthsIn(code) };
    }),
    moves: wholeIn(moves, 1, MOST_MOVES, MOVES),
    seed: wholeIn(seed, 1, 1e9, 1),
  };
};

/** Heaps as they are kept. */
export const heapsTold = (heaps: readonly BusyHeap[]): Values => ({
  heaps: heaps.length,
  cards: heaps.map(({ cards }) => cards),
  depths: heaps.map(({ wanted }) => depthsCode(wanted)),
});

/** Moves as they are kept, and what is kept as moves. */
export const moveCode = ({ from, to }: BusyMove): number => from * 10 + to;
export const movesIn = (value: unknown): readonly BusyMove[] =>
  numbersIn(value).map((code) => ({ from: Math.floor(code / 10), to: code % 10 }));
