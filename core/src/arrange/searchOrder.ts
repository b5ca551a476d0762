import { Card, colourOf, firstOf, isJoker, Rank, rankOf, RANKS, Suit, suitOf, SUITS } from '../deck/card';
import { speakRank, speakSuit } from '../deck/notation';
import { Order } from '../deck/order';
import { Problem } from '../deck/problem';
import { Rng, shuffled } from '../deck/rng';
import { Conditions, violations } from './conditions';

/** How a search ended: with an order, with the proof that there is none, or before it was through. */
type Search = Order | 'none' | 'not through';

/** Nodes that one attempt may visit; the last attempt may visit more, so that small packs are searched through. */
const NODES = 3_000;
const LAST_NODES = 60_000;
const ATTEMPTS = 12;

const countBy = (cards: readonly Card[], of: (card: Card) => number | undefined): number[] => {
  const counts: number[] = [];
  for (const card of cards) {
    const key = of(card);
    if (key !== undefined) counts[key] = (counts[key] ?? 0) + 1;
  }
  return counts;
};

const tooMany = (count: number, size: number, words: string): Problem => ({
  what: `${count} of ${size} cards are ${words}: they cannot all be kept apart, going round.`,
  remedy: 'Ask for less, or change the cards.',
});

/**
 * Why no order of these cards can keep the conditions, as far as counting shows it: more than half of them have
 * the same rank or suit, or too few cards of the other colour part the runs.
 */
export const whyNoOrder = (
  pack: readonly Card[],
  { ranksApart, suitsApart, colourRun }: Conditions,
): Problem | undefined => {
  const size = pack.length;
  const ranks = countBy(pack, rankOf);
  const suits = countBy(pack, suitOf);
  const rank = ranksApart ? RANKS.find((each) => 2 * (ranks[each] ?? 0) > size) : undefined;
  if (rank !== undefined) return tooMany(ranks[rank], size, `of the rank ${speakRank(rank)}`);
  const suit = suitsApart ? SUITS.find((each) => 2 * (suits[each] ?? 0) > size) : undefined;
  if (suit !== undefined) return tooMany(suits[suit], size, speakSuit(suit));
  if (colourRun === undefined || colourRun >= size) return undefined;
  for (const colour of ['black', 'red'] as const) {
    const count = pack.filter((card) => colourOf(card) === colour).length;
    if (count > colourRun * (size - count))
      return {
        what: `${count} of ${size} cards are ${colour}: some stand more than ${colourRun} in a row, going round.`,
        remedy: 'Allow a longer run, or change the cards.',
      };
  }
  return undefined;
};

/** Cards that no condition tells apart. */
const typeOf = (card: Card): number => (isJoker(card) ? -1 : firstOf(card));

/** One attempt: card by card from the first place, the card whose like are most numerous first, taken back where it leads nowhere. */
const attempt = (pack: readonly Card[], conditions: Conditions, rng: Rng, nodes: number): Search => {
  const { ranksApart, suitsApart, colourRun } = conditions;
  // Going round, any card may be the first.
  const [first, ...others] = shuffled(pack, rng);
  const order: Card[] = [first];
  const left = [...others];
  const ranks = countBy(left, rankOf);
  const suits = countBy(left, suitOf);
  let visited = 0;

  const count = (card: Card, by: 1 | -1): void => {
    const [rank, suit] = [rankOf(card), suitOf(card)];
    if (rank !== undefined) ranks[rank] += by;
    if (suit !== undefined) suits[suit] += by;
  };
  const likes = <Key extends Rank | Suit>(on: boolean, a: Key | undefined, b: Key | undefined): boolean =>
    on && a !== undefined && a === b;
  const mayFollow = (card: Card): boolean => {
    const before = order[order.length - 1];
    if (likes(ranksApart, rankOf(before), rankOf(card))) return false;
    if (likes(suitsApart, suitOf(before), suitOf(card))) return false;
    if (colourRun === undefined || order.length < colourRun) return true;
    const colour = colourOf(card);
    return colour === undefined || order.slice(-colourRun).some((each) => colourOf(each) !== colour);
  };
  /** What has more than every other place left can no longer be kept apart. */
  const canGoOn = (): boolean => {
    const most = Math.ceil(left.length / 2);
    return (
      (!ranksApart || ranks.every((each) => each <= most)) &&
      (!suitsApart || suits.every((each) => each <= most))
    );
  };
  const pressing = (card: Card): number =>
    (ranksApart ? (ranks[rankOf(card) ?? 0] ?? 0) : 0) + (suitsApart ? (suits[suitOf(card) ?? -1] ?? 0) : 0);

  const fill = (): Search => {
    if (left.length === 0) return violations(order, conditions) === 0 ? order : 'none';
    if (++visited > nodes) return 'not through';
    const tried = new Set<number>();
    const candidates = left
      .filter(mayFollow)
      .map((card) => ({ card, weight: pressing(card) + 2 * rng() }))
      .sort((a, b) => b.weight - a.weight);
    for (const { card } of candidates) {
      if (tried.has(typeOf(card))) continue;
      tried.add(typeOf(card));
      left.splice(left.indexOf(card), 1);
      order.push(card);
      count(card, -1);
      const found = canGoOn() ? fill() : 'none';
      if (found !== 'none') return found;
      count(card, 1);
      order.pop();
      left.push(card);
    }
    return 'none';
  };
  return fill();
};

/**
 * Searches for an order that keeps the conditions, with backtracking and fresh starts.
 *
 * @returns the order; `none` where there is proof that there is none; `not through` where the search was given up.
 */
export const searchOrder = (pack: readonly Card[], conditions: Conditions, rng: Rng): Search => {
  for (let time = 1; time <= ATTEMPTS; time++) {
    const found = attempt(pack, conditions, rng, time === ATTEMPTS ? LAST_NODES : NODES);
    if (found !== 'not through') return found;
  }
  return 'not through';
};
