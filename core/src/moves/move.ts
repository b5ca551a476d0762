import { Order } from '../deck/order';
import { arrangeBy, Arrangement, invertArrangement, placeIn } from './arrangement';
import { Cut, cut, describeCut, invertCut, placeAfterCut } from './cut';
import { Deal, deal, describeDeal, invertDeal, placeAfterDeal } from './deal';
import {
  arrangeDealHeaps,
  DealHeaps,
  describeDealHeaps,
  describeUndealHeaps,
  UndealHeaps,
} from './dealHeaps';
import { arrangeOverhand, describeOverhand, Overhand } from './overhand';
import {
  arrangeMovePacket,
  arrangeReversePacket,
  describeMovePacket,
  describeReversePacket,
  invertMovePacket,
  MovePacket,
  ReversePacket,
} from './packet';
import { arrangeRiffle, describeRiffle, Riffle } from './riffle';
import {
  describePut,
  describeTake,
  invertPut,
  invertTake,
  placeAfterPut,
  placeAfterTake,
  Put,
  put,
  Take,
  take,
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
  /** The order after the move. */
  apply(order: Order, move: M): Order;
  /** The move that takes it back, for a pack of `size` cards; undefined where there is none. */
  invert(move: M, size: number): Move | undefined;
  /** Where the card at `place` (from 1) goes in a pack of `size` cards; undefined when it leaves the pack. */
  place(move: M, place: number, size: number): number | undefined;
  /** One sentence that tells a person how to do it. */
  describe(move: M): string;
}

/** A move that is the same arrangement of places for every pack of a size. */
const arranging = <M extends Move>(
  arrange: (move: M, size: number) => Arrangement,
  invert: (move: M, size: number) => Move | undefined,
  describe: (move: M) => string,
): Rule<M> => ({
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
    apply: (order, { count }) => cut(order, count),
    invert: invertCut,
    place: placeAfterCut,
    describe: describeCut,
  },
  deal: {
    apply: (order, { count }) => deal(order, count),
    invert: invertDeal,
    place: placeAfterDeal,
    describe: describeDeal,
  },
  'deal heaps': arranging(arrangeDealHeaps, (move) => ({ ...move, kind: 'undeal heaps' }), describeDealHeaps),
  'undeal heaps': arranging(
    (move, size) => invertArrangement(arrangeDealHeaps({ ...move, kind: 'deal heaps' }, size)),
    (move) => ({ ...move, kind: 'deal heaps' }),
    describeUndealHeaps,
  ),
  'move packet': arranging(arrangeMovePacket, invertMovePacket, describeMovePacket),
  'reverse packet': arranging(arrangeReversePacket, (move) => move, describeReversePacket),
  weave: arranging(arrangeWeave, (move) => ({ ...move, kind: 'unweave' }), describeWeave),
  unweave: arranging(arrangeUnweave, (move) => ({ ...move, kind: 'weave' }), describeUnweave),
  'weave packet': arranging(
    arrangeWeavePacket,
    (move) => ({ ...move, kind: 'unweave packet' }),
    describeWeavePacket,
  ),
  'unweave packet': arranging(
    arrangeUnweavePacket,
    (move) => ({ ...move, kind: 'weave packet' }),
    describeUnweavePacket,
  ),
  riffle: arranging(arrangeRiffle, never, describeRiffle),
  overhand: arranging(arrangeOverhand, never, describeOverhand),
  take: { apply: take, invert: invertTake, place: placeAfterTake, describe: describeTake },
  put: { apply: put, invert: invertPut, place: placeAfterPut, describe: describePut },
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

/** How a person is told to do a move: one sentence. */
export const describeMove = (move: Move): string => ruleFor(move).describe(move);
