import { Order } from '../deck/order';
import { Cut, cut, describeCut, invertCut, placeAfterCut } from './cut';
import { Deal, deal, describeDeal, invertDeal, placeAfterDeal } from './deal';

/** Anything done to a pack, as a plain value that can be stored and sent. */
export type Move = Cut | Deal;

/** What every kind of move knows how to do. */
interface Rule<M extends Move> {
  /** The order after the move. */
  apply(order: Order, move: M): Order;
  /** The move that takes it back, for a pack of `size` cards. */
  invert(move: M, size: number): Move;
  /** Where the card at `place` (from 1) goes in a pack of `size` cards. */
  place(move: M, place: number, size: number): number;
  /** One sentence that tells a person how to do it. */
  describe(move: M): string;
}

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
};

const ruleFor = (move: Move): Rule<Move> => rules[move.kind];

/** The order after a move; the order given stays as it is. */
export const applyMove = (order: Order, move: Move): Order => ruleFor(move).apply(order, move);

/** The move that takes `move` back, in a pack of `size` cards. */
export const invertMove = (move: Move, size: number): Move => ruleFor(move).invert(move, size);

/** Where a move takes the card at `place` (1 to size), from 1. */
export const placeAfterMove = (move: Move, place: number, size: number): number =>
  ruleFor(move).place(move, place, size);

/** How a person is told to do a move: one sentence. */
export const describeMove = (move: Move): string => ruleFor(move).describe(move);
