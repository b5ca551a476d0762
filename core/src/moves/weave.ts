import { Order } from '../deck/order';
import { arrangeBy, Arrangement, invertArrangement, range } from './arrangement';
import { cards } from './wording';
import { oneOf, optional, ShapeOf } from '../deck/shape';
import { COUNT } from './counts';

/** Whether the top card stays on top (out) or becomes the second (in). */
export type WeaveKind = 'in' | 'out';

/** A perfect shuffle of the whole pack or of its top `top` cards. */
export interface Weave {
  readonly kind: 'weave';
  readonly weave: WeaveKind;
  /** How many cards from the top are woven; all of them when left out. */
  readonly top?: number;
}

/** The reverse of a weave: every other card is stripped out. */
export interface Unweave {
  readonly kind: 'unweave';
  readonly weave: WeaveKind;
  readonly top?: number;
}

/** The top `count` cards are woven into the top of the rest, of which there must be as many. */
export interface WeavePacket {
  readonly kind: 'weave packet';
  readonly weave: WeaveKind;
  readonly count: number;
}

/** The reverse of a packet's weave. */
export interface UnweavePacket {
  readonly kind: 'unweave packet';
  readonly weave: WeaveKind;
  readonly count: number;
}

/** One card from each of two rows in turn, the first row's first, until both have run out. */
const interleave = (first: readonly number[], second: readonly number[]): number[] =>
  first.flatMap((index, at) => (at < second.length ? [index, second[at]] : [index]));

/**
 * A perfect weave of `size` cards. Even: halves; out takes index i to 2i mod (N − 1), in to 2i + 1 mod (N + 1).
 * Odd: the larger part is on top for an out weave and below for an in weave: 2i mod N, and 2i + 1 mod N.
 */
export const weaveArrangement = (size: number, weave: WeaveKind): Arrangement => {
  const at = weave === 'out' ? Math.ceil(size / 2) : Math.floor(size / 2);
  const [upper, lower] = [range(0, at), range(at, size)];
  return weave === 'out' ? interleave(upper, lower) : interleave(lower, upper);
};

const packetArrangement = (count: number, weave: WeaveKind): Arrangement => {
  const [packet, rest] = [range(0, count), range(count, 2 * count)];
  return weave === 'out' ? interleave(packet, rest) : interleave(rest, packet);
};

/** An arrangement of the first cards of a pack of `size`; the others stay. */
const onTop = (arrangement: Arrangement, size: number): Arrangement => [
  ...arrangement,
  ...range(arrangement.length, size),
];

export const arrangeWeave = ({ weave, top }: Weave, size: number): Arrangement =>
  onTop(weaveArrangement(Math.min(top ?? size, size), weave), size);

export const arrangeUnweave = ({ weave, top }: Unweave, size: number): Arrangement =>
  onTop(invertArrangement(weaveArrangement(Math.min(top ?? size, size), weave)), size);

/** The most cards that can be woven into the rest of a pack. */
const packetCount = (count: number, size: number): number => Math.min(count, Math.floor(size / 2));

export const arrangeWeavePacket = ({ weave, count }: WeavePacket, size: number): Arrangement =>
  onTop(packetArrangement(packetCount(count, size), weave), size);

export const arrangeUnweavePacket = ({ weave, count }: UnweavePacket, size: number): Arrangement =>
  onTop(invertArrangement(packetArrangement(packetCount(count, size), weave)), size);

/** A perfect in or out weave of a whole order. */
export const weave = (order: Order, kind: WeaveKind): Order =>
  arrangeBy(order, weaveArrangement(order.length, kind));

/** Takes a weave of the same kind back. */
export const unweave = (order: Order, kind: WeaveKind): Order =>
  arrangeBy(order, invertArrangement(weaveArrangement(order.length, kind)));

const which = (top: number | undefined): string => (top === undefined ? 'the pack' : `the top ${cards(top)}`);

/** Which part of an odd number of cards is the larger one. */
const larger = (weave: WeaveKind, count: number | undefined): string =>
  count === undefined || count % 2 === 0
    ? ''
    : ` with ${cards(Math.ceil(count / 2))} in the ${weave === 'out' ? 'upper' : 'lower'} part and ${Math.floor(count / 2)} in the other`;

export const describeWeave = ({ weave, top }: Weave, size?: number): string =>
  `Weave ${which(top)} perfectly${larger(weave, top ?? size)}; the top card ` +
  (weave === 'out' ? 'stays on top (out).' : 'goes second (in).');

export const describeUnweave = ({ weave, top }: Unweave): string =>
  `Jog out every other card of ${which(top)} (the ${weave === 'out' ? 'second, fourth' : 'first, third'} and so on), ` +
  'strip those out in one packet and put it below the others.';

export const describeWeavePacket = ({ weave, count }: WeavePacket): string =>
  `Take the top ${cards(count)} and weave them into the top of the rest, ` +
  `${weave === 'out' ? 'their' : 'the rest’s'} first card on top.`;

export const describeUnweavePacket = ({ weave, count }: UnweavePacket): string =>
  `Jog out every other one of the top ${cards(count * 2)} (the ${weave === 'out' ? 'first, third' : 'second, fourth'} ` +
  'and so on), strip those out in one packet and put it on top.';

const WEAVE_KIND = oneOf('in', 'out');

export const WEAVE_SHAPE: ShapeOf<Weave> = { weave: WEAVE_KIND, top: optional(COUNT) };
export const WEAVE_PACKET_SHAPE: ShapeOf<WeavePacket> = { weave: WEAVE_KIND, count: COUNT };
