import { countOf } from '../../deck/countOf';
import { Card, mateOf } from '../../deck/card';
import { showCard } from '../../deck/notation';
import { Order, placeOf } from '../../deck/order';
import { Move } from '../../moves/move';
import { add, result, start, SumLine } from '../handSum';
import { Reckoned, reckoned, unreckoned } from '../reckoning';
import { cardField, num } from '../../form/fields';
import { Pattern } from './pattern';

/** The cards between two in an order, going down from the upper one, round the pack where need be. */
export const cardsBetween = (order: Order, above: Card, below: Card): Card[] | undefined => {
  const [from, to] = [placeOf(order, above), placeOf(order, below)];
  if (from === undefined || to === undefined || from === to) return undefined;
  const count = (to - from - 1 + order.length) % order.length;
  return Array.from({ length: count }, (_, index) => order[(from + index) % order.length]);
};

/** Where the first card of a gap lay, from the card above it, both in the order. */
export const gapSum = (order: Order, above: Card, first: Card): readonly SumLine[] => {
  const from = placeOf(order, above) ?? 0;
  return [
    start(from, `where ${showCard(above)} lies`),
    add(1, 'the next'),
    ...(from < order.length ? [] : [add(-order.length, 'once round')]),
    result(placeOf(order, first) ?? 0, `where ${showCard(first)} lay`),
  ];
};

/** Whether the whole order has its mates half the pack apart, so that one half tells the other. */
const isMirrored = (order: Order): boolean =>
  order.length % 2 === 0 &&
  order.every((card, index) => order[(index + order.length / 2) % order.length] === mateOf(card));

/**
 * The neighbours of a gap are seen: which one or two cards were taken from between them, and how they go back.
 *
 * @param now the pack before anything was taken, at any turn.
 */
export const reckonGap = (now: Order, above: Card, below: Card): Reckoned => {
  const taken = cardsBetween(now, above, below);
  if (!taken) {
    const lacking = placeOf(now, above) === undefined ? above : below;
    return above === below
      ? unreckoned('Both neighbours are the same card.', 'Name the card above the gap and the one below it.')
      : unreckoned(`${showCard(lacking)} is not in this pack.`, 'Name the cards on both sides of the gap.');
  }
  if (taken.length === 0)
    return unreckoned(
      `${showCard(below)} follows ${showCard(above)} in this order: nothing is missing there.`,
      'Look further along.',
    );
  if (taken.length > 2)
    return unreckoned(
      `${countOf(taken.length, 'card')} ${taken.length === 1 ? 'lies' : 'lie'} between ${showCard(above)} and ${showCard(below)} in this order.`,
      'One or two may be told; check the two neighbours, or which of them is the upper one.',
    );
  const names = taken.map(showCard).join(' and ');
  const [first] = taken;
  return reckoned({
    answer: taken.length === 1 ? `The card is ${names}` : `The cards are ${names}`,
    notes: [
      taken.length === 1
        ? `Put it back between ${showCard(above)} and ${showCard(below)} and the order holds.`
        : `Put them back with ${showCard(taken[0])} above ${showCard(taken[1])}, between ${showCard(above)} and ${showCard(below)}.`,
      ...(isMirrored(now)
        ? [
            `Parted at the gap, look through from the top: ${showCard(mateOf(above))}, the mate of the face card; ` +
              `then ${taken.map((card) => showCard(mateOf(card))).join(' ')}; then ${showCard(mateOf(below))}, the mate of the top card. ` +
              `What lies between ${taken.length === 1 ? 'is the mate of theirs' : 'are the mates of theirs, the first that of the upper one'}.`,
          ]
        : []),
    ],
    sum: gapSum(now, above, first),
    moves: taken.map((card, index): Move => ({
      kind: 'take',
      place:
        placeOf(
          now.filter((each) => !taken.slice(0, index).includes(each)),
          card,
        ) ?? 1,
      card,
    })),
    known: [
      { words: 'Above', card: above },
      ...taken.map((card) => ({ words: 'Missing', card })),
      { words: 'Below', card: below },
      { words: 'It lay at', value: placeOf(now, first) ?? '' },
    ],
    marks: [
      { place: placeOf(now, above) ?? 1, mark: 'seen' },
      ...taken.map((card) => ({ place: placeOf(now, card) ?? 1, mark: 'missing' as const })),
      { place: placeOf(now, below) ?? 1, mark: 'seen' },
    ],
  });
};

/** How it is asked. */
export const GAP: Pattern = {
  path: 'gap',
  lead: 'One or two cards were taken; you see what lies above and below the gap.',
  fields: [
    cardField('above', 'Above the gap', 'Which card lies above the gap?'),
    cardField('below', 'Below the gap', 'Which card lies below the gap?'),
  ],
  example: ({ now }) => ({ above: now[1], below: now[3 % now.length] }),
  reckon: (values, { now }) => reckonGap(now, num(values, 'above'), num(values, 'below')),
};
