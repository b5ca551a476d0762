import { Card } from '../deck/card';
import { Order } from '../deck/order';
import { oneOf, optional } from '../deck/shape';
import { COUNT } from './counts';
import { Rule } from './rule';
import { countOfCards } from './wording';

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

/** How many of `count` woven cards are in the upper part: of an odd number the larger part, for an out weave. */
export const upperOf = (count: number, kind: WeaveKind): number =>
  kind === 'out' ? (count + 1) >> 1 : count >> 1;

/**
 * A perfect weave of the top `count` cards: those of the upper part come to every other index from 0 (out) or from 1
 * (in), those of the lower part between them. Even: out takes index i to 2i mod (N − 1), in to 2i + 1 mod (N + 1);
 * odd: 2i mod N, and 2i + 1 mod N.
 */
const weaveTop = (order: Order, count: number, kind: WeaveKind): Order => {
  const after: Card[] = order.slice();
  const upper = upperOf(count, kind);
  const first = kind === 'out' ? 0 : 1;
  for (let index = 0; index < upper; index++) after[2 * index + first] = order[index];
  for (let index = upper; index < count; index++) after[2 * (index - upper) + 1 - first] = order[index];
  return after;
};

/** Takes such a weave back. */
const unweaveTop = (order: Order, count: number, kind: WeaveKind): Order => {
  const after: Card[] = order.slice();
  const upper = upperOf(count, kind);
  const first = kind === 'out' ? 0 : 1;
  for (let index = 0; index < upper; index++) after[index] = order[2 * index + first];
  for (let index = upper; index < count; index++) after[index] = order[2 * (index - upper) + 1 - first];
  return after;
};

/** Where such a weave takes the card at `place`, from 1. */
export const placeWoven = (place: number, count: number, kind: WeaveKind): number => {
  if (place > count) return place;
  const upper = upperOf(count, kind);
  const first = kind === 'out' ? 1 : 2;
  return place <= upper ? 2 * (place - 1) + first : 2 * (place - upper - 1) + 3 - first;
};

/** Where taking such a weave back takes the card at `place`, from 1. */
export const placeUnwoven = (place: number, count: number, kind: WeaveKind): number => {
  if (place > count) return place;
  const first = kind === 'out' ? 1 : 0;
  return place % 2 === first ? (place + 1) >> 1 : upperOf(count, kind) + ((place + 1) >> 1);
};

/** How many cards are woven: the top ones that are named, at most all. */
const woven = (top: number | undefined, size: number): number => Math.min(top ?? size, size);

/** Twice the cards of a packet that is woven into the rest, of which there must be as many. */
const both = (count: number, size: number): number => 2 * Math.min(count, size >> 1);

/** A perfect in or out weave of a whole order. */
export const weave = (order: Order, kind: WeaveKind): Order => weaveTop(order, order.length, kind);

/** Takes a weave of the same kind back. */
export const unweave = (order: Order, kind: WeaveKind): Order => unweaveTop(order, order.length, kind);

const which = (top: number | undefined): string =>
  top === undefined ? 'the pack' : `the top ${countOfCards(top)}`;

/** Which part of an odd number of cards is the larger one. */
const larger = (weave: WeaveKind, count: number | undefined): string =>
  count === undefined || count % 2 === 0
    ? ''
    : ` with ${countOfCards(Math.ceil(count / 2))} in the ${weave === 'out' ? 'upper' : 'lower'} part and ${Math.floor(count / 2)} in the other`;

const SHAPE = { weave: oneOf('in', 'out'), top: optional(COUNT) };
const PACKET_SHAPE = { weave: oneOf('in', 'out'), count: COUNT };

const kindOf = (word: string): WeaveKind => (word === 'in' ? 'in' : 'out');
const topOf = (count: string): { readonly top?: number } => (count === '' ? {} : { top: Number(count) });

export const WEAVE: Rule<Weave, Unweave> = {
  shape: SHAPE,
  written: {
    usage: 'out',
    says: 'a perfect weave, the top card staying on top; in: the top card second; out 16: the top 16 cards',
    pattern: /^(in|out)(?: (\d+))?$/,
    parse: ([word, count]) => ({ kind: 'weave', weave: kindOf(word), ...topOf(count) }),
  },
  apply: (order, { weave: kind, top }) => weaveTop(order, woven(top, order.length), kind),
  invert: (move) => ({ ...move, kind: 'unweave' }),
  place: ({ weave: kind, top }, place, size) => placeWoven(place, woven(top, size), kind),
  describe: ({ weave: kind, top }, size) =>
    `Weave ${which(top)} perfectly${larger(kind, top ?? size)}; the top card ` +
    (kind === 'out' ? 'stays on top (out).' : 'goes second (in).'),
};

export const UNWEAVE: Rule<Unweave, Weave> = {
  shape: SHAPE,
  written: {
    usage: 'unweave out',
    says: 'a perfect weave taken back, by stripping out every other card',
    pattern: /^unweave (in|out)(?: (\d+))?$/,
    parse: ([word, count]) => ({ kind: 'unweave', weave: kindOf(word), ...topOf(count) }),
  },
  apply: (order, { weave: kind, top }) => unweaveTop(order, woven(top, order.length), kind),
  invert: (move) => ({ ...move, kind: 'weave' }),
  place: ({ weave: kind, top }, place, size) => placeUnwoven(place, woven(top, size), kind),
  describe: ({ weave: kind, top }) =>
    `Jog out every other card of ${which(top)} (the ${kind === 'out' ? 'second, fourth' : 'first, third'} and so on), ` +
    'strip those out in one packet and put it below the others.',
};

export const WEAVE_PACKET: Rule<WeavePacket, UnweavePacket> = {
  shape: PACKET_SHAPE,
  written: {
    usage: 'weave 10 in',
    says: 'so many cards woven into the top of the rest',
    pattern: /^weave (\d+) (in|out)$/,
    parse: ([count, word]) => ({ kind: 'weave packet', weave: kindOf(word), count: Number(count) }),
  },
  apply: (order, { weave: kind, count }) => weaveTop(order, both(count, order.length), kind),
  invert: (move) => ({ ...move, kind: 'unweave packet' }),
  place: ({ weave: kind, count }, place, size) => placeWoven(place, both(count, size), kind),
  describe: ({ weave: kind, count }) =>
    `Take the top ${countOfCards(count)} and weave them into the top of the rest, ` +
    `${kind === 'out' ? 'their' : 'the rest’s'} first card on top.`,
};

export const UNWEAVE_PACKET: Rule<UnweavePacket, WeavePacket> = {
  shape: PACKET_SHAPE,
  written: {
    usage: 'unweave 10 in',
    says: 'so many cards stripped out of the top again',
    pattern: /^unweave (\d+) (in|out)$/,
    parse: ([count, word]) => ({ kind: 'unweave packet', weave: kindOf(word), count: Number(count) }),
  },
  apply: (order, { weave: kind, count }) => unweaveTop(order, both(count, order.length), kind),
  invert: (move) => ({ ...move, kind: 'weave packet' }),
  place: ({ weave: kind, count }, place, size) => placeUnwoven(place, both(count, size), kind),
  describe: ({ weave: kind, count }) =>
    `Jog out every other one of the top ${countOfCards(count * 2)} (the ${kind === 'out' ? 'first, third' : 'second, fourth'} ` +
    'and so on), strip those out in one packet and put it on top.',
};
