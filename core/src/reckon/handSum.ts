import { add, result, start, SumLine } from '../deck/sumLine';
import { Card } from '../deck/card';
import { showCard } from '../deck/notation';
import { Order, placeOf } from '../deck/order';
import { offsetOf } from '../deck/offset';

export { add, result, start, type SumLine };

/**
 * Where a card lies, as a sum: its stack number less the face card's, and once round the pack where that is
 * not above zero. In a pack that is no turn of the home order there is nothing to add up: the place is given.
 *
 * @returns nothing when the card is not in the pack.
 */
export const placeSum = (home: Order, now: Order, card: Card): SumLine[] => {
  const place = placeOf(now, card);
  const stackNumber = placeOf(home, card);
  if (place === undefined) return [];
  const name = showCard(card);
  const offset = offsetOf(home, now);
  if (offset === undefined || stackNumber === undefined) return [start(place, `where ${name} lies`)];
  if (offset === 0) return [start(place, `where ${name} lies`)];
  return [
    start(stackNumber, `${name}’s stack number`),
    add(-offset, `${showCard(now[now.length - 1])} at the face`),
    ...(stackNumber > offset ? [] : [add(now.length, 'once round')]),
    result(place, `where ${name} lies`),
  ];
};

/**
 * The whole sum for a card at a number: where it lies, less the number, once round where that is the shorter
 * way, and what the rest means.
 *
 * @param number where it is wanted, 1 to N.
 */
export const handSum = (home: Order, now: Order, card: Card, number: number): SumLine[] => {
  const size = now.length;
  const place = placeOf(now, card);
  if (place === undefined) return [];
  const gap = place - number;
  const round = gap > size / 2 ? -size : gap < -size / 2 ? size : 0;
  const left = gap + round;
  const meaning = left === 0 ? 'it is there' : left > 0 ? 'too deep' : 'too high';
  return [
    ...placeSum(home, now, card),
    add(-number, 'the number named'),
    ...(round === 0 ? [] : [add(round, 'once round')]),
    result(left, meaning),
  ];
};
