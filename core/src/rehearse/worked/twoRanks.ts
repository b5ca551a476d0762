import { Card, rankOf } from '../../deck/card';
import { formatCard } from '../../deck/notation';
import { numberOrder } from '../../deck/order';
import { seededRng, shuffled } from '../../deck/rng';
import type { Worked } from './worked';

/** The first of many mixed orders in which no two ranks follow each other twice, round the pack. */
const SEED = 12;
const ORDER: readonly Card[] = shuffled(numberOrder(), seededRng(SEED));

/** Whether the ranks of two neighbours tell where in an order one is. */
export const tellsByRanks = (order: readonly Card[]): boolean =>
  new Set(order.map((card, index) => `${rankOf(card)} ${rankOf(order[(index + 1) % order.length])}`)).size ===
  order.length;

export const TWO_RANKS: Worked = {
  procedure: {
    name: 'The next two ranks and their digits',
    needs: 'A pack in an order in which no two ranks follow each other twice.',
    'set-up': 'The pack in that order, cut as you like.',
    reset: 'Deal the cards back onto the pack one by one, and put theirs on top of all.',
    note: 'Holds wherever they cut. They never show a card: two ranks tell theirs, and the card that they count to.',
    packets: { pack: ORDER.map(formatCard) },
    orders: { home: ORDER.map(formatCard) },
    steps: [
      { do: 'choose', name: 'cut', from: 1, to: 52, says: 'Cut, and complete the cut.' },
      { do: 'cut', packet: 'pack', count: 'cut', by: 'helper' },
      { do: 'see', what: { 'top of': 'pack' }, name: 'their card', by: 'helper' },
      { do: 'lift', count: 1, from: 'pack', onto: 'pocket', by: 'helper' },
      {
        ...{ do: 'see', what: { 'rank of': { 'card at': 1, of: 'pack' } }, name: 'first rank', by: 'all' },
        says: 'Name the ranks of the next two.',
      },
      { do: 'see', what: { 'rank of': { 'card at': 2, of: 'pack' } }, name: 'second rank', by: 'all' },
      { do: 'claim known', what: 'their card', words: 'You know the card in their pocket.' },
      {
        do: 'work out',
        name: 'count',
        what: { 'digit sum': { sum: [{ product: [10, 'first rank'] }, 'second rank'] } },
      },
      { do: 'deal', count: 'count', from: 'pack', onto: 'table', by: 'helper' },
      { do: 'claim known', what: { 'top of': 'table' }, words: 'You know the card that they count to.' },
    ],
  },
  proof: { held: 52, outs: 0, failed: 0 },
  restore: [
    { do: 'deal', count: 'count', from: 'table', onto: 'pack' },
    { do: 'put', packet: 'pocket', where: 'on', other: 'pack' },
    { do: 'cut', packet: 'pack', count: { difference: [52, 'cut'] }, by: 'helper' },
  ],
};
