import { Arrangement, range } from './arrangement';
import { FLAG, Part, ShapeOf } from '../deck/shape';
import { COUNT, PLACE } from './counts';

/** The cards from place `from` to place `to` (from 1, both included) go behind place `after`. */
export interface MovePacket {
  readonly kind: 'move packet';
  readonly from: number;
  readonly to: number;
  /** 0 for the top, or a place outside the packet, as the places are before the move. */
  readonly after: number;
  /** Whether the packet's order is reversed on the way. */
  readonly reversed: boolean;
}

/** The cards from place `from` to place `to` are reversed where they lie. */
export interface ReversePacket {
  readonly kind: 'reverse packet';
  readonly from: number;
  readonly to: number;
}

export const arrangeMovePacket = ({ from, to, after, reversed }: MovePacket, size: number): Arrangement => {
  const packet = range(from - 1, Math.min(to, size));
  const rest = [...range(0, from - 1), ...range(to, size)];
  const at = after < from ? after : after - packet.length;
  return [...rest.slice(0, at), ...(reversed ? packet.reverse() : packet), ...rest.slice(at)];
};

/** Lifts the packet from where it has come to lie and puts it back. */
export const invertMovePacket = (move: MovePacket, size: number): MovePacket => {
  const { from, reversed } = move;
  // What reaches beyond the pack moves as much as there is.
  const [last, after] = [Math.min(move.to, size), Math.min(move.after, size)];
  const count = last - from + 1;
  if (count <= 0) return move;
  const start = after < from ? after + 1 : after - count + 1;
  return {
    kind: 'move packet',
    from: start,
    to: start + count - 1,
    after: after < from ? last : from - 1,
    reversed,
  };
};

export const arrangeReversePacket = ({ from, to }: ReversePacket, size: number): Arrangement => [
  ...range(0, from - 1),
  ...range(from - 1, Math.min(to, size)).reverse(),
  ...range(Math.min(to, size), size),
];

const places = (from: number, to: number): string =>
  from === to ? `the card at ${from}` : `the cards from ${from} to ${to}`;

export const describeMovePacket = ({ from, to, after, reversed }: MovePacket): string =>
  `Lift ${places(from, to)}${reversed && from < to ? ', reverse their order' : ''} and put ${from === to ? 'it' : 'them'} ` +
  `${after === 0 ? 'on top' : `below the card now at ${after}`}.`;

export const describeReversePacket = ({ from, to }: ReversePacket): string =>
  `Reverse the order of ${places(from, to)} where they lie.`;

/** The last place of a packet, not before its first. */
const TO: Part = (value, fields) =>
  PLACE(value, fields) ??
  (Number(value) >= Number(fields['from'])
    ? undefined
    : { what: 'The packet ends before it begins.', remedy: 'Exchange the two places.' });

/** A place outside the packet. */
const AFTER: Part = (value, fields) =>
  COUNT(value, fields) ??
  (Number(value) < Number(fields['from']) || Number(value) >= Number(fields['to'])
    ? undefined
    : { what: 'The packet would go into itself.', remedy: 'Name a place outside it.' });

export const MOVE_PACKET_SHAPE: ShapeOf<MovePacket> = { from: PLACE, to: TO, after: AFTER, reversed: FLAG };
export const REVERSE_PACKET_SHAPE: ShapeOf<ReversePacket> = { from: PLACE, to: TO };
