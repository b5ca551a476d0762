import { Card, colourOf, mateOf, rankOf, suitOf } from '../deck/card';
import { composedCardAt, ComposedWay } from '../deck/composedCard';
import { showCard } from '../deck/notation';
import { Order } from '../deck/order';
import { cut } from '../moves/cut';

/** How two cards may be alike. */
export type Relation = 'mates' | 'of the same rank' | 'of the same suit' | 'of the same colour';

/** What may be asked of an order, cut anywhere. Places count from 1. */
export type Question =
  /** The top card and the one `distance` below it. */
  | { readonly kind: 'apart'; readonly relation: Relation; readonly distance: number }
  /** The two cards on top are laid aside; where the card that they name lies among the rest. */
  | { readonly kind: 'composed card'; readonly way: ComposedWay; readonly place: number }
  /** The ranks of the next `count` cards add up to the number cut and `more` (which may be below 0). */
  | { readonly kind: 'sum'; readonly count: number; readonly more: number }
  /** These cards lie side by side, in any order. */
  | { readonly kind: 'together'; readonly cards: readonly Card[] };

/** What holds for one cut, and how one sees it. */
export interface CutCase {
  /** How many cards were cut. */
  readonly cut: number;
  readonly ok: boolean;
  readonly says: string;
}

/** The answer over every cut of an order, from none to N − 1. */
export interface QuestionAnswer {
  readonly holds: boolean;
  readonly count: number;
  readonly cases: readonly CutCase[];
}

const RELATIONS: Readonly<Record<Relation, (a: Card, b: Card) => boolean>> = {
  mates: (a, b) => mateOf(a) === b,
  'of the same rank': (a, b) => rankOf(a) !== undefined && rankOf(a) === rankOf(b),
  'of the same suit': (a, b) => suitOf(a) !== undefined && suitOf(a) === suitOf(b),
  'of the same colour': (a, b) => colourOf(a) !== undefined && colourOf(a) === colourOf(b),
};

type Verdict = Omit<CutCase, 'cut'>;

const apart = (now: Order, relation: Relation, distance: number): Verdict => {
  const [a, b] = [now[0], now[distance % now.length]];
  return { ok: RELATIONS[relation](a, b), says: `${showCard(a)} and ${showCard(b)}` };
};

const composed = (now: Order, way: ComposedWay, place: number): Verdict => {
  const named = composedCardAt(now, way);
  const two = `${showCard(now[0])} ${showCard(now[1])}`;
  if (!named) return { ok: false, says: `${two} name no card` };
  return {
    ok: named.place === place,
    says: `${two} name ${showCard(named.card)}, ${named.place ?? 'not there'}`,
  };
};

const sum = (now: Order, cutCount: number, count: number, more: number): Verdict => {
  const next = now.slice(0, count);
  const total = next.reduce((ranks, card) => ranks + (rankOf(card) ?? 0), 0);
  return {
    ok: next.length === count && total === cutCount + more,
    says: `${next.map(showCard).join(' ')} = ${total}`,
  };
};

const together = (now: Order, cards: readonly Card[]): Verdict => {
  const places = cards.map((card) => now.indexOf(card)).sort((a, b) => a - b);
  const [first, last] = [places[0] ?? -1, places[places.length - 1] ?? -1];
  return {
    ok: first >= 0 && last - first === cards.length - 1,
    says: first < 0 ? 'not all are there' : `from ${first + 1} to ${last + 1}`,
  };
};

const verdict = (now: Order, count: number, question: Question): Verdict => {
  switch (question.kind) {
    case 'apart':
      return apart(now, question.relation, question.distance);
    case 'composed card':
      return composed(now, question.way, question.place);
    case 'sum':
      return sum(now, count, question.count, question.more);
    case 'together':
      return together(now, question.cards);
  }
};

export const askOrder = (order: Order, question: Question): QuestionAnswer => {
  const cases = order.map((_, count): CutCase => ({
    cut: count,
    ...verdict(cut(order, count), count, question),
  }));
  const right = cases.filter(({ ok }) => ok).length;
  return { holds: cases.length > 0 && right === cases.length, count: right, cases };
};
