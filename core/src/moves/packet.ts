import { FLAG, Part } from '../deck/shape';
import { Arrangement, arranging, range } from './arrangement';
import { COUNT, PLACE } from './counts';
import { Rule } from './rule';

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

const arrangeMove = ({ from, to, after, reversed }: MovePacket, size: number): Arrangement => {
  const packet = range(from - 1, Math.min(to, size));
  const rest = [...range(0, from - 1), ...range(to, size)];
  const at = after < from ? after : after - packet.length;
  return [...rest.slice(0, at), ...(reversed ? packet.reverse() : packet), ...rest.slice(at)];
};

/** Lifts the packet from where it has come to lie and puts it back. */
const invertMove = (move: MovePacket, size: number): MovePacket => {
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

const places = (from: number, to: number): string =>
  from === to ? `the card at ${from}` : `the cards from ${from} to ${to}`;

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

export const MOVE_PACKET: Rule<MovePacket> = {
  shape: { from: PLACE, to: TO, after: AFTER, reversed: FLAG },
  written: {
    usage: 'block 5 9 to 30',
    says: 'the cards from one place to another put below a third; reversed block turns their order about',
    pattern: /^((?:reversed|turned) )?block (\d+) (\d+) to (\d+)$/,
    parse: ([reversed, ...numbers]) => {
      const [from, to, after] = numbers.map(Number);
      return from >= 1 && from <= to && (after < from || after > to)
        ? { kind: 'move packet', from, to, after, reversed: reversed !== '' }
        : undefined;
    },
  },
  ...arranging(arrangeMove),
  invert: invertMove,
  describe: ({ from, to, after, reversed }) =>
    `Lift ${places(from, to)}${reversed && from < to ? ', reverse their order' : ''} and put ${from === to ? 'it' : 'them'} ` +
    `${after === 0 ? 'on top' : `below the card now at ${after}`}.`,
};

export const REVERSE_PACKET: Rule<ReversePacket> = {
  shape: { from: PLACE, to: TO },
  written: {
    usage: 'reverse 5 20',
    says: 'the cards from one place to another reversed where they lie',
    pattern: /^reverse (\d+)(?: to)? (\d+)$/,
    parse: ([from, to]) =>
      Number(from) >= 1 && Number(from) < Number(to)
        ? { kind: 'reverse packet', from: Number(from), to: Number(to) }
        : undefined,
  },
  apply: (order, { from, to }) => {
    const after = order.slice();
    const last = Math.min(to, order.length) - 1;
    for (let low = from - 1, high = last; low <= last; low++, high--) after[low] = order[high];
    return after;
  },
  // It undoes itself.
  invert: (move) => move,
  place: ({ from, to }, place, size) =>
    place < from || place > to ? place : from + Math.min(to, size) - place,
  describe: ({ from, to }) => `Reverse the order of ${places(from, to)} where they lie.`,
};
