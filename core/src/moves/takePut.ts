import { Card } from '../deck/card';
import { parseCard, showCard } from '../deck/notation';
import { Order, placeOf } from '../deck/order';
import { CARD, optional } from '../deck/shape';
import { PLACE } from './counts';
import { Rule } from './rule';

/** The card at `place` (from 1) leaves the pack. */
export interface Take {
  readonly kind: 'take';
  readonly place: number;
  /** Which card that was, where it is known: only then can it be put back. */
  readonly card?: Card;
}

/** A card comes into the pack, to lie at `place` (1 to N + 1). */
export interface Put {
  readonly kind: 'put';
  readonly place: number;
  readonly card: Card;
}

export const TAKE: Rule<Take, Put> = {
  shape: { place: PLACE, card: optional(CARD) },
  written: {
    usage: 'take 5',
    says: 'the card at a place taken out of the pack',
    pattern: /^take (\d+)$/,
    parse: ([place], now) =>
      Number(place) >= 1 ? { kind: 'take', place: Number(place), card: now[Number(place) - 1] } : undefined,
  },
  apply: (order, { place }) => order.filter((_, index) => index !== place - 1),
  invert: ({ place, card }) => (card === undefined ? undefined : { kind: 'put', place, card }),
  place: (move, place) => (place === move.place ? undefined : place > move.place ? place - 1 : place),
  describe: ({ place, card }) =>
    `Take ${card === undefined ? 'the card' : showCard(card)} at ${place} out of the pack.`,
};

/** A card that is put into the pack must not be in it yet. */
const parsePut = ([text, where]: readonly string[], now: Order): Put | string => {
  const [card, place] = [parseCard(text), Number(where)];
  if (card === undefined) return `“${text.slice(0, 20)}” is not a card.`;
  if (placeOf(now, card) !== undefined) return `${showCard(card)} is in the pack already. Take it out first.`;
  return place >= 1 && place <= now.length + 1
    ? { kind: 'put', place, card }
    : `It can go to a place from 1 to ${now.length + 1}.`;
};

export const PUT: Rule<Put, Take> = {
  shape: { place: PLACE, card: CARD },
  written: {
    usage: 'put 7D 5',
    says: 'a card put into the pack at a place',
    pattern: /^put (\S+) (\d+)$/,
    parse: parsePut,
  },
  apply: (order, { place, card }) => [...order.slice(0, place - 1), card, ...order.slice(place - 1)],
  invert: ({ place, card }) => ({ kind: 'take', place, card }),
  place: (move, place) => (place >= move.place ? place + 1 : place),
  describe: ({ place, card }) => `Put ${showCard(card)} into the pack at ${place}.`,
};
