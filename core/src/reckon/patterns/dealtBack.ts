import { Card } from '../../deck/card';
import { showCard } from '../../deck/notation';
import { Order, placeOf } from '../../deck/order';
import { Move, placeAfterMove } from '../../moves/move';
import { add, result, start, SumLine } from '../handSum';
import { Reckoned, reckoned, unreckoned } from '../reckoning';
import { cardField, list, num } from '../../form/fields';
import { cardAtPart, Pattern } from './pattern';

/**
 * Where a card ends when so many are counted singly and dropped back, again and again.
 *
 * @param place 1 to N. @param counts how many are counted in each round, 1 to N.
 * @returns the place before the first round and after each.
 */
export const placesAfterDeals = (place: number, counts: readonly number[], size: number): number[] =>
  counts.reduce<number[]>(
    (places, count) => [
      ...places,
      placeAfterMove({ kind: 'deal', count }, places[places.length - 1], size) ?? places[places.length - 1],
    ],
    [place],
  );

/** The rounds as sums. @param places before the first round and after each. */
export const roundsSum = (places: readonly number[], counts: readonly number[]): readonly SumLine[] =>
  counts.flatMap((count, round) =>
    places[round] > count
      ? [result(places[round], `not among ${count}: stays`)]
      : [
          start(count, `round ${round + 1}`),
          add(1, 'and one'),
          add(-places[round], 'where it lay'),
          result(places[round + 1], 'where it lies'),
        ],
  );

/** Counted and dropped back, in rounds: a card within the count goes to the count and one less its place. */
export const reckonDealtBack = (now: Order, card: Card, counts: readonly number[]): Reckoned => {
  const [place, size] = [placeOf(now, card), now.length];
  if (place === undefined) return unreckoned(`${showCard(card)} is not in this pack.`, 'Name another card.');
  if (counts.length === 0)
    return unreckoned('No count was named.', 'Name one for each round, such as 9 or 9 14.');
  const wrong = counts.find((count) => count < 1 || count > size);
  if (wrong !== undefined)
    return unreckoned(`${wrong} cannot be counted from ${size} cards.`, `Count from 1 to ${size}.`);
  const places = placesAfterDeals(place, counts, size);
  const last = places[places.length - 1];
  return reckoned({
    answer: `${showCard(card)} ends at ${last}`,
    notes: [
      places.length > 2 ? `Round by round: ${places.join(', ')}.` : `It lay at ${place}.`,
      ...(counts.length > 1 && counts.every((count) => count === counts[0]) && counts.length % 2 === 0
        ? ['The same count twice puts everything back.']
        : []),
    ],
    known: places.map((each, round) => ({
      words: round === 0 ? 'It lies at' : `After ${counts[round - 1]}`,
      value: each,
    })),
    sum: roundsSum(places, counts),
    marks: [
      { place, mark: 'wanted' },
      { place: last, mark: 'number' },
    ],
    moves: counts.map((count): Move => ({ kind: 'deal', count })),
  });
};

/** How it is asked. */
export const DEALT_BACK: Pattern = {
  path: 'dealt-back',
  lead: 'So many are counted singly and dropped back, in rounds. Where does the card end?',
  fields: [
    cardField('card', 'The card', 'Which card is followed?'),
    {
      name: 'counts',
      label: 'Counted in each round',
      asks: 'How many are counted in each round?',
      kind: 'numbers',
    },
  ],
  example: ({ now }) => ({ card: cardAtPart(now, 0.1), counts: [9, 14] }),
  reckon: (values, { now }) => reckonDealtBack(now, num(values, 'card'), list(values, 'counts')),
};
