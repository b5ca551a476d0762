import { Card, Rank, rankOf, RANKS } from '../../deck/card';
import { showCard, speakRank } from '../../deck/notation';
import { Order, placeOf } from '../../deck/order';
import { Direction, DIRECTION_WORDS, Item, itemId, itemsOf } from '../item';
import { Pace, PACE } from '../grade';
import { ItemPace } from './attempt';

/** So many of a direction's cards must be fluent for a stage, and for being near it. */
const [READY, NEARLY] = [0.95, 0.8];

/** So many like ranks, or cards in a row, are told as one. */
const [LIKE, ROW] = [3, 4];

/** More parts than this are told by their number. */
const MOST_PARTS = 5;

/** Whether an order is ready for the stage, and why. */
export interface StageVerdict {
  readonly verdict: 'ready' | 'nearly' | 'not yet';
  /** The direction with the fewest fluent cards, how many those are, and of how many. */
  readonly direction: Direction;
  readonly fluent: number;
  readonly of: number;
  /** Its cards that are not fluent, in the order's order. */
  readonly slow: readonly Card[];
  /** The reason, in a sentence. */
  readonly reason: string;
}

/** `sevens`, from the singular as it is spoken. */
const ranksOf = (rank: Rank): string => {
  const one = speakRank(rank);
  return one.endsWith('x') ? `${one}es` : `${one}s`;
};

/** Stretches of the order in which every card is among these: first and last place. */
const rowsOf = (order: Order, slow: ReadonlySet<Card>): readonly (readonly [number, number])[] => {
  const rows: (readonly [number, number])[] = [];
  let begun: number | undefined;
  for (let place = 1; place <= order.length + 1; place++) {
    const isSlow = place <= order.length && slow.has(order[place - 1]);
    if (isSlow) begun ??= place;
    else if (begun !== undefined) {
      if (place - begun >= ROW) rows.push([begun, place - 1]);
      begun = undefined;
    }
  }
  return rows;
};

const inWords = (parts: readonly string[]): string =>
  parts.length < 2 ? parts.join() : `${parts.slice(0, -1).join(', ')} and ${parts[parts.length - 1]}`;

/** Which cards are slow, told by like ranks and rows where there are such: `sevens and the run 31 to 36`. */
export const saySlow = (order: Order, slow: readonly Card[]): string => {
  const left = new Set(slow);
  const rows = rowsOf(order, left);
  for (const [from, to] of rows) for (const card of order.slice(from - 1, to)) left.delete(card);
  const ranks = RANKS.filter((rank) => slow.filter((card) => rankOf(card) === rank).length >= LIKE);
  for (const card of [...left]) {
    const rank = rankOf(card);
    if (rank !== undefined && ranks.includes(rank)) left.delete(card);
  }
  const named = [...ranks.map(ranksOf), ...rows.map(([from, to]) => `the run ${from} to ${to}`)];
  const rest = order.filter((card) => left.has(card));
  const singly =
    rest.length === 0 ? [] : rest.length <= LIKE ? rest.map(showCard) : [`${rest.length} single cards`];
  const parts = [...named, ...singly];
  return parts.length > MOST_PARTS ? `${slow.length} cards` : inWords(parts);
};

/** How many of a direction's items are fluent, and which cards are not. */
const standOf = (
  order: Order,
  direction: Direction,
  paces: ReadonlyMap<string, ItemPace>,
): { readonly direction: Direction; readonly items: readonly Item[]; readonly slow: readonly Card[] } => {
  const items = itemsOf(order, [direction]);
  const slow = items.filter((item) => paces.get(itemId(item))?.fluent !== true).map(({ card }) => card);
  return { direction, items, slow };
};

/** Why cards are not fluent: which are slow, and how many were not asked. */
const sayWhy = (order: Order, cards: readonly Card[], unheard: ReadonlySet<Card>): string => {
  const slow = cards.filter((card) => !unheard.has(card));
  const words = saySlow(order, slow);
  const verb = slow.length === 1 || /^the run \d+ to \d+$/.test(words) ? 'is' : 'are';
  const left = cards.length - slow.length;
  return [
    ...(slow.length === 0 ? [] : [`${words} ${verb} slow`]),
    ...(left === 0 ? [] : [`${left} not asked lately`]),
  ].join(', ');
};

/**
 * Whether an order is ready for the stage: 95 in 100 cards fluent in each direction that is learnt; from 80 it is nearly.
 * It is told by the weakest direction.
 *
 * @returns undefined where nothing is learnt.
 */
export const stageVerdict = (
  order: Order,
  directions: readonly Direction[],
  paces: ReadonlyMap<string, ItemPace>,
  { fluent: within }: Pace = PACE,
): StageVerdict | undefined => {
  const stands = directions
    .map((direction) => standOf(order, direction, paces))
    .filter(({ items }) => items.length > 0)
    .map((stand) => ({ ...stand, share: 1 - stand.slow.length / stand.items.length }));
  if (stands.length === 0) return undefined;
  const { direction, items, slow, share } = stands.reduce((a, b) => (b.share < a.share ? b : a));
  const fluent = items.length - slow.length;
  const unheard = new Set(items.filter((item) => !paces.has(itemId(item))).map(({ card }) => card));
  const why = sayWhy(
    order,
    [...slow].sort((a, b) => (placeOf(order, a) ?? 0) - (placeOf(order, b) ?? 0)),
    unheard,
  );
  return {
    verdict: share >= READY ? 'ready' : share >= NEARLY ? 'nearly' : 'not yet',
    ...{ direction, fluent, of: items.length, slow },
    reason:
      `${fluent} of ${items.length} within ${(within / 1000).toString()} s, ${DIRECTION_WORDS[direction].name}` +
      (slow.length === 0 || fluent === 0 ? '.' : `; ${why}.`),
  };
};
