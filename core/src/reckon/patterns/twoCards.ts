import { countOf } from '../../deck/countOf';
import { Card } from '../../deck/card';
import { showCard } from '../../deck/notation';
import { Order, placeOf } from '../../deck/order';
import { cut } from '../../moves/cut';
import { countOfCards } from '../../moves/wording';
import { add, result, start } from '../handSum';
import { cutBetween } from '../../deck/offset';
import { Reckoned, reckoned, unreckoned } from '../reckoning';
import { cardField, num, numberField } from '../../form/fields';
import { cardAtPart, Pattern } from './pattern';

/** What one cut does to two cards at two numbers. */
export interface TwoCards {
  /** Where their card lies, from 1. */
  readonly place: number;
  /** How many cards are cut from the top, 0 to N − 1. */
  readonly count: number;
  /** The card that then lies at their number, and where it lies before the cut. */
  readonly claim: Card;
  readonly claimAt: number;
}

/**
 * Two cards at two numbers: their card comes to my number by one cut, and that decides which card lies at their
 * number: the one to claim as mine.
 *
 * @param mine my number, where their card shall be. @param theirs their number. Both 1 to N.
 * @returns undefined where the card or a number is not in the pack, or both numbers are one.
 */
export const twoCards = (now: Order, card: Card, mine: number, theirs: number): TwoCards | undefined => {
  const [place, size] = [placeOf(now, card), now.length];
  const outside = [mine, theirs].some((number) => number < 1 || number > size);
  if (place === undefined || outside || mine === theirs) return undefined;
  const count = cutBetween(place, mine, size);
  const claim = cut(now, count)[theirs - 1];
  return { place, count, claim, claimAt: placeOf(now, claim) ?? 0 };
};

export const reckonTwoCards = (now: Order, card: Card, mine: number, theirs: number): Reckoned => {
  const size = now.length;
  if (!now.includes(card)) return unreckoned(`${showCard(card)} is not in this pack.`, 'Name another card.');
  if ([mine, theirs].some((number) => number < 1 || number > size))
    return unreckoned(`The pack has ${countOf(size, 'card')}.`, `Name numbers from 1 to ${size}.`);
  const found = twoCards(now, card, mine, theirs);
  if (!found)
    return unreckoned(
      'Both numbers are the same: only their card can lie there.',
      'Take another number as yours.',
    );
  const { place, count, claim, claimAt } = found;
  return reckoned({
    answer: `${count === 0 ? 'Leave the pack as it is' : `Cut so that ${showCard(now[count - 1])} comes to the face`}; claim ${showCard(claim)}`,
    notes: [
      ...(place === theirs
        ? [`${showCard(card)} already lies at ${theirs}, their number: without a cut it is there.`]
        : []),
      ...(place === mine ? [`${showCard(card)} already lies at ${mine}: no cut is needed.`] : []),
      `Then ${showCard(card)} is at ${mine} and ${showCard(claim)} at ${theirs}.`,
      ...(count === 0
        ? []
        : [
            `The cut is ${countOfCards(Math.min(count, size - count))} from ${count <= size - count ? 'top to bottom' : 'bottom to top'}.`,
          ]),
    ],
    known: [
      { words: `${showCard(card)} lies at`, value: place },
      { words: 'To claim', card: claim },
      { words: 'It lies now at', value: claimAt },
    ],
    sum: [
      start(place, `where ${showCard(card)} lies`),
      add(-mine, 'my number'),
      ...(place < mine ? [add(size, 'once round')] : []),
      result(count, 'cards to cut'),
      add(theirs, 'their number'),
      ...(count + theirs > size ? [add(-size, 'once round')] : []),
      result(claimAt, `where ${showCard(claim)} lies now`),
    ],
    marks: [
      { place, mark: 'wanted' },
      { place: claimAt, mark: 'seen' },
      { place: mine, mark: 'number' },
    ],
    moves: count === 0 ? [] : [{ kind: 'cut', count }],
  });
};

/** How it is asked. */
export const TWO_CARDS: Pattern = {
  path: 'two-cards',
  lead: 'Their card comes to your number; which card do you claim for theirs?',
  fields: [
    cardField('card', 'Their card', 'Which is their card?'),
    numberField('mine', 'Your number', 'Which is your number?'),
    numberField('theirs', 'Their number', 'Which is their number?'),
  ],
  example: ({ now }) => ({
    card: cardAtPart(now, 0.4),
    mine: Math.ceil(now.length / 4),
    theirs: now.length - 2,
  }),
  reckon: (values, { now }) =>
    reckonTwoCards(now, num(values, 'card'), num(values, 'mine'), num(values, 'theirs')),
};
