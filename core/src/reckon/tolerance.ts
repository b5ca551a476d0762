import { Card } from '../deck/card';
import { Order, placeOf } from '../deck/order';
import { Handling, handlings } from './handling';
import { LARGEST_PACK } from '../deck/card';
import { Outcome } from '../deck/problem';
import { FLAG, readBy, shape, ShapeOf, whole } from '../deck/shape';

/** Which handlings a performer is happy to use. */
export interface Tolerance {
  /** The most cards to move from one end to the other. */
  readonly shift: number;
  readonly turnTheNext: boolean;
  readonly fromTheFace: boolean;
  /** A cut in the open. */
  readonly cut: boolean;
  /** Holding the helper to another number. */
  readonly hold: boolean;
}

export const ALL_HANDLINGS: Tolerance = {
  shift: 6,
  turnTheNext: true,
  fromTheFace: true,
  cut: true,
  hold: true,
};

/** Whether a handling is one that the performer is happy with. */
export const isTolerated = ({ way, counting, displaced }: Handling, tolerance: Tolerance): boolean =>
  (counting !== 'turn the next' || tolerance.turnTheNext) &&
  (counting !== 'from the face' || tolerance.fromTheFace) &&
  (way === 'cut' ? tolerance.cut : way === 'hold' ? tolerance.hold : displaced <= tolerance.shift);

/** All handlings, those that the performer is happy with first; the others stay, in their own order. */
export const toleratedFirst = (ways: readonly Handling[], tolerance: Tolerance): Handling[] => [
  ...ways.filter((way) => isTolerated(way, tolerance)),
  ...ways.filter((way) => !isTolerated(way, tolerance)),
];

/** The numbers about a card's place for which at most `most` cards move, 1 to N; undefined without the card. */
export const easyRange = (
  now: Order,
  card: Card,
  most: number,
): { readonly from: number; readonly to: number } | undefined => {
  const place = placeOf(now, card);
  return place === undefined
    ? undefined
    : { from: Math.max(1, place - most), to: Math.min(now.length, place + most) };
};

/** What a pair of a card and a number needs: nothing, a few cards, a cut in the open, or more than is tolerated. */
export type Need = 'nothing' | 'little' | 'cut' | 'more';

export const NEEDS: readonly Need[] = ['nothing', 'little', 'cut', 'more'];

/**
 * What every card at every number needs as the pack lies now: `map[place − 1][number − 1]`, the card being told
 * by its place.
 */
export const handlingMap = (now: Order, tolerance: Tolerance): Need[][] =>
  now.map((card) => now.map((_, index) => needOf(handlings(now, card, index + 1), tolerance)));

const needOf = (ways: readonly Handling[], tolerance: Tolerance): Need => {
  const tolerated = ways.filter((way) => way.way !== 'hold' && isTolerated(way, tolerance));
  const shifts = tolerated.filter(({ way }) => way === 'shift');
  if (shifts.some(({ displaced }) => displaced === 0)) return 'nothing';
  if (shifts.length > 0) return 'little';
  return tolerated.length > 0 ? 'cut' : 'more';
};

const SHAPE: ShapeOf<Tolerance> = {
  shift: whole(0, LARGEST_PACK),
  turnTheNext: FLAG,
  fromTheFace: FLAG,
  cut: FLAG,
  hold: FLAG,
};

export const parseTolerance = (value: unknown): Outcome<{ readonly tolerance: Tolerance }> =>
  readBy('tolerance', shape(SHAPE), value);
