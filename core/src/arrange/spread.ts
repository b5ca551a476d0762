import { Card, colourOf, isJoker, rankOf, suitOf } from '../deck/card';
import { Order } from '../deck/order';
import { Rng, seededRng } from '../deck/rng';
import { JobRule } from '../job/job';

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

/** Card numbers are below this, a power of two. */
const CARDS = 128;
const CARD_BITS = 7;

/** A card that is like no other: what the first one is compared with. */
const NO_CARD = CARDS - 1;

/** What two neighbours have in common, a bit each. */
const [SAME_COLOUR, SAME_SUIT, SAME_RANK, NEXT_RANK] = [0, 1, 2, 3];

const common = (before: Card, card: Card): number => {
  if (before === NO_CARD || card === NO_CARD || isJoker(before) || isJoker(card)) return 0;
  const gap = Math.abs((rankOf(before) ?? 0) - (rankOf(card) ?? 0));
  return (
    (Number(colourOf(before) === colourOf(card)) << SAME_COLOUR) |
    (Number(suitOf(before) === suitOf(card)) << SAME_SUIT) |
    (Number(gap === 0) << SAME_RANK) |
    (Number(gap === 1 || gap === 12) << NEXT_RANK)
  );
};

/** By card and card before it: one look into a table tells all, and the loop needs no branches that are guessed wrongly. */
const COMMON = Uint8Array.from({ length: CARDS * CARDS }, (_, index) =>
  common(index >> CARD_BITS, index % CARDS),
);

/**
 * Measures the cards of an array from the face up, without making anything new; the caller owns `result` (4 numbers).
 * No measure depends on the end from which one looks.
 *
 * @param rng shuffles the cards on the way (Fisher–Yates): a card is where it stays once it is looked at.
 */
const measureInto = (cards: Uint8Array, result: Uint8Array, rng?: Rng): void => {
  let colourRun = 0;
  let suitRun = 0;
  let likeRanks = 0;
  let sequences = 0;
  let longestColour = 0;
  let longestSuit = 0;
  let before = NO_CARD;
  for (let last = cards.length - 1; last >= 0; last--) {
    let card = cards[last];
    if (rng && last > 0) {
      const other = (rng() * (last + 1)) | 0;
      const drawn = cards[other];
      cards[other] = card;
      cards[last] = drawn;
      card = drawn;
    }
    const both = COMMON[(before << CARD_BITS) | card];
    // A run goes on, or begins with this card.
    colourRun = Math.imul(colourRun, (both >> SAME_COLOUR) & 1) + 1;
    suitRun = Math.imul(suitRun, (both >> SAME_SUIT) & 1) + 1;
    if (colourRun > longestColour) longestColour = colourRun;
    if (suitRun > longestSuit) longestSuit = suitRun;
    likeRanks += (both >> SAME_RANK) & 1;
    sequences += (both >> NEXT_RANK) & 1;
    before = card;
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
        measureInto(cards, result, rng);
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

/** How many packs are shuffled between two steps of the job. */
const SLICE = 1000;

/** Shuffles so many packs of the same cards and counts what they show; yields how many are done. */
export const SPREADS: JobRule<
  { readonly pack: readonly Card[]; readonly packs: number; readonly seed: number },
  number,
  SpreadCounts
> = {
  *start({ pack, packs, seed }) {
    const counter = spreadCounter(pack, seededRng(seed));
    for (let done = 0; done < packs; done += SLICE) {
      counter.run(Math.min(SLICE, packs - done));
      yield Math.min(packs, done + SLICE);
    }
    return counter.read();
  },
};
