import { Card, firstOf, FULL_PACK } from '../deck/card';
import { Order } from '../deck/order';
import { Rng } from '../deck/rng';

/** What strikes the eye when a pack is spread face up. Each number is larger the less shuffled it looks. */
export interface Spread {
  /** The most cards of one colour in a row. */
  readonly colourRun: number;
  /** The most cards of one suit in a row. */
  readonly suitRun: number;
  /** Neighbours of one rank. */
  readonly likeRanks: number;
  /** Neighbours whose ranks are next to each other, ace and king too. */
  readonly sequences: number;
}

export type SpreadMeasure = keyof Spread;
export const SPREAD_MEASURES: readonly SpreadMeasure[] = ['colourRun', 'suitRun', 'likeRanks', 'sequences'];

/** Where each measure is put in a row of numbers by `measureInto`. */
const [COLOUR, SUIT, LIKE, SEQUENCE] = [0, 1, 2, 3];

/** Suit of a first copy from 0 to 3, and 4 for a joker, which breaks every run. */
const suitIndex = (card: number): number => (card >= FULL_PACK ? 4 : (card / 13) | 0);
const colourIndex = (suit: number): number => (suit === 4 ? 2 : suit === 1 || suit === 2 ? 1 : 0);

/** Measures the cards of an array without making anything new; the caller owns `result` (4 numbers). */
const measureInto = (cards: Uint8Array, result: Uint8Array): void => {
  let [colourRun, suitRun, likeRanks, sequences] = [0, 0, 0, 0];
  let [longestColour, longestSuit] = [0, 0];
  let [suitBefore, colourBefore, rankBefore] = [-1, -1, -9];
  for (const copy of cards) {
    const card = firstOf(copy);
    const suit = suitIndex(card);
    const colour = colourIndex(suit);
    const rank = suit === 4 ? -9 : card % 13;
    suitRun = suit === suitBefore && suit !== 4 ? suitRun + 1 : 1;
    colourRun = colour === colourBefore && colour !== 2 ? colourRun + 1 : 1;
    if (suitRun > longestSuit) longestSuit = suitRun;
    if (colourRun > longestColour) longestColour = colourRun;
    if (rank >= 0 && rankBefore >= 0) {
      const gap = rank > rankBefore ? rank - rankBefore : rankBefore - rank;
      if (gap === 0) likeRanks++;
      else if (gap === 1 || gap === 12) sequences++;
    }
    [suitBefore, colourBefore, rankBefore] = [suit, colour, rank];
  }
  result[COLOUR] = longestColour;
  result[SUIT] = longestSuit;
  result[LIKE] = likeRanks;
  result[SEQUENCE] = sequences;
};

export const measureSpread = (order: Order): Spread => {
  const result = new Uint8Array(4);
  measureInto(Uint8Array.from(order), result);
  const [colourRun, suitRun, likeRanks, sequences] = result;
  return { colourRun, suitRun, likeRanks, sequences };
};

/** How often each value of each measure came up in well-shuffled packs: `counts[measure][value]`. */
export interface SpreadCounts {
  readonly packs: number;
  readonly counts: Readonly<Record<SpreadMeasure, readonly number[]>>;
}

/**
 * Shuffles a pack again and again and counts what it shows. Made to be run in slices: it takes a count of
 * packs and goes on from where it was.
 */
export const spreadCounter = (
  pack: readonly Card[],
  rng: Rng,
): { run(packs: number): void; read(): SpreadCounts } => {
  const cards = Uint8Array.from(pack);
  const result = new Uint8Array(4);
  const counts = SPREAD_MEASURES.map(() => new Uint32Array(pack.length + 1));
  let total = 0;
  return {
    run: (packs) => {
      for (let round = 0; round < packs; round++) {
        for (let last = cards.length - 1; last > 0; last--) {
          const other = (rng() * (last + 1)) | 0;
          const card = cards[last];
          cards[last] = cards[other];
          cards[other] = card;
        }
        measureInto(cards, result);
        for (let measure = 0; measure < 4; measure++) counts[measure][result[measure]]++;
      }
      total += packs;
    },
    read: () => ({
      packs: total,
      counts: {
        colourRun: [...counts[COLOUR]],
        suitRun: [...counts[SUIT]],
        likeRanks: [...counts[LIKE]],
        sequences: [...counts[SEQUENCE]],
      },
    }),
  };
};

/**
 * Of 100 well-shuffled packs, how many show at most this much of a measure, half of the equal ones counted in:
 * 50 is as shuffled packs are, 100 far more orderly, 0 far less.
 */
export const spreadPercentile = (
  { packs, counts }: SpreadCounts,
  measure: SpreadMeasure,
  value: number,
): number => {
  const row = counts[measure];
  const less = row.slice(0, value).reduce((sum, count) => sum + count, 0);
  return packs === 0 ? 50 : ((less + (row[value] ?? 0) / 2) / packs) * 100;
};
