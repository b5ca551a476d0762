import { countOf } from '../deck/countOf';
import { Card, rankOf } from '../deck/card';
import { mod } from '../deck/mod';
import { showCard } from '../deck/notation';
import { Order } from '../deck/order';
import { weave, WeaveKind } from '../moves/weave';
import { Property } from './property';

/** Cards whose ranks go up or down by one, each so many places on from the one before, going round. */
export interface Sequence {
  readonly cards: readonly Card[];
  /** How many places from one card to the next: 1 when they are side by side. */
  readonly every: number;
}

/** The fewest cards that are called a sequence. */
const SHORTEST = 4;
/** The widest spacing that is looked at. */
const WIDEST = 13;

const sequenceFrom = (order: Order, start: number, every: number, direction: 1 | -1): Card[] => {
  const cards = [order[start]];
  while (cards.length * every < order.length) {
    const next = order[(start + cards.length * every) % order.length];
    const [a, b] = [rankOf(cards[cards.length - 1]), rankOf(next)];
    if (a === undefined || b === undefined || mod(b - a, 13) !== mod(direction, 13)) break;
    cards.push(next);
  }
  return cards;
};

/** The longest sequence of an order, the closest spaced among equals; undefined when all are shorter than four. */
export const longestSequence = (order: Order): Sequence | undefined => {
  let best: Sequence | undefined;
  for (let every = 1; every <= Math.min(WIDEST, order.length - 1); every++)
    for (let start = 0; start < order.length; start++)
      for (const direction of [1, -1] as const) {
        const cards = sequenceFrom(order, start, every, direction);
        if (cards.length >= SHORTEST && cards.length > (best?.cards.length ?? 0)) best = { cards, every };
      }
  return best;
};

/** How far apart these cards lie in an order, when it is always as far; going round. */
export const evenSpacing = (order: Order, cards: readonly Card[]): number | undefined => {
  const places = cards.map((card) => order.indexOf(card));
  const step = mod(places[1] - places[0], order.length);
  return places.every((place, index) => index === 0 || mod(place - places[index - 1], order.length) === step)
    ? step
    : undefined;
};

export const sequencesSurvive = (order: Order, kind: WeaveKind): Property => {
  const id = `sequence after ${kind} weave`;
  const sequence = longestSequence(order);
  if (!sequence)
    return {
      id,
      says: `a sequence of four or more survives an ${kind} weave`,
      holds: false,
      count: 0,
      of: 0,
      evidence: [],
    };
  const { cards, every } = sequence;
  const after = weave(order, kind);
  const spacing = evenSpacing(after, cards);
  return {
    id,
    says: `its longest sequence (${countOf(cards.length, 'card')}) survives an ${kind} weave`,
    holds: spacing !== undefined,
    count: spacing === undefined ? 0 : cards.length,
    of: cards.length,
    evidence: [
      `${cards.map(showCard).join(' ')}: ${says(every)} before`,
      spacing === undefined ? 'not evenly spaced after it' : `${says(spacing)} after it`,
    ],
  };
};

const says = (every: number): string => (every === 1 ? 'side by side' : `every ${every} places`);
