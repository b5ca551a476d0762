import { Card } from '../../deck/card';
import { showCard } from '../../deck/notation';
import { Order, placeOf } from '../../deck/order';
import { cards } from '../../moves/wording';
import { add, result, start } from '../handSum';
import { Reckoned, reckoned, unreckoned } from '../reckoning';

/** A packet of numbered cards behind some plain ones: a prediction for every number of its range. */
export interface Prediction {
  /** Plain cards on top of it, 0 or more. */
  readonly plain: number;
  /** The numbers on the cards, from the first to the last. */
  readonly from: number;
  readonly to: number;
  /** Every so many numbered cards one is marked, so that it is found by touch or sight; 0 for none. */
  readonly markEvery: number;
}

/** How to come to the card that bears a number. */
export interface PushOff {
  /** How many cards are pushed off so that it is the next one. */
  readonly count: number;
  /** The last marked number not beyond it, and how many more cards go after that one; none without marks. */
  readonly mark: { readonly number: number; readonly more: number } | undefined;
}

/** @returns undefined when the number is outside the prepared range. */
export const pushOff = ({ plain, from, to, markEvery }: Prediction, number: number): PushOff | undefined => {
  if (number < from || number > to) return undefined;
  const index = number - from;
  const marked = markEvery > 0 ? Math.floor((index + 1) / markEvery) * markEvery : 0;
  return {
    count: plain + index,
    mark: marked === 0 ? undefined : { number: from + marked - 1, more: index + 1 - marked },
  };
};

const sayPush = ({ count, mark }: PushOff, number: number): string =>
  mark === undefined
    ? `Push off ${cards(count)}: the next says ${number}`
    : mark.more === 0
      ? `Go to the marked card: it says ${number}`
      : `Go to the marked ${mark.number}, then ${mark.more} on: it says ${number}`;

/** What to ask for when the difference is outside the range: a second cut that fits, or another count. */
const insteadOf = (first: number, second: number, size: number, { from, to }: Prediction): string[] => {
  const [low, high] = [first + from, Math.min(size - 1, first + to)];
  const others: [number, string][] = [
    [first, 'the cards of the first packet'],
    [second, 'all cards cut off'],
    [size - second, 'the cards left on the table'],
  ];
  return [
    ...(low <= high ? [`Ask for the second cut again, between ${low} and ${high} cards deep.`] : []),
    ...others
      .filter(([count]) => count >= from && count <= to)
      .map(([count, words]) => `Or have them count ${words}: ${count}.`),
  ];
};

/**
 * A packet was cut and turned over onto the pack, then a deeper one: the cards seen tell both depths, the
 * difference is how many lie face up, and the first face-down card is the top card of before.
 */
export const reckonTwoCuts = (
  now: Order,
  firstSeen: Card,
  secondSeen: Card,
  prediction: Prediction,
): Reckoned => {
  const [first, second] = [placeOf(now, firstSeen), placeOf(now, secondSeen)];
  const missing = first === undefined ? firstSeen : second === undefined ? secondSeen : undefined;
  if (first === undefined || second === undefined)
    return unreckoned(`${showCard(missing ?? 0)} is not in this pack.`, 'Name the card that was seen.');
  if (second <= first)
    return unreckoned(
      `${showCard(secondSeen)} lies at ${second}, not deeper than ${showCard(firstSeen)} at ${first}.`,
      'Name the shallower cut first.',
    );
  const difference = second - first;
  const push = pushOff(prediction, difference);
  const { from, to } = prediction;
  return reckoned({
    answer: push
      ? sayPush(push, difference)
      : `${difference} is outside ${from} to ${to}: ${difference < from ? 'too close together' : 'too far apart'}`,
    notes: push
      ? [
          `${cards(difference)} lie face up; ${showCard(now[0])} is the first one face down.`,
          push.count === 0
            ? 'The packet stays as it is.'
            : `Afterwards put the ${cards(push.count)} pushed off back on top, as they came.`,
        ]
      : insteadOf(first, second, now.length, prediction),
    known: [
      { words: 'First cut', value: first },
      { words: 'Second cut', value: second },
      { words: 'Face up', value: difference },
      { words: 'First face down', card: now[0] },
      { words: 'Prediction', value: push ? `within ${from} to ${to}` : `outside ${from} to ${to}` },
    ],
    sum: [
      start(second, `where ${showCard(secondSeen)} lies`),
      add(-first, `where ${showCard(firstSeen)} lies`),
      result(difference, 'cards face up'),
      ...(push
        ? [
            add(-from, 'the first number'),
            add(prediction.plain, 'plain cards'),
            result(push.count, 'to push off'),
          ]
        : []),
    ],
    marks: [
      ...Array.from({ length: difference }, (_, index) => ({
        place: first + index + 1,
        mark: 'face up' as const,
      })),
      { place: first, mark: 'seen' },
      { place: 1, mark: 'wanted' },
    ],
  });
};
