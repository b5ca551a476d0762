import { Card, cardOf, colourOf, mateOf, Rank, rankOf, Suit, suitOf, SUITS } from '../../deck/card';
import { showCard, showRank } from '../../deck/notation';
import { Order, placeOf } from '../../deck/order';
import { applyMove, Move } from '../../moves/move';
import { Reckoned, reckoned, unreckoned } from '../reckoning';
import { list, num } from '../../form/fields';
import { Pattern } from './pattern';

/** Three cards that lead to a missing one: one of the other colour, one of its rank, one of its suit. */
export interface Pointers {
  readonly otherColour: Card;
  readonly sameRank: Card;
  readonly sameSuit: Card;
}

const nearest = (now: Order, but: readonly Card[], fits: (card: Card) => boolean): Card | undefined =>
  now.find((card) => !but.includes(card) && fits(card));

/**
 * The three cards to show for a missing one, those nearest to the top, each of them a different card. Its mate
 * stands for its rank where it is there; where no card of its suit is left, its mate stands for its suit.
 *
 * @returns undefined where the pack lacks one of them.
 */
export const pointersTo = (now: Order, missing: Card): Pointers | undefined => {
  const mate = mateOf(missing);
  const [rank, suit, colour] = [rankOf(missing), suitOf(missing), colourOf(missing)];
  const sameSuit = nearest(now, [missing], (card) => suitOf(card) === suit && rankOf(card) !== rank);
  const sameRank =
    sameSuit !== undefined && now.includes(mate)
      ? mate
      : nearest(now, [missing, mate], (card) => rankOf(card) === rank);
  const suited = sameSuit ?? (now.includes(mate) ? mate : undefined);
  const otherColour = nearest(
    now,
    [missing, ...(sameRank === undefined ? [] : [sameRank])],
    (card) => colourOf(card) !== undefined && colourOf(card) !== colour && rankOf(card) !== rank,
  );
  return otherColour === undefined || sameRank === undefined || suited === undefined
    ? undefined
    : { otherColour, sameRank, sameSuit: suited };
};

/** Moves that bring cards to the top, the first of them uppermost: the last one first, each from where it lies. */
export const toTheTop = (now: Order, cards: readonly Card[]): Move[] => {
  const moves: Move[] = [];
  let pack = now;
  for (const card of [...cards].reverse()) {
    const place = placeOf(pack, card);
    if (place === undefined || place === 1) continue;
    const move: Move = { kind: 'move packet', from: place, to: place, after: 0, reversed: false };
    moves.push(move);
    pack = applyMove(pack, move);
  }
  return moves;
};

/**
 * A group of like ranks is one short after a shuffle: the missing card is the one of its suits that is not
 * there. Then which three cards to bring to the top, and in which order.
 *
 * @param now the pack as it lies, without the card taken or still with it.
 * @param seen the suits of the cards that are there.
 */
export const reckonShortGroup = (now: Order, rank: Rank, seen: readonly Suit[]): Reckoned => {
  const left = SUITS.filter((suit) => !seen.includes(suit));
  if (left.length === 0)
    return unreckoned(`All four ${showRank(rank)}s were seen.`, 'Look for a group with only three.');
  if (left.length > 1)
    return reckoned({
      answer: `One of ${left.map((suit) => showCard(cardOf(rank, suit))).join(' ')}`,
      notes: ['Tell which of the group are there: three suits leave one card.'],
      known: left.map((suit) => ({ words: 'May be missing', card: cardOf(rank, suit) })),
      marks: left.flatMap((suit) => markAt(now, cardOf(rank, suit), 'missing')),
    });
  const missing = cardOf(rank, left[0]);
  const pack = now.filter((card) => card !== missing);
  const pointers = pointersTo(pack, missing);
  if (!pointers)
    return unreckoned(
      `${showCard(missing)} is missing, but this pack lacks a card of its suit, of its rank or of the other colour.`,
      'Name the card outright.',
    );
  const suited = suitOf(pointers.sameSuit) === suitOf(missing);
  const cards = [pointers.otherColour, pointers.sameRank, pointers.sameSuit];
  return reckoned({
    answer: `${showCard(missing)} is missing; bring ${cards.map(showCard).join(' ')} to the top`,
    notes: [
      `From the top: ${showCard(cards[0])} (the other colour), ${showCard(cards[1])} (its rank), ${showCard(cards[2])} (${suited ? 'its suit' : 'its mate, as no other card of its suit is left'}).`,
    ],
    known: [
      { words: 'Missing', card: missing },
      { words: 'The other colour', card: cards[0] },
      { words: 'Its rank', card: cards[1] },
      { words: suited ? 'Its suit' : 'Its mate, for its suit', card: cards[2] },
    ],
    marks: [...markAt(now, missing, 'missing'), ...cards.flatMap((card) => markAt(now, card, 'wanted'))],
    moves: [
      ...(now.includes(missing)
        ? [{ kind: 'take', place: placeOf(now, missing) ?? 1, card: missing } as const]
        : []),
      ...toTheTop(pack, cards),
    ],
  });
};

const markAt = (
  now: Order,
  card: Card,
  mark: 'missing' | 'wanted',
): { readonly place: number; readonly mark: 'missing' | 'wanted' }[] => {
  const place = placeOf(now, card);
  return place === undefined ? [] : [{ place, mark }];
};

/** How it is asked. */
export const SHORT_GROUP: Pattern = {
  path: 'short-group',
  lead: 'After a shuffle one group of like ranks is short. Which card is it, and which three lead to it?',
  fields: [
    { name: 'rank', label: 'The short rank', asks: 'Which rank is short?', kind: 'rank' },
    {
      name: 'suits',
      label: 'Suits that are there',
      asks: 'Which suits of it are there?',
      kind: 'suits',
      optional: true,
    },
  ],
  example: () => ({ rank: 7, suits: [0, 1, 3] }),
  reckon: (values, { now }) =>
    reckonShortGroup(now, num(values, 'rank') as Rank, list(values, 'suits') as readonly Suit[]),
};
