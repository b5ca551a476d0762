import { Card, cardOf, colourOf, mateOf, Rank, rankOf, Suit, suitOf, SUITS } from '../../deck/card';
import { showCard, showRank } from '../../deck/notation';
import { Order, placeOf } from '../../deck/order';
import { applyMove, Move } from '../../moves/move';
import { Reckoned, reckoned, unreckoned } from '../reckoning';
import { list, maybe, num, setupField } from '../../form/fields';
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

/** Which three are loaded: three that lead to it, or the others of its rank, in either order. */
export const LOADS = [
  'other colour, rank, suit',
  'the other three of its rank',
  'two of the other colour, then the mate',
] as const;

interface Loaded {
  readonly card: Card;
  readonly words: string;
}

/** The three cards to load, the first of them to lie on top; undefined where the pack lacks one. */
const loadedFor = (now: Order, missing: Card, load: number): readonly Loaded[] | undefined => {
  if (load === 0) {
    const pointers = pointersTo(now, missing);
    if (!pointers) return undefined;
    const suited = suitOf(pointers.sameSuit) === suitOf(missing);
    return [
      { card: pointers.otherColour, words: 'the other colour' },
      { card: pointers.sameRank, words: 'its rank' },
      {
        card: pointers.sameSuit,
        words: suited ? 'its suit' : 'its mate, as no other card of its suit is left',
      },
    ];
  }
  const mate = mateOf(missing);
  // As they lie, so that they need not change their order; or those of the other colour first.
  const others = now.filter((card) => rankOf(card) === rankOf(missing) && card !== missing);
  const inOrder = load === 1 ? others : [...others.filter((card) => card !== mate), mate];
  if (others.length !== 3) return undefined;
  return inOrder.map((card) => ({
    card,
    words: card === mate ? 'its mate' : load === 1 ? 'its rank' : 'the other colour, its rank',
  }));
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
 * @param seen the suits of the cards that are there. @param load which three: an index of `LOADS`.
 */
export const reckonShortGroup = (now: Order, rank: Rank, seen: readonly Suit[], load = 0): Reckoned => {
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
  const loaded = loadedFor(pack, missing, load);
  if (!loaded)
    return unreckoned(
      load === 0
        ? `${showCard(missing)} is missing, but this pack lacks a card of its suit, of its rank or of the other colour.`
        : `${showCard(missing)} is missing, but not just three of its rank are left.`,
      'Name the card outright.',
    );
  const cards = loaded.map(({ card }) => card);
  return reckoned({
    answer: `${showCard(missing)} is missing; bring ${cards.map(showCard).join(' ')} to the top`,
    notes: [`From the top: ${loaded.map(({ card, words }) => `${showCard(card)} (${words})`).join(', ')}.`],
    known: [
      { words: 'Missing', card: missing },
      ...loaded.map(({ card, words }) => ({ words: words.charAt(0).toUpperCase() + words.slice(1), card })),
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
  lead: 'After a shuffle one group of four is a card short. Which card is it, and which three lead to it?',
  fields: [
    { name: 'rank', label: 'The short rank', asks: 'Which rank is short?', kind: 'rank' },
    {
      name: 'suits',
      label: 'Suits that are there',
      asks: 'Which suits of it are there?',
      kind: 'suits',
      optional: true,
    },
    setupField('load', 'Bring to the top', 0, { kind: 'choice', options: LOADS }),
  ],
  example: () => ({ rank: 7, suits: [0, 1, 3] }),
  reckon: (values, { now }) =>
    reckonShortGroup(
      now,
      num(values, 'rank') as Rank,
      list(values, 'suits') as readonly Suit[],
      maybe(values, 'load'),
    ),
};
