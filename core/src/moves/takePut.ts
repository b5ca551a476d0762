import { Card } from '../deck/card';
import { showCard } from '../deck/notation';
import { Order } from '../deck/order';
import { CARD, optional, ShapeOf } from '../deck/shape';
import { PLACE } from './counts';

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

export const take = (order: Order, { place }: Take): Order => order.filter((_, index) => index !== place - 1);

export const put = (order: Order, { place, card }: Put): Order => [
  ...order.slice(0, place - 1),
  card,
  ...order.slice(place - 1),
];

export const invertTake = ({ place, card }: Take): Put | undefined =>
  card === undefined ? undefined : { kind: 'put', place, card };

export const invertPut = ({ place, card }: Put): Take => ({ kind: 'take', place, card });

export const placeAfterTake = (move: Take, place: number): number | undefined =>
  place === move.place ? undefined : place > move.place ? place - 1 : place;

export const placeAfterPut = (move: Put, place: number): number => (place >= move.place ? place + 1 : place);

export const describeTake = ({ place, card }: Take): string =>
  `Take ${card === undefined ? 'the card' : showCard(card)} at ${place} out of the pack.`;

export const describePut = ({ place, card }: Put): string =>
  `Put ${showCard(card)} into the pack at ${place}.`;

export const TAKE_SHAPE: ShapeOf<Take> = { place: PLACE, card: optional(CARD) };
export const PUT_SHAPE: ShapeOf<Put> = { place: PLACE, card: CARD };
