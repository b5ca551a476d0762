import { Card, cardOf, FULL_PACK, isCard, mateOf, Rank, Suit } from '../deck/card';
import { mod } from '../deck/mod';
import { showCard } from '../deck/notation';
import { Order } from '../deck/order';
import { Outcome } from '../deck/problem';
import { Factory, Mirrored, RankRow, Rotating, Rule } from './rule';

const refuse = (what: string, remedy: string): Outcome<{ order: Order }> => ({
  ok: false,
  problems: [{ what, remedy }],
});

const isRank = (rank: number): boolean => Number.isInteger(rank) && rank >= 1 && rank <= 13;

const isEachOnce = (items: readonly number[], count: number): boolean =>
  items.length === count && new Set(items).size === count;

const SUIT_PROBLEM = [
  'Each suit must be there once.',
  'Name all four, in the order in which they go round.',
] as const;

const rotating = ({ first, step, suits }: Rotating): Outcome<{ order: Order }> => {
  if (!isEachOnce(suits, 4)) return refuse(...SUIT_PROBLEM);
  if (!Number.isInteger(step) || step < 1 || step > 12)
    return refuse(`The step is ${step}.`, 'Choose a whole number from 1 to 12.');
  if (!isCard(first)) return refuse('The first card is not a card.', 'Write it as 9D.');
  if (first >= FULL_PACK)
    return refuse(`${showCard(first)} has no rank to step from.`, 'Begin with another card.');
  const start = suits.indexOf(Math.floor(first / 13) as Suit);
  const order = Array.from({ length: FULL_PACK }, (_, index) =>
    cardOf((mod((first % 13) + index * step, 13) + 1) as Rank, suits[(start + index) % 4]),
  );
  return { ok: true, order };
};

const rankRow = ({ ranks, suits }: RankRow): Outcome<{ order: Order }> => {
  if (!isEachOnce(suits, 4)) return refuse(...SUIT_PROBLEM);
  if (!isEachOnce(ranks, 13) || !ranks.every(isRank))
    return refuse(
      'Each rank must be in the row once.',
      'Write the thirteen ranks, such as 8 K 3 10 2 7 9 5 Q 4 A 6 J.',
    );
  const order = Array.from({ length: FULL_PACK }, (_, index) => cardOf(ranks[index % 13], suits[index % 4]));
  return { ok: true, order };
};

const mirrored = ({ kind, half }: Mirrored): Outcome<{ order: Order }> => {
  if (half.length !== FULL_PACK / 2)
    return refuse(`The first half has ${half.length} cards.`, 'Name 26, one of each pair of mates.');
  const joker = half.find((card) => !isCard(card) || card >= FULL_PACK);
  if (joker !== undefined)
    return refuse(
      isCard(joker) ? `${showCard(joker)} has no mate among the 52.` : 'One of them is not a card.',
      'Name 26 of the 52 cards, one of each pair of mates.',
    );
  const second = half.map(mateOf);
  const both = half.find((card, index) => second.includes(card) || half.indexOf(card) !== index);
  if (both !== undefined)
    return refuse(
      `${showCard(both)} or its mate ${showCard(mateOf(both))} is there already.`,
      'Keep one of each pair of mates in the first half.',
    );
  return { ok: true, order: [...half, ...(kind === 'palindrome' ? second.reverse() : second)] };
};

const factory = ({ suits, up }: Factory): Outcome<{ order: Order }> => {
  if (!isEachOnce(suits, 4)) return refuse(...SUIT_PROBLEM);
  if (up.length !== 4)
    return refuse(`There are ${up.length} signs.`, 'Write one for each of the four suits.');
  const order = suits.flatMap((suit, index) => {
    const run = Array.from({ length: 13 }, (_, rank) => suit * 13 + rank);
    return up[index] ? run : run.reverse();
  });
  return { ok: true, order };
};

/** The order that a rule computes, or why it computes none. */
export const orderByRule = (rule: Rule): Outcome<{ order: Order }> => {
  switch (rule.kind) {
    case 'rotating':
      return rotating(rule);
    case 'rank row':
      return rankRow(rule);
    case 'mirrored halves':
    case 'palindrome':
      return mirrored(rule);
    case 'factory':
      return factory(rule);
  }
};

/** One of each pair of mates, from a source of randomness: a first half for a mirrored order. */
export const halfOfMates = (shuffledPack: Order): Card[] => {
  const half: Card[] = [];
  for (const card of shuffledPack)
    if (card < FULL_PACK && !half.includes(card) && !half.includes(mateOf(card))) half.push(card);
  return half;
};
