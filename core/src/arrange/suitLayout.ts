import { Card, isJoker, rankOf, Suit, suitOf, SUITS } from '../deck/card';
import { mod } from '../deck/mod';
import { showCard, showSuit, speakSuit } from '../deck/notation';
import { Order } from '../deck/order';

/** The cards of one suit as an order wants them, and how they come from a suit laid out from ace to king. */
export interface SuitRow {
  readonly suit: Suit;
  /** Top first. */
  readonly cards: readonly Card[];
  /** How far each rank is from the one before, going round, when it is always the same: 1 to 12. */
  readonly step: number | undefined;
  readonly says: string;
}

/** How to lay a pack into an order from its suits, each sorted from ace to king. */
export interface SuitLayout {
  readonly rows: readonly SuitRow[];
  /** The suits in the order in which one card of each is taken in turn, where that is so all through. */
  readonly cycle: readonly Suit[] | undefined;
  readonly says: string;
}

const stepOf = (cards: readonly Card[]): number | undefined => {
  if (cards.length < 2) return undefined;
  const ranks = cards.map((card) => rankOf(card) ?? 0);
  const step = mod(ranks[1] - ranks[0], 13);
  const steady = ranks.every((rank, index) => index === 0 || mod(rank - ranks[index - 1], 13) === step);
  return cards.length === 13 && steady && step > 0 ? step : undefined;
};

const sayRow = (suit: Suit, cards: readonly Card[], step: number | undefined): string => {
  const first = showCard(cards[0]);
  const name = speakSuit(suit);
  if (step === 1) return `Cut the ${name} so that ${first} comes to the top.`;
  if (step === 12) return `Reverse the ${name}, king to ace, and cut ${first} to the top.`;
  if (step !== undefined)
    return `Lay the ${name} in a ring, ace to king. Take ${first}, then count ${step} places on each time, empty ones too.`;
  return `Lay the ${name} as ${cards.map(showCard).join(' ')}.`;
};

const cycleOf = (order: Order): Suit[] | undefined => {
  const four = order.slice(0, 4).map(suitOf);
  const turns = order.every((card, index) => suitOf(card) === four[index % 4]);
  return turns && new Set(four).size === 4 && !four.includes(undefined) ? (four as Suit[]) : undefined;
};

/** A row of suits told in runs: `3 ♣, 1 ♥ …`. */
const sayRuns = (order: Order): string => {
  const runs: { name: string; count: number }[] = [];
  for (const card of order) {
    const suit = suitOf(card);
    const name = suit === undefined ? showCard(card) : showSuit(suit);
    const last = runs.at(-1);
    if (last?.name === name) last.count++;
    else runs.push({ name, count: 1 });
  }
  return runs.map(({ name, count }) => (count === 1 ? name : `${count} × ${name}`)).join(' ');
};

export const suitLayout = (order: Order): SuitLayout => {
  const rows = SUITS.flatMap((suit): SuitRow[] => {
    const cards = order.filter((card) => suitOf(card) === suit && !isJoker(card));
    const step = stepOf(cards);
    return cards.length === 0 ? [] : [{ suit, cards, step, says: sayRow(suit, cards, step) }];
  });
  const cycle = cycleOf(order);
  const says = cycle
    ? `Take the top card of each suit in turn: ${cycle.map(showSuit).join(' ')}, and again until all are taken.`
    : `Take the top cards of the suits in this row: ${sayRuns(order)}.`;
  return { rows, cycle, says: `${says} Each goes below the one before.` };
};
