import { Order } from '../deck/order';
import { Outcome } from '../deck/problem';
import { kindOf, Part, readBy } from '../deck/shape';
import { CUT, Cut } from './cut';
import { DEAL, Deal } from './deal';
import { DEAL_HEAPS, DealHeaps, UNDEAL_HEAPS, UndealHeaps } from './dealHeaps';
import { OVERHAND, Overhand } from './overhand';
import { MOVE_PACKET, MovePacket, REVERSE_PACKET, ReversePacket } from './packet';
import { RIFFLE, Riffle } from './riffle';
import { Rule } from './rule';
import { SWAP_CARDS, SwapCards } from './swapCards';
import { PUT, Put, TAKE, Take } from './takePut';
import {
  UNWEAVE,
  Unweave,
  UNWEAVE_PACKET,
  UnweavePacket,
  WEAVE,
  Weave,
  WEAVE_PACKET,
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
  | SwapCards
  | Weave
  | Unweave
  | WeavePacket
  | UnweavePacket
  | Riffle
  | Overhand
  | Take
  | Put;

/** Every kind of move. A new one is its file, a member of the union above and a row here; everything else knows it. */
export const MOVE_RULES: { readonly [Kind in Move['kind']]: Rule<Extract<Move, { kind: Kind }>, Move> } = {
  weave: WEAVE,
  unweave: UNWEAVE,
  'weave packet': WEAVE_PACKET,
  'unweave packet': UNWEAVE_PACKET,
  cut: CUT,
  deal: DEAL,
  'reverse packet': REVERSE_PACKET,
  'move packet': MOVE_PACKET,
  'swap cards': SWAP_CARDS,
  'deal heaps': DEAL_HEAPS,
  'undeal heaps': UNDEAL_HEAPS,
  riffle: RIFFLE,
  overhand: OVERHAND,
  take: TAKE,
  put: PUT,
};

const ruleFor = (move: Move): Rule<Move, Move> => MOVE_RULES[move.kind];

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
  Object.fromEntries(Object.entries(MOVE_RULES).map(([kind, { shape }]) => [kind, shape])),
);

/** Reads a move. Counts and places go up to the largest pack, whatever the pack that it will be done to. */
export const parseMove = (value: unknown): Outcome<{ readonly move: Move }> => readBy('move', MOVE, value);
