import { Card } from '../../deck/card';
import { showCard } from '../../deck/notation';
import { Order, placeOf } from '../../deck/order';
import { countOfCards, ordinal } from '../../moves/wording';
import { add, result, start, SumLine } from '../handSum';
import { Reckoned, reckoned, unreckoned } from '../reckoning';
import { cardField, num, setupField } from '../../form/fields';
import { cardAtPart, Pattern } from './pattern';

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

/** The first marked card, the 2nd, the 3rd … of a prediction. */
const whichMark = ({ from, markEvery }: Prediction, number: number): string => {
  const which = (number - from + 1) / markEvery;
  return which === 1 ? 'first' : ordinal(which);
};

const sayPush = (prediction: Prediction, { count, mark }: PushOff, number: number): string => {
  if (mark === undefined) return `Push off ${countOfCards(count)}: the next says ${number}`;
  const marked = `Go to the ${whichMark(prediction, mark.number)} marked card`;
  return mark.more === 0
    ? `${marked}: it says ${number}`
    : `${marked} (${mark.number}), then ${mark.more} on: it says ${number}`;
};

/**
 * How the pack comes back to what it was: the cards between the two cuts lie face up and reversed on top, the cards
 * of the first cut below them.
 */
const resetPack = (now: Order, first: number, second: number): string[] => {
  const [between, behind] = [now[first], now.at(second)];
  const many = countOfCards(second - first);
  return [
    `Reset the pack: put ${showCard(now[0])} back on top of the face-down cards.`,
    second - first === 1
      ? `Turn the face-up card, ${showCard(between)}, face down.`
      : `Turn the ${many} that lie face up over in one packet: ${showCard(between)} on top, ${showCard(now[second - 1])} at the face. ` +
        'If they were counted singly, count them back first.',
    `Put ${second - first === 1 ? 'it' : 'the packet'} below ${showCard(now[first - 1])}` +
      (behind === undefined ? ', at the face.' : `, above ${showCard(behind)}.`),
  ];
};

/** How the prediction comes back into its sequence, after the card with the number was shown. */
const resetPrediction = ({ plain, from, to }: Prediction, { count }: PushOff, number: number): string[] => [
  `Reset the prediction: put ${number} back on ${number < to ? `${number + 1}` : 'the rest'}` +
    (count === 0 ? '.' : `, and the ${countOfCards(count)} pushed off on top of it, as they came.`),
  `Look for ${from}: it lies at ${plain + 1}, ` +
    (plain === 0 ? 'on top' : `right below the ${plain === 1 ? 'plain card' : `${plain} plain cards`}`) +
    (from < to ? `, and ${to} at ${plain + to - from + 1}.` : '.'),
];

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

/** The depths of two cuts, and how many cards lie between them. */
export interface TwoCuts {
  readonly first: number;
  readonly second: number;
  readonly difference: number;
}

/** @returns undefined where a card is not in the pack, or the second lies no deeper than the first. */
export const twoCuts = (now: Order, firstSeen: Card, secondSeen: Card): TwoCuts | undefined => {
  const [first, second] = [placeOf(now, firstSeen), placeOf(now, secondSeen)];
  if (first === undefined || second === undefined || second <= first) return undefined;
  return { first, second, difference: second - first };
};

export const differenceSum = (
  { first, second, difference }: TwoCuts,
  firstSeen: Card,
  secondSeen: Card,
): readonly SumLine[] => [
  start(second, `where ${showCard(secondSeen)} lies`),
  add(-first, `where ${showCard(firstSeen)} lies`),
  result(difference, 'cards face up'),
];

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
  const missing = [firstSeen, secondSeen].find((card) => !now.includes(card));
  if (missing !== undefined)
    return unreckoned(`${showCard(missing)} is not in this pack.`, 'Name the card that was seen.');
  const found = twoCuts(now, firstSeen, secondSeen);
  if (!found)
    return unreckoned(
      `${showCard(secondSeen)} lies at ${placeOf(now, secondSeen)}, not deeper than ${showCard(firstSeen)} at ${placeOf(now, firstSeen)}.`,
      'Name the shallower cut first.',
    );
  const { first, second, difference } = found;
  const push = pushOff(prediction, difference);
  const { from, to } = prediction;
  return reckoned({
    answer: push
      ? sayPush(prediction, push, difference)
      : `${difference} is outside ${from} to ${to}: ${difference < from ? 'too close together' : 'too far apart'}`,
    notes: push
      ? [
          `${countOfCards(difference)} ${difference === 1 ? 'lies' : 'lie'} face up; ${showCard(now[0])} is the first one face down.`,
          ...resetPack(now, first, second),
          ...resetPrediction(prediction, push, difference),
        ]
      : [...insteadOf(first, second, now.length, prediction), ...resetPack(now, first, second)],
    known: [
      { words: 'First cut', value: first },
      { words: 'Second cut', value: second },
      { words: 'Face up', value: difference },
      { words: 'First face down', card: now[0] },
      { words: 'Prediction', value: push ? `within ${from} to ${to}` : `outside ${from} to ${to}` },
    ],
    sum: [
      ...differenceSum(found, firstSeen, secondSeen),
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

/** How it is asked. */
export const TWO_CUTS: Pattern = {
  path: 'two-cuts',
  lead: 'A packet is cut and turned over onto the pack, then a deeper one.',
  fields: [
    cardField('first', 'At the first cut', 'Which card was at the first cut?'),
    cardField('second', 'At the deeper cut', 'Which card was at the deeper cut?'),
    setupField('plain', 'Plain cards on the prediction', 3, { least: 0 }),
    setupField('from', 'Numbers from', 6),
    setupField('to', 'Numbers to', 27),
    setupField('markEvery', 'One marked in (0: none)', 4, { least: 0 }),
  ],
  example: ({ now }) => ({ first: cardAtPart(now, 0.25), second: cardAtPart(now, 0.5) }),
  reckon: (values, { now }) =>
    reckonTwoCuts(now, num(values, 'first'), num(values, 'second'), {
      plain: num(values, 'plain'),
      from: num(values, 'from'),
      to: num(values, 'to'),
      markEvery: num(values, 'markEvery'),
    }),
};
