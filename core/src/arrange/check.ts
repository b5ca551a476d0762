import { Card } from '../deck/card';
import { mod } from '../deck/mod';
import { showCard } from '../deck/notation';
import { Order, placeOf } from '../deck/order';
import { countOfCards } from '../moves/wording';
import { offsetOf } from '../deck/offset';

/** What a pack told card by card looks like beside the order that it should be in. */
export interface PackCheck {
  /** Places from 1 at which something is odd: a card told twice, one not in the order, or one out of step. */
  readonly odd: readonly number[];
  readonly doubled: readonly Card[];
  /** Cards of the order that were not told; only once as many as it has have been. */
  readonly missing: readonly Card[];
  /** How far the whole pack is turned, when it is in order. */
  readonly offset: number | undefined;
  /** The verdict in sentences, the weightiest first. */
  readonly says: readonly string[];
}

/** The turn that most of the told cards agree on. */
const commonOffset = (home: Order, told: Order): number => {
  const votes = new Map<number, number>();
  told.forEach((card, index) => {
    const stackNumber = placeOf(home, card);
    if (stackNumber === undefined) return;
    const offset = mod(stackNumber - 1 - index, home.length);
    votes.set(offset, (votes.get(offset) ?? 0) + 1);
  });
  return [...votes].sort((a, b) => b[1] - a[1]).at(0)?.[0] ?? 0;
};

const names = (list: readonly Card[]): string => list.map(showCard).join(' ');

/**
 * Holds what was told of a pack, from the top, against its home order turned as most of it says.
 *
 * @param told the cards so far; the check may be made at any moment.
 */
export const checkPack = (home: Order, told: Order): PackCheck => {
  const offset = commonOffset(home, told);
  const doubled = told.filter((card, index) => told.indexOf(card) !== index);
  const missing = told.length < home.length ? [] : home.filter((card) => !told.includes(card));
  const odd = told.flatMap((card, index) =>
    card === home[mod(index + offset, home.length)] && told.indexOf(card) === index ? [] : [index + 1],
  );
  const whole = told.length === home.length ? offsetOf(home, told) : undefined;
  const says = [
    ...(told.length === 0 ? ['Nothing told yet.'] : []),
    ...(whole === undefined
      ? []
      : [whole === 0 ? 'The pack is in order.' : `The pack is in order, cut at ${whole}.`]),
    ...(told.length > 0 && odd.length === 0 && whole === undefined
      ? [`${countOfCards(told.length)} in order so far${offset === 0 ? '' : `, turned by ${offset}`}.`]
      : []),
    ...(odd.length > 0
      ? [`Out of step at ${odd.slice(0, 12).join(', ')}${odd.length > 12 ? ' …' : ''}.`]
      : []),
    ...(doubled.length > 0 ? [`There twice: ${names(doubled)}.`] : []),
    ...(missing.length > 0 ? [`Missing: ${names(missing)}.`] : []),
  ];
  return { odd, doubled, missing, offset: whole, says };
};

/**
 * The card that comes next in the pack if it goes on in order: the one after the card told last; where that is not of
 * the order, the one that lies there by the turn that most of it says.
 */
export const expectedNext = (home: Order, told: Order): Card => {
  const last = told.length === 0 ? undefined : placeOf(home, told[told.length - 1]);
  return home[mod(last ?? told.length + commonOffset(home, told), home.length)];
};
