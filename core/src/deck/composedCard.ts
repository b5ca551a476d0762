import { Card, cardOf, looksLike, rankOf, suitOf } from './card';
import { Order } from './order';

export type ComposedWay = 'rank then suit' | 'suit then rank';

/**
 * The card with the rank of one of the two top cards and the suit of the other, and its place among the rest:
 * from the top for rank then suit, from the face for suit then rank. Of two copies it is the one met first.
 *
 * @returns undefined where a joker names nothing; no place where it is one of the two or not there.
 */
export const composedCardAt = (
  now: Order,
  way: ComposedWay,
): { readonly card: Card; readonly place: number | undefined } | undefined => {
  const [ranked, suited] = way === 'rank then suit' ? [now[0], now[1]] : [now[1], now[0]];
  const [rank, suit] = [rankOf(ranked), suitOf(suited)];
  if (rank === undefined || suit === undefined) return undefined;
  const named = cardOf(rank, suit);
  const rest = now.slice(2);
  const counted = way === 'rank then suit' ? rest : rest.reverse();
  const card = counted.find((each) => looksLike(each, named));
  return card === undefined ? { card: named, place: undefined } : { card, place: counted.indexOf(card) + 1 };
};
