import { Order } from '../deck/order';
import { Outcome } from '../deck/problem';
import { kindOf, Part, readBy, ShapeOf } from '../deck/shape';
import { arrangeBy, Arrangement, invertArrangement, placeIn } from './arrangement';
import { Cut, cut, CUT_SHAPE, describeCut, invertCut, placeAfterCut } from './cut';
import { Deal, deal, DEAL_SHAPE, describeDeal, invertDeal, placeAfterDeal } from './deal';
import {
  arrangeDealHeaps,
  DEAL_HEAPS_SHAPE,
  DealHeaps,
  describeDealHeaps,
  describeUndealHeaps,
  UndealHeaps,
} from './dealHeaps';
import { arrangeOverhand, describeOverhand, Overhand, OVERHAND_SHAPE } from './overhand';
import {
  arrangeMovePacket,
  arrangeReversePacket,
  describeMovePacket,
  describeReversePacket,
  invertMovePacket,
  MOVE_PACKET_SHAPE,
  MovePacket,
  REVERSE_PACKET_SHAPE,
  ReversePacket,
} from './packet';
import { arrangeRiffle, describeRiffle, Riffle, RIFFLE_SHAPE } from './riffle';
import {
  describePut,
  describeTake,
  invertPut,
  invertTake,
  placeAfterPut,
  placeAfterTake,
  Put,
  put,
  PUT_SHAPE,
  Take,
  take,
  TAKE_SHAPE,
} from './takePut';
import {
  arrangeUnweave,
  arrangeUnweavePacket,
  arrangeWeave,
  arrangeWeavePacket,
  describeUnweave,
  describeUnweavePacket,
  describeWeave,
  describeWeavePacket,
  Unweave,
  UnweavePacket,
  Weave,
  WEAVE_PACKET_SHAPE,
  WEAVE_SHAPE,
  WeavePacket,
} from './weave';

/** Anything done to a pack, as a plain value that can be stored and sent. */
export type Move =
  | Cut
  | Deal
  | DealHeaps
  | UndealHeaps
  | MovePacket
  | ReversePacket
  | Weave
  | Unweave
  | WeavePacket
  | UnweavePacket
  | Riffle
  | Overhand
  | Take
  | Put;

/** What every kind of move knows how to do. */
interface Rule<M extends Move> {
  /** What its fields must be when it is read from storage or a file. */
  readonly shape: ShapeOf<M>;
  /** The order after the move. */
  apply(order: Order, move: M): Order;
  /** The move that takes it back, for a pack of `size` cards; undefined where there is none. */
  invert(move: M, size: number): Move | undefined;
  /** Where the card at `place` (from 1) goes in a pack of `size` cards; undefined when it leaves the pack. */
  place(move: M, place: number, size: number): number | undefined;
  /** One sentence that tells a person how to do it, to a pack of `size` cards where that is known. */
  describe(move: M, size?: number): string;
}

/** A move that is the same arrangement of places for every pack of a size. */
const arranging = <M extends Move>(
  shape: ShapeOf<M>,
  arrange: (move: M, size: number) => Arrangement,
  invert: (move: M, size: number) => Move | undefined,
  describe: (move: M, size?: number) => string,
): Rule<M> => ({
  shape,
  apply: (order, move) => arrangeBy(order, arrange(move, order.length)),
  invert,
  place: (move, place, size) => placeIn(arrange(move, size), place),
  describe,
});

/** Chance made it: nobody can take it back. */
const never = (): undefined => undefined;

/** A new kind of move is added to the union above and to this table, and everything knows it. */
const rules: { [Kind in Move['kind']]: Rule<Extract<Move, { kind: Kind }>> } = {
  cut: {
    shape: CUT_SHAPE,
    apply: (order, { count }) => cut(order, count),
    invert: invertCut,
    place: placeAfterCut,
    describe: describeCut,
  },
  deal: {
    shape: DEAL_SHAPE,
    apply: (order, { count }) => deal(order, count),
    invert: invertDeal,
    place: placeAfterDeal,
    describe: describeDeal,
  },
  'deal heaps': arranging(
    DEAL_HEAPS_SHAPE,
    arrangeDealHeaps,
    (move) => ({ ...move, kind: 'undeal heaps' }),
    describeDealHeaps,
  ),
  'undeal heaps': arranging<UndealHeaps>(
    DEAL_HEAPS_SHAPE,
    (move, size) => invertArrangement(arrangeDealHeaps({ ...move, kind: 'deal heaps' }, size)),
    (move) => ({ ...move, kind: 'deal heaps' }),
    describeUndealHeaps,
  ),
  'move packet': arranging(MOVE_PACKET_SHAPE, arrangeMovePacket, invertMovePacket, describeMovePacket),
  'reverse packet': arranging(
    REVERSE_PACKET_SHAPE,
    arrangeReversePacket,
    (move) => move,
    describeReversePacket,
  ),
  weave: arranging(WEAVE_SHAPE, arrangeWeave, (move) => ({ ...move, kind: 'unweave' }), describeWeave),
  unweave: arranging(WEAVE_SHAPE, arrangeUnweave, (move) => ({ ...move, kind: 'weave' }), describeUnweave),
  'weave packet': arranging(
    WEAVE_PACKET_SHAPE,
    arrangeWeavePacket,
    (move) => ({ ...move, kind: 'unweave packet' }),
    describeWeavePacket,
  ),
  'unweave packet': arranging(
    WEAVE_PACKET_SHAPE,
    arrangeUnweavePacket,
    (move) => ({ ...move, kind: 'weave packet' }),
    describeUnweavePacket,
  ),
  riffle: arranging(RIFFLE_SHAPE, arrangeRiffle, never, describeRiffle),
  overhand: arranging(OVERHAND_SHAPE, arrangeOverhand, never, describeOverhand),
  take: { shape: TAKE_SHAPE, apply: take, invert: invertTake, place: placeAfterTake, describe: describeTake },
  put: { shape: PUT_SHAPE, apply: put, invert: invertPut, place: placeAfterPut, describe: describePut },
};

const ruleFor = (move: Move): Rule<Move> => rules[move.kind];

/** The order after a move; the order given stays as it is. */
export const applyMove = (order: Order, move: Move): Order => ruleFor(move).apply(order, move);

/**
 * The move that takes `move` back, in a pack of `size` cards before it.
 *
 * @returns undefined for what chance did (riffle, overhand) and for a card taken that is not known.
 */
export const invertMove = (move: Move, size: number): Move | undefined => ruleFor(move).invert(move, size);

/** Where a move takes the card at `place` (1 to size), from 1; undefined when it takes it out of the pack. */
export const placeAfterMove = (move: Move, place: number, size: number): number | undefined =>
  ruleFor(move).place(move, place, size);

/**
 * How a person is told to do a move: one sentence.
 *
 * @param size how many cards the pack has; where it is told, the sentence can be exact about its parts.
 */
export const describeMove = (move: Move, size?: number): string => ruleFor(move).describe(move, size);

/** A move that is stored or stands in a file. */
export const MOVE: Part = kindOf(
  Object.fromEntries(Object.entries(rules).map(([kind, { shape }]) => [kind, shape])),
);

/** Reads a move. Counts and places go up to the largest pack, whatever the pack that it will be done to. */
export const parseMove = (value: unknown): Outcome<{ readonly move: Move }> => readBy('move', MOVE, value);
