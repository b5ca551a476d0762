import { Origin } from '../arrange/origin';
import { Card } from '../deck/card';
import { Order } from '../deck/order';

/** How an order is cut into blocks that are learnt one after the other. */
export type Blocks =
  /** As the order was made: a suit, a half, a bank first; thirteen where it has no such parts. */
  | { readonly kind: 'own' }
  /** So many cards each. */
  | { readonly kind: 'size'; readonly size: number }
  /** As the user wants them: after which stack numbers a block ends, ascending; the last one ends with the order. */
  | { readonly kind: 'ends'; readonly ends: readonly number[] };

const bySize = (order: Order, size: number): Card[][] =>
  Array.from({ length: Math.ceil(order.length / size) }, (_, index) =>
    order.slice(index * size, (index + 1) * size),
  );

/** Cards that are no smaller a part than this are worth a block of their own. */
const USUAL = 13;

export const blocksOf = (order: Order, blocks: Blocks, origin?: Origin): readonly (readonly Card[])[] => {
  if (blocks.kind === 'size') return bySize(order, Math.max(1, Math.floor(blocks.size)));
  if (blocks.kind === 'ends') {
    const ends = [0, ...blocks.ends, order.length];
    return ends
      .slice(1)
      .map((end, index) => order.slice(ends[index], end))
      .filter(({ length }) => length > 0);
  }
  if (origin?.kind === 'rule') {
    const { kind } = origin.rule;
    if (kind === 'mirrored halves' || kind === 'palindrome')
      return bySize(order, Math.ceil(order.length / 2));
  }
  if (origin?.kind === 'bank') {
    const inBank = new Set(origin.bank.cards);
    const bank = order.filter((card) => inBank.has(card));
    const rest = order.filter((card) => !inBank.has(card));
    return [...(bank.length > 0 ? [bank] : []), ...bySize(rest, USUAL)];
  }
  return bySize(order, USUAL);
};

/** The most blocks that a user may have. */
const MOST_BLOCKS = 30;

/** Where blocks end, from text: `10, 20, 35`; undefined where that is no ascending row of numbers. */
export const parseEnds = (text: string): readonly number[] | undefined => {
  const parts = text.split(/[\s,;]+/).filter((part) => part !== '');
  if (parts.length === 0 || parts.length > MOST_BLOCKS || !parts.every((part) => /^\d{1,3}$/.test(part)))
    return undefined;
  const ends = parts.map(Number);
  return ends.every((end, index) => end >= 1 && (index === 0 || end > ends[index - 1])) ? ends : undefined;
};
